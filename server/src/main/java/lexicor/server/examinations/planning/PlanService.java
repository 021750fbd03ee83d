package lexicor.server.examinations.planning;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.intake.AnswerCheck;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.nexttest.TestValue;
import lexicor.core.planning.OwnOrder;
import lexicor.core.planning.Plan;
import lexicor.core.planning.Planner;
import lexicor.core.planning.Replanning;
import lexicor.core.planning.Situation;
import lexicor.core.safety.SafetyRules;
import lexicor.core.weighing.LeadingPair;
import lexicor.core.weighing.Weighing;
import lexicor.server.audit.CurrentUser;
import lexicor.server.examinations.assessment.AheadJson;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.assessment.OpenTests;
import lexicor.server.examinations.record.CommandCheck;
import lexicor.server.examinations.record.CommandKind;
import lexicor.server.examinations.record.CommandRow;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.problems.BadInput;
import lexicor.server.settings.PersonalSettings;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/** Asks the core for plans of an examination as it stands. */
@Component
public class PlanService {

    /** Examinations that are planned at a time, and how long each is kept ready: one plan is asked for in many ways. */
    private static final int MOST_TABLES = 30;

    private static final Duration KEPT = Duration.ofMinutes(5);

    private final Catalogue catalogue;
    private final SafetyRules rules;
    private final Assessments assessments;
    private final TestLaps laps;
    private final PersonalSettings persons;
    private final Cache<PlanKey, Table> tables = Caffeine.newBuilder()
            .maximumSize(MOST_TABLES)
            .expireAfterAccess(KEPT)
            .build();

    PlanService(
            Catalogue catalogue, SafetyRules rules, Assessments assessments, TestLaps laps, PersonalSettings persons) {
        this.catalogue = catalogue;
        this.rules = rules;
        this.assessments = assessments;
        this.laps = laps;
        this.persons = persons;
    }

    /** An examination as it stands, ready to be planned. */
    private record Table(
            Recorded recorded,
            Weighing weighing,
            Situation situation,
            OpenTests open,
            Planner planner,
            Supplier<Planner> ofEveryTest) {

        /** What a proposal does without because the therapist does not do it. */
        Forgone forgone(Plan plan, double seconds, List<TestId> byHand) {
            Set<TestId> notMine = situation.practice().notMine();
            if (notMine.isEmpty()) {
                return Forgone.NOTHING;
            }
            Plan whole = ofEveryTest.get().plan(seconds, byHand);
            List<TestId> tests = whole.tests().stream()
                    .filter(test -> notMine.contains(test) && !plan.tests().contains(test))
                    .toList();
            return tests.isEmpty() ? Forgone.NOTHING : new Forgone(tests, Math.max(0, whole.bits() - plan.bits()));
        }
    }

    /**
     * What a plan does without.
     *
     * @param bits information that it tells less
     */
    record Forgone(List<TestId> tests, double bits) {

        private static final Forgone NOTHING = new Forgone(List.of(), 0);
    }

    /** An examination up to a command, of somebody of whom no more is known than this, for a therapist. */
    private record PlanKey(
            UUID examination, long number, Optional<Integer> birthYear, String evidence, Set<TestId> notMine) {}

    private Table table(Recorded recorded) {
        Set<TestId> notMine = persons.notMine(CurrentUser.isHere());
        return tables.get(
                new PlanKey(
                        recorded.row().getId(),
                        recorded.lastNumber(),
                        recorded.row().caseFile().birthYear(),
                        assessments.of(recorded).figures().revision(),
                        notMine),
                asked -> laid(recorded, notMine));
    }

    private Table laid(Recorded recorded, Set<TestId> notMine) {
        ExaminationRow row = recorded.row();
        Assessment here = assessments.of(recorded);
        OpenTests open = here.open();
        Optional<String> position = recorded.history().attempts().isEmpty()
                ? Optional.empty()
                : recorded.history().standsAt().map(test -> catalogue.test(test).position());
        Situation situation = new Situation(
                here.visit(),
                here.readings(),
                here.ranking(),
                open.of(row.region(), here.readings()),
                position,
                laps.learnt(),
                here.told().sparing(catalogue),
                new Situation.Looking(here.safety().lookFirst(), rules::lookFor),
                new Situation.Practice(here.told().positionsOut(catalogue), notMine));
        Weighing weighing = here.figures().weighing();
        return new Table(
                recorded,
                weighing,
                situation,
                open,
                Planner.of(catalogue, weighing, situation),
                SingletonSupplier.of(() -> Planner.of(catalogue, weighing, situation.ofEveryTest())));
    }

    /**
     * The plan for the time there is.
     *
     * @param seconds infinite for as many tests as are worth doing
     * @param byHand tests that are to be in
     */
    public PlanJson plan(Recorded recorded, double seconds, List<String> byHand) {
        Table table = table(recorded);
        List<TestId> putIn = known("with", byHand);
        Plan plan = table.planner().plan(seconds, putIn);
        return json(table, plan, table.planner().mostSpared(), table.forgone(plan, seconds, putIn));
    }

    /** What plans tell against the time that they take. */
    public PlanJson.CurveJson curve(Recorded recorded) {
        return PlanJson.CurveJson.of(
                recorded.lastNumber(), table(recorded).planner().curve());
    }

    /** An order of one's own, of which what may not be done now is left out and named. */
    public PlanJson.OwnJson own(Recorded recorded, List<String> tests) {
        Table table = table(recorded);
        List<TestId> own = known("test", tests);
        OwnOrder order = table.planner()
                .appraise(own.stream().filter(test -> doable(table, own, test)).toList());
        List<PlanJson.NotNowJson> skipped = own.stream()
                .filter(test -> !doable(table, own, test))
                .map(test -> notNow(test, whyNot(table, test)))
                .toList();
        return new PlanJson.OwnJson(
                json(table, order.plan(), OptionalDouble.empty(), Forgone.NOTHING),
                order.faults().stream().map(fault -> fault.words(catalogue)).toList(),
                skipped);
    }

    /**
     * Whether a test may be done in an order: now, or once what it follows on, which is in the order too, calls for it.
     */
    private boolean doable(Table table, List<TestId> own, TestId test) {
        return table.situation().doable().contains(test)
                || !table.open().closed(test)
                        && !table.situation().done().contains(test)
                        && catalogue.test(test).conduct().after().stream()
                                .anyMatch(after -> own.contains(after.test()));
    }

    private String whyNot(Table table, TestId test) {
        if (table.situation().done().contains(test)) {
            return "done";
        }
        if (table.open().closed(test)) {
            return table.open().whyClosed(test).get(0);
        }
        return Optional.ofNullable(table.open().waits(test)).orElse("not a test of this region");
    }

    /** The tests of the plan that was taken; none where none was. */
    public static Set<TestId> planned(Recorded recorded) {
        return new LinkedHashSet<>(answered(recorded.told(), AnswerCheck.PLAN));
    }

    /** What results have changed for the plan that was taken; nothing where none was, and before there is any. */
    public PlanJson.ReplanJson again(Recorded recorded) {
        Table table = table(recorded);
        IntakeAnswers told = recorded.told();
        List<TestId> planned = answered(told, AnswerCheck.PLAN);
        if (planned.isEmpty() || !testedSinceTaken(recorded)) {
            return new PlanJson.ReplanJson(recorded.lastNumber(), List.of(), List.of(), List.of());
        }
        Set<TestId> kept = Set.copyOf(answered(told, AnswerCheck.KEPT));
        Replanning again = table.planner().again(planned, Set.copyOf(answered(told, AnswerCheck.BY_HAND)));
        Optional<TestValue> best = ExpectedInformation.of(
                        table.weighing(),
                        table.situation().visit(),
                        table.situation().found())
                .values(
                        again.better().stream()
                                .filter(test -> !kept.contains(test))
                                .toList(),
                        table.situation().position())
                .stream()
                .findFirst();
        Optional<LeadingPair> contest = LeadingPair.of(
                table.situation().ranking(), catalogue, table.situation().doable()::contains);
        return new PlanJson.ReplanJson(
                recorded.lastNumber(),
                named(again.settled(), kept),
                named(again.ask(), kept),
                best.map(value -> better(value, contest)).stream().toList());
    }

    /** Whether anything was recorded since the plan was taken, which tells where its tests are done. */
    private static boolean testedSinceTaken(Recorded recorded) {
        long taken = recorded.commands().stream()
                .filter(command -> command.answers().stream()
                        .anyMatch(answer -> answer.toCore().question().equals(AnswerCheck.POSITIONS)))
                .mapToLong(CommandRow::number)
                .max()
                .orElse(0);
        return recorded.commands().stream()
                .anyMatch(command -> command.kind() == CommandKind.RECORD && command.number() > taken);
    }

    private List<PlanJson.NamedJson> named(List<TestId> tests, Set<TestId> kept) {
        return tests.stream()
                .filter(test -> !kept.contains(test))
                .map(test -> PlanJson.NamedJson.of(test, catalogue))
                .toList();
    }

    private PlanJson.BetterJson better(TestValue value, Optional<LeadingPair> contest) {
        ExaminationTest test = catalogue.test(value.test());
        List<String> separates = contest.filter(leaders -> leaders.separate().contains(test.id()))
                .map(leaders ->
                        List.of(leaders.one().shortName(), leaders.other().shortName()))
                .orElse(List.of());
        return new PlanJson.BetterJson(
                test.id().value(),
                test.shortName(),
                test.position(),
                value.seconds() / 60,
                separates,
                AheadJson.of(value, "", true).changes());
    }

    private static List<TestId> answered(IntakeAnswers told, String question) {
        return told.values(question).stream().map(TestId::of).toList();
    }

    private List<TestId> known(String field, List<String> tests) {
        List<TestId> known = new ArrayList<>();
        for (String test : tests) {
            known.add(catalogue.tests().keySet().stream()
                    .filter(id -> id.value().equals(test))
                    .findFirst()
                    .orElseThrow(() -> new BadInput(field, CommandCheck.unknownTest(catalogue, test))));
        }
        return known;
    }

    private PlanJson json(Table table, Plan plan, OptionalDouble spared, Forgone forgone) {
        List<TestId> shown = new ArrayList<>(plan.tests());
        plan.out().forEach(out -> shown.add(out.test()));
        List<PlanJson.NotNowJson> locked = catalogue
                .routine(table.recorded().row().region())
                .order()
                .stream()
                .filter(table.open()::closed)
                .map(test -> notNow(test, table.open().whyClosed(test).get(0)))
                .toList();
        return PlanJson.of(
                table.recorded().lastNumber(),
                plan,
                spared,
                values(table, shown),
                table.situation().learnt(),
                locked,
                table.planner().limits(plan),
                forgone,
                table.situation().visit().assumptions().thresholds().act(),
                catalogue);
    }

    private PlanJson.NotNowJson notNow(TestId test, String why) {
        return new PlanJson.NotNowJson(test.value(), catalogue.test(test).shortName(), why);
    }

    private Map<TestId, TestValue> values(Table table, List<TestId> tests) {
        ExpectedInformation foresight = ExpectedInformation.of(
                table.weighing(), table.situation().visit(), table.situation().found());
        Map<TestId, TestValue> values = new LinkedHashMap<>();
        tests.forEach(
                test -> values.put(test, foresight.value(test, table.situation().position())));
        return values;
    }
}
