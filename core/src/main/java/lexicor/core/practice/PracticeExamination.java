package lexicor.core.practice;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lexicor.core.assessment.VisitFacts;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Answer;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Command;
import lexicor.core.examination.History;
import lexicor.core.examination.OtherSide;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.ResponseCheck;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.StopRules;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Assumptions;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;

/** A practice case with what was done in it so far: what is known by now, what it took, and what comes next. */
public final class PracticeExamination {

    /** Provocation from which a test is felt. */
    private static final int PROVOKES = 2;

    /** Pain from which provoking on is needless. */
    private static final double FAR_TOO_SORE = 9;

    private static final int WORST = 10;
    private static final String ZONE = "zone";
    private static final String USUAL = "usual";

    private final PracticeGround ground;
    private final Catalogue catalogue;
    private final PracticeCase known;
    private final PracticePatient patient;
    private final List<PracticeStep> steps;
    private final History history;

    public PracticeExamination(PracticeGround ground, PracticeCase known, List<PracticeStep> steps) {
        this.ground = ground;
        this.catalogue = ground.catalogue();
        this.known = known;
        this.patient = new PracticePatient(ground, known);
        this.steps = List.copyOf(steps);
        this.history = history(steps);
    }

    public PracticeCase known() {
        return known;
    }

    public List<PracticeStep> steps() {
        return steps;
    }

    /** What was told and recorded so far. */
    public History history() {
        return history;
    }

    /** The same with the first of the steps only. */
    public PracticeExamination after(int number) {
        return new PracticeExamination(ground, known, steps.subList(0, number));
    }

    /** The tests done, each with its step, in order. */
    public List<PracticeStep.Examined> examined() {
        return steps.stream()
                .filter(PracticeStep.Examined.class::isInstance)
                .map(PracticeStep.Examined.class::cast)
                .toList();
    }

    /** The questions asked so far, and the one that is answered unasked. */
    public Set<String> asked() {
        Set<String> asked = new LinkedHashSet<>(Set.of(ZONE));
        steps.stream()
                .filter(PracticeStep.Asked.class::isInstance)
                .forEach(step -> asked.addAll(((PracticeStep.Asked) step).questions()));
        return asked;
    }

    /** The chances put on conditions last; none before the first. */
    public Map<ConditionId, Double> believed() {
        return steps.stream()
                .filter(PracticeStep.Believed.class::isInstance)
                .map(step -> ((PracticeStep.Believed) step).chances())
                .reduce(Map.of(), (first, last) -> last);
    }

    /** Whether it was ended. */
    public boolean ended() {
        return steps.stream().anyMatch(PracticeStep.Ended.class::isInstance);
    }

    /** What an assessment follows from, as in any examination: by the schools and estimates that ship. */
    public VisitFacts facts() {
        return new VisitFacts(
                known.region(),
                known.setting(),
                known.side(),
                OtherSide.WELL,
                known.day(),
                known.person(),
                history,
                catalogue.usualSchools(),
                Map.of(),
                Assumptions.usual(catalogue));
    }

    /** Every question that can be asked of this patient, in the order of the intake. */
    public List<String> questions() {
        return Stream.of(
                        Stream.of(IntakeFolder.RED_FLAGS, IntakeFolder.FACTS),
                        ground.form().questionsOf(known.region()).stream()
                                .filter(question -> !question.words())
                                .map(IntakeForm.Question::id),
                        Stream.of("pain-areas", "tingling-areas"))
                .flatMap(each -> each)
                .toList();
    }

    /**
     * Asks questions.
     *
     * @throws IllegalArgumentException where one of them cannot be asked
     */
    public PracticeStep.Asked ask(List<String> questions) {
        List<String> allowed = questions();
        questions.stream().filter(each -> !allowed.contains(each)).findFirst().ifPresent(unknown -> {
            throw new IllegalArgumentException("question '" + unknown + "' is not asked here; allowed: " + allowed);
        });
        return new PracticeStep.Asked(questions);
    }

    /**
     * Does a test.
     *
     * @param way its name in the record
     * @throws IllegalArgumentException where there is no such test or way
     */
    public PracticeStep.Examined examine(TestId id, String way, boolean wellFirst) {
        ExaminationTest test = catalogue.test(id);
        if (!PracticePatient.isWay(test, way)) {
            throw new IllegalArgumentException(
                    "way '" + way + "' is not one of " + id + "; allowed: " + test.variants());
        }
        int go = 1
                + (int) examined().stream()
                        .filter(each -> each.test().equals(id))
                        .count();
        double pain = pain();
        PracticePatient.Answered answered = patient.answer(id, new PracticePatient.How(way, wellFirst, go, pain));
        return new PracticeStep.Examined(id, way, wellFirst, answered.here(), answered.well(), hurt(test, pain));
    }

    /**
     * Writes down the last answer to a test.
     *
     * @throws IllegalArgumentException where it was not done, or does not record what is written
     */
    public PracticeStep.Written write(TestId id, List<Part> here, List<Part> well) {
        if (examined().stream().noneMatch(each -> each.test().equals(id))) {
            throw new IllegalArgumentException("test '" + id + "' was not done; allowed: a test that was");
        }
        Stream.of(here, well)
                .flatMap(parts -> ResponseCheck.faults(catalogue.test(id), attempt(id, parts)).stream())
                .findFirst()
                .ifPresent(fault -> {
                    throw new IllegalArgumentException(fault.field() + ": " + fault.message());
                });
        return new PracticeStep.Written(id, here, well);
    }

    /** What was written down of the answer of a step; empty where nothing was. */
    public Optional<PracticeStep.Written> written(int step) {
        Optional<PracticeStep.Written> written = Optional.empty();
        TestId test = ((PracticeStep.Examined) steps.get(step)).test();
        for (PracticeStep later : steps.subList(step + 1, steps.size())) {
            if (later instanceof PracticeStep.Examined again && again.test().equals(test)) {
                return written;
            }
            if (later instanceof PracticeStep.Written each && each.test().equals(test)) {
                written = Optional.of(each);
            }
        }
        return written;
    }

    private Attempt attempt(TestId test, List<Part> parts) {
        return new Attempt(new UUID(1, 0), test, USUAL, known.side(), 1, Set.of(), parts);
    }

    /** Why doing a test now hurts for nothing; empty where it does not. */
    private Optional<PatientContent.Hurt> hurt(ExaminationTest test, double pain) {
        if (test.provocation() < 1) {
            return Optional.empty();
        }
        if (flagged()) {
            return Optional.of(PatientContent.Hurt.FLAG);
        }
        if (locked().contains(test.id())) {
            return Optional.of(
                    asked().contains(IntakeFolder.FACTS)
                            ? PatientContent.Hurt.LOCKED
                            : PatientContent.Hurt.LOCKED_UNASKED);
        }
        if (stopped().containsKey(test.id())) {
            return Optional.of(PatientContent.Hurt.CLOSED);
        }
        return test.provocation() >= PROVOKES && pain >= FAR_TOO_SORE
                ? Optional.of(PatientContent.Hurt.SORE)
                : Optional.empty();
    }

    /** Whether a red flag is there, asked or not. */
    public boolean flagged() {
        return known.tells(IntakeFolder.RED_FLAGS)
                .filter(answer -> !answer.values().contains(IntakeForm.NONE))
                .isPresent();
    }

    /** Tests that must not be done in this patient, asked or not. */
    public Set<TestId> locked() {
        return ground.told(known).locked().keySet();
    }

    /** Tests that an answer has closed. */
    Map<TestId, StopRules.Stopped> stopped() {
        return new StopRules(catalogue).stopped(history, known.side());
    }

    /** How much it hurts by now, 0 to 10. */
    public double pain() {
        double pain = known.tells("pain-now")
                .flatMap(answer -> answer.number().stream().boxed().findFirst())
                .orElse(0.0);
        for (PracticeStep.Examined each : examined()) {
            boolean positive =
                    read(each).readings().stream().anyMatch(reading -> reading.result() == Reading.Result.POSITIVE);
            pain += positive
                    ? ground.content().painRises() * catalogue.test(each.test()).provocation()
                    : 0;
        }
        return Math.min(WORST, pain);
    }

    /** How a response reads by itself. */
    TestReading read(PracticeStep.Examined each) {
        return new ResponseReader(catalogue.test(each.test()), catalogue.usualSchools())
                .read(History.of(List.of(recorded(each, 1, 1))), known.side());
    }

    /** What it took so far, in seconds: questions, tests on each side, changes of position. */
    public double seconds() {
        double seconds = ground.content().questionSeconds() * (asked().size() - 1);
        Optional<String> position = Optional.empty();
        for (PracticeStep.Examined each : examined()) {
            ExaminationTest test = catalogue.test(each.test());
            boolean both = each.wellFirst() && !test.wellSideParts().isEmpty();
            seconds += (both ? 2 : 1) * test.seconds();
            if (position.isPresent() && !test.positions().contains(position.get())) {
                seconds += catalogue.effort().changePosition();
            }
            position = position.filter(test.positions()::contains).or(() -> Optional.of(test.position()));
        }
        return seconds;
    }

    private History history(List<PracticeStep> all) {
        List<Command> commands = new ArrayList<>();
        commands.add(
                command(0, new Command.IntakeAnswers(known.tells(ZONE).stream().toList())));
        Map<TestId, Integer> goes = new LinkedHashMap<>();
        for (int s = 0; s < all.size(); s++) {
            PracticeStep step = all.get(s);
            if (step instanceof PracticeStep.Asked asked) {
                commands.add(command(s + 1, new Command.IntakeAnswers(told(asked.questions()))));
            } else if (step instanceof PracticeStep.Examined examined) {
                commands.add(recorded(examined, s + 1, goes.merge(examined.test(), 1, Integer::sum)));
            }
        }
        return History.of(commands);
    }

    /** What the patient tells when asked: with what locks tests, its days too. */
    public List<Answer> told(List<String> questions) {
        return known.tells().stream()
                .filter(answer -> questions.contains(answer.question())
                        || questions.contains(IntakeFolder.FACTS)
                                && answer.question().startsWith(IntakeFolder.FACT_DATE))
                .toList();
    }

    private Command recorded(PracticeStep.Examined examined, int number, int go) {
        List<Attempt> attempts = new ArrayList<>();
        if (!examined.well().isEmpty()) {
            attempts.add(new Attempt(
                    new UUID(2, number),
                    examined.test(),
                    examined.way(),
                    known.side().other(),
                    go,
                    Set.of(),
                    examined.well()));
        }
        attempts.add(new Attempt(
                new UUID(1, number), examined.test(), examined.way(), known.side(), go, Set.of(), examined.here()));
        return command(number, new Command.Recorded(attempts));
    }

    private static Command command(int number, Command.Action action) {
        TestId at = action instanceof Command.Recorded recorded
                ? recorded.attempts().get(0).test()
                : TestId.of("none");
        return new Command(
                new UUID(0, number), new UUID(0, 0), number, "", Instant.EPOCH.plusSeconds(number), at, action);
    }
}
