package lexicor.server.practice;

import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.assessment.AssessedVisit;
import lexicor.core.assessment.VisitAssessor;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.posttest.LogOdds;
import lexicor.core.practice.CaseFile;
import lexicor.core.practice.CaseMaker;
import lexicor.core.practice.PracticeExamination;
import lexicor.core.practice.PracticeGround;
import lexicor.core.practice.PracticeKind;
import lexicor.core.practice.PracticeStep;
import lexicor.server.accounts.DemoPeople;
import lexicor.server.audit.CurrentUser;
import lexicor.server.examinations.record.PartJson;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * Gives the demo's student a class, a series and a few patients who were examined, so that review, progress and class
 * have something to show. The student asks everything, does a few tests, and moves less than the answers say.
 */
@Component
@ConditionalOnProperty(name = "lexicor.demo", havingValue = "true")
class PracticeDemo implements SmartInitializingSingleton {

    private record Demo(String region, PracticeKind kind, long seed, List<String> tests) {}

    private static final List<Demo> CASES = List.of(
            new Demo("shoulder", PracticeKind.TWO, 11, List.of("sh-arc", "sh-hawkins", "sh-er-resist", "sh-empty-can")),
            new Demo("shoulder", PracticeKind.RIVAL, 13, List.of("sh-neer", "sh-hawkins", "sh-empty-can")),
            new Demo("shoulder", PracticeKind.NOTHING, 15, List.of("sh-arc", "sh-er-resist")),
            new Demo("elbow", PracticeKind.PLAIN, 14, List.of("el-palp-lateral", "el-resist-wrist-ext")));

    /** Conditions that the student follows. */
    private static final int FOLLOWED = 4;

    /** How far the student moves, of what the answers weigh. */
    private static final double MOVES = 0.7;

    private final DemoPeople people;
    private final PracticeService practice;
    private final PracticeClasses classes;
    private final PracticeGroundKeeper grounds;
    private final Catalogue catalogue;
    private final Clock clock;

    PracticeDemo(
            DemoPeople people,
            PracticeService practice,
            PracticeClasses classes,
            PracticeGroundKeeper grounds,
            Catalogue catalogue,
            Clock clock) {
        this.people = people;
        this.practice = practice;
        this.classes = classes;
        this.grounds = grounds;
        this.catalogue = catalogue;
        this.clock = clock;
    }

    @Override
    public void afterSingletonsInstantiated() {
        people.begin();
        CurrentUser.being(people.student(), () -> {
            if (practice.mine().isEmpty()) {
                joinClass();
                CASES.forEach(this::examine);
            }
            return true;
        });
    }

    private void joinClass() {
        ProgressJson.ClassJson made = CurrentUser.being(people.steward(), () -> {
            ProgressJson.ClassJson begun = classes.make(new ClassRequest.Make("Thursday shoulders"));
            return classes.set(
                    begun.id(),
                    new ClassRequest.Series(
                            "Two things at once",
                            List.of(
                                    new ClassRequest.SetCase("shoulder", PracticeKind.TWO, null),
                                    new ClassRequest.SetCase("shoulder", PracticeKind.LOCK, null),
                                    new ClassRequest.SetCase("hand", PracticeKind.TWO, null))));
        });
        classes.join(new ClassRequest.Join(made.joinCode(), true));
    }

    private void examine(Demo demo) {
        PracticeGround ground = grounds.now().patients();
        String text = new CaseFile(ground)
                .write(new CaseMaker(ground)
                        .make(demo.region(), Optional.of(demo.kind()), demo.seed(), LocalDate.now(clock)));
        PracticeService.Worked now = practice.begin(new PracticeRequest.Written(text, PracticeRow.Showing.AT_END));
        now = step(now, ask(now.examination().questions()));
        Map<ConditionId, Double> start = chances(now);
        List<ConditionId> followed = start.entrySet().stream()
                .sorted(Map.Entry.<ConditionId, Double>comparingByValue().reversed())
                .limit(FOLLOWED)
                .map(Map.Entry::getKey)
                .toList();
        now = step(now, believe(followed, start, start));
        for (String test : demo.tests()) {
            now = step(now, test(test));
            now = step(now, write(now.examination()));
            now = step(now, believe(followed, start, chances(now)));
        }
        boolean flagged = now.examination().flagged();
        step(now, new PracticeRequest.Step(0, null, null, null, null, null, new PracticeRequest.EndStep(flagged)));
    }

    private Map<ConditionId, Double> chances(PracticeService.Worked worked) {
        PracticeGround ground = worked.ground().patients();
        AssessedVisit visit = new VisitAssessor(catalogue, ground.form())
                .assess(worked.examination().facts(), ground.weighing().evidence());
        return ground.weighing().chances(visit.visit(), visit.readings());
    }

    /** Takes a step, under its number. */
    private PracticeService.Worked step(PracticeService.Worked now, PracticeRequest.Step step) {
        return practice.step(
                now.row().id(),
                new PracticeRequest.Step(
                        now.examination().steps().size(),
                        step.ask(),
                        step.test(),
                        step.write(),
                        step.chances(),
                        step.hint(),
                        step.end()));
    }

    private static PracticeRequest.Step ask(List<String> questions) {
        return new PracticeRequest.Step(0, questions, null, null, null, null, null);
    }

    private static PracticeRequest.Step test(String test) {
        return new PracticeRequest.Step(
                0, null, new PracticeRequest.TestStep(test, "usual", true), null, null, null, null);
    }

    /** Writes down what the last test showed. */
    private static PracticeRequest.Step write(PracticeExamination examination) {
        List<PracticeStep.Examined> examined = examination.examined();
        PracticeStep.Examined last = examined.get(examined.size() - 1);
        return new PracticeRequest.Step(
                0,
                null,
                null,
                new PracticeRequest.WriteStep(
                        last.test().value(),
                        last.here().stream().map(PartJson::of).toList(),
                        last.well().stream().map(PartJson::of).toList()),
                null,
                null,
                null);
    }

    /** Puts chances part of the way from the start to where the weighing stands. */
    private static PracticeRequest.Step believe(
            List<ConditionId> followed, Map<ConditionId, Double> start, Map<ConditionId, Double> now) {
        Map<String, Double> chances = new LinkedHashMap<>();
        followed.stream().filter(now::containsKey).forEach(condition -> {
            double from = LogOdds.ofChance(start.getOrDefault(condition, 0.0)).value();
            double to = LogOdds.ofChance(now.getOrDefault(condition, 0.0)).value();
            double chance = LogOdds.chance(from + MOVES * (to - from));
            chances.put(condition.value(), Math.min(0.99, Math.max(0.01, Math.round(100 * chance) / 100.0)));
        });
        return new PracticeRequest.Step(0, null, null, null, chances, null, null);
    }
}
