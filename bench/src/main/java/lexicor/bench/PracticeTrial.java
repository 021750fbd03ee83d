package lexicor.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import lexicor.core.assessment.AssessedVisit;
import lexicor.core.assessment.VisitAssessor;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Reading;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.Person;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.nexttest.TestValue;
import lexicor.core.outcomes.Calibration;
import lexicor.core.posttest.LogOdds;
import lexicor.core.practice.CaseMaker;
import lexicor.core.practice.PatientContent;
import lexicor.core.practice.PracticeCase;
import lexicor.core.practice.PracticeExamination;
import lexicor.core.practice.PracticeGround;
import lexicor.core.practice.PracticeStep;
import lexicor.core.simulation.ResponseBook;
import lexicor.core.simulation.SimulatedPatient;
import lexicor.core.weighing.Weighing;

/**
 * Whether invented patients are what the figures say, how many there are a second, and how a beginner's ways of working
 * score on them beside the weighing.
 */
public final class PracticeTrial {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
    private static final int TESTS = 8;
    /** 95 in 100 of chi-square with two degrees of freedom. */
    private static final double LIMIT = 5.991;

    private final int patients;
    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Weighing weighing =
            new Weighing(catalogue, EvidenceReader.shipped(catalogue), WeighingSettings.USUAL).withoutRanges();
    private final PracticeGround ground =
            new PracticeGround(weighing, IntakeForm.shipped(catalogue), PatientContent.shipped());
    private final VisitAssessor assessor = new VisitAssessor(catalogue, ground.form());

    private PracticeTrial(int patients) {
        this.patients = patients;
    }

    /** @param arguments patients for each region; 10,000 if absent */
    public static void main(String[] arguments) {
        new PracticeTrial(arguments.length > 0 ? Integer.parseInt(arguments[0]) : 10_000).run();
    }

    private void run() {
        for (String region : catalogue.routines().keySet()) {
            speed(region);
            agreement(region);
        }
        strategies(Math.max(20, patients / 50));
    }

    private void speed(String region) {
        CaseMaker maker = new CaseMaker(ground);
        maker.make(region, Optional.empty(), 0, DAY);
        int cases = Math.max(50, patients / 20);
        long from = System.nanoTime();
        for (int seed = 1; seed <= cases; seed++) {
            maker.make(region, Optional.empty(), seed, DAY);
        }
        System.out.printf(Locale.UK, "%s: %.0f cases a second with their story%n", region, cases / seconds(from));
    }

    private static double seconds(long from) {
        return (System.nanoTime() - from) / 1e9;
    }

    /** Positives seen and expected among patients with and without a condition. */
    private static final class Count {
        private final double[] seen = new double[2];
        private final double[] expected = new double[2];
        private final double[] variance = new double[2];

        void add(boolean present, boolean positive, double share) {
            int at = present ? 1 : 0;
            seen[at] += positive ? 1 : 0;
            expected[at] += share;
            variance[at] += share * (1 - share);
        }

        double chiSquare() {
            return IntStream.range(0, 2)
                    .filter(at -> variance[at] > 0)
                    .mapToDouble(at -> Math.pow(seen[at] - expected[at], 2) / variance[at])
                    .sum();
        }
    }

    private record Finding(TestId test, ConditionId condition) {}

    private void agreement(String region) {
        Map<Finding, Count> drawn = new HashMap<>();
        Map<Finding, Count> read = new HashMap<>();
        long from = System.nanoTime();
        for (long seed = 1; seed <= patients; seed++) {
            Set<ConditionId> present =
                    ground.clinic(region, CareSetting.SPECIALIST).patient(seed).present();
            SimulatedPatient patient =
                    ground.clinic(region, CareSetting.SPECIALIST).patient(present, seed);
            PracticeExamination examination = new PracticeExamination(ground, known(region, seed, present), List.of());
            for (TestId id : ground.clinic(region, CareSetting.SPECIALIST).tests()) {
                Map<ConditionId, Double> shares = patient.shares(id);
                Map<ConditionId, Boolean> positives = patient.positives(id, condition -> 1);
                PracticeStep.Examined answered = examination.examine(id, "usual", true);
                for (ConditionReading reads : catalogue.test(id).reads()) {
                    Optional<EvidenceInUse> inUse =
                            weighing.evidence().inUse(id, reads.condition(), catalogue.usualSchools());
                    if (shares.containsKey(reads.condition()) && inUse.isPresent()) {
                        Finding finding = new Finding(id, reads.condition());
                        boolean there = present.contains(reads.condition());
                        double share = shares.get(reads.condition());
                        drawn.computeIfAbsent(finding, key -> new Count())
                                .add(there, positives.get(reads.condition()), share);
                        Reading reading = reading(id, answered, inUse.get(), reads.condition());
                        if (reading.definite()) {
                            read.computeIfAbsent(finding, key -> new Count())
                                    .add(there, reading.result() == Reading.Result.POSITIVE, share);
                        }
                    }
                }
            }
        }
        System.out.printf(
                Locale.UK,
                "%s: %d patients, every test: %.0f answers a second; %d findings with figures; within 95 in 100 of chi-square: "
                        + "%.0f in 100 as drawn, %.0f in 100 as read in the whole response; mean difference of shares as read %.3f%n",
                region,
                patients,
                patients
                        * (double) ground.clinic(region, CareSetting.SPECIALIST)
                                .tests()
                                .size()
                        / seconds(from),
                drawn.size(),
                within(drawn),
                within(read),
                read.values().stream().mapToDouble(PracticeTrial::gap).average().orElse(0));
    }

    private static double within(Map<Finding, Count> counts) {
        return 100.0
                * counts.values().stream()
                        .filter(each -> each.chiSquare() <= LIMIT)
                        .count()
                / counts.size();
    }

    private static double gap(Count count) {
        double people = 0;
        double off = 0;
        for (int at = 0; at < 2; at++) {
            off += Math.abs(count.seen[at] - count.expected[at]);
            people += count.expected[at];
        }
        return people == 0 ? 0 : off / people;
    }

    /** How an answer of an invented patient is read. */
    private Reading reading(TestId test, PracticeStep.Examined answered, EvidenceInUse inUse, ConditionId condition) {
        return ground.responses(test)
                .reading(new ResponseBook.Response(answered.here(), answered.well(), 0), condition, inUse.criterion());
    }

    private static PracticeCase known(String region, long seed, Set<ConditionId> present) {
        return new PracticeCase(
                "",
                region,
                CareSetting.SPECIALIST,
                Side.RIGHT,
                seed,
                DAY,
                50,
                Person.Sex.MAN,
                true,
                "",
                "",
                present,
                List.of(),
                Map.of());
    }

    /** How somebody works: which tests, and how their answers are added up. */
    private record Strategy(
            String name,
            BiFunction<PracticeExamination, Random, PracticeExamination> tests,
            BiFunction<PracticeExamination, PracticeExamination, Map<ConditionId, Double>> chances) {}

    private List<Strategy> ways() {
        BiFunction<PracticeExamination, PracticeExamination, Map<ConditionId, Double>> weighed =
                (told, done) -> weighed(done);
        return List.of(
                new Strategy("story alone", (told, random) -> told, weighed),
                new Strategy("random tests, ratios multiplied", this::randomTests, this::multiplied),
                new Strategy("random tests, weighed", this::randomTests, weighed),
                new Strategy(
                        "best for its time, ratios multiplied", (told, random) -> bestTests(told), this::multiplied),
                new Strategy("best for its time, weighed", (told, random) -> bestTests(told), weighed));
    }

    private void strategies(int cases) {
        System.out.printf("%n%d cases a region, %d tests each%n", cases, TESTS);
        System.out.printf("%-40s%14s%14s%10s%10s%n", "", "Brier x 1000", "log x 1000", "slope", "minutes");
        ways().forEach(way -> strategy(way, cases));
    }

    private void strategy(Strategy way, int cases) {
        List<Calibration.Claim> claims = new ArrayList<>();
        double seconds = 0;
        int done = 0;
        for (String region : catalogue.routines().keySet()) {
            CaseMaker maker = new CaseMaker(ground);
            for (long seed = 1; seed <= cases; seed++) {
                PracticeCase known = maker.make(region, Optional.empty(), seed, DAY);
                PracticeExamination fresh = new PracticeExamination(ground, known, List.of());
                PracticeExamination told = with(fresh, fresh.ask(fresh.questions()));
                PracticeExamination end = way.tests().apply(told, new Random(seed));
                Map<ConditionId, Double> chances = way.chances().apply(told, end);
                weighed(told).forEach((condition, start) -> {
                    if (weighing.measured(condition)) {
                        claims.add(new Calibration.Claim(
                                start,
                                chances.getOrDefault(condition, start),
                                known.present().contains(condition)));
                    }
                });
                seconds += end.seconds();
                done++;
            }
        }
        Calibration calibration = new Calibration(claims);
        System.out.printf(
                Locale.UK,
                "%-40s%14.1f%14.1f%10s%10.1f%n",
                way.name(),
                1000 * calibration.brier(),
                1000 * calibration.logLoss(),
                calibration
                        .line()
                        .map(line ->
                                String.format(Locale.UK, "%.2f", line.slope().estimate()))
                        .orElse("-"),
                seconds / 60 / done);
    }

    private PracticeExamination with(PracticeExamination at, PracticeStep step) {
        List<PracticeStep> steps = new ArrayList<>(at.steps());
        steps.add(step);
        return new PracticeExamination(ground, at.known(), steps);
    }

    private AssessedVisit assess(PracticeExamination at) {
        return assessor.assess(at.facts(), weighing.evidence());
    }

    private Map<ConditionId, Double> weighed(PracticeExamination at) {
        AssessedVisit visit = assess(at);
        return weighing.chances(visit.visit(), visit.readings());
    }

    /** Every condition for itself: odds at the start times every likelihood ratio, as if each were news. */
    private Map<ConditionId, Double> multiplied(PracticeExamination told, PracticeExamination done) {
        Map<ConditionId, Double> chances = new LinkedHashMap<>(weighed(told));
        List<TestReading> readings = assess(done).readings();
        chances.replaceAll((condition, start) -> {
            LogOdds odds = LogOdds.ofChance(start);
            for (TestReading reading : readings) {
                Optional<EvidenceInUse> inUse =
                        weighing.evidence().inUse(reading.test(), condition, catalogue.usualSchools());
                if (reading.answered() && inUse.isPresent()) {
                    Reading.Result result =
                            reading.reading(condition, inUse.get().criterion()).result();
                    if (result == Reading.Result.POSITIVE || result == Reading.Result.NEGATIVE) {
                        odds = odds.times(inUse.get().belief().likelihoodRatio(result == Reading.Result.POSITIVE));
                    }
                }
            }
            return odds.chance();
        });
        return chances;
    }

    private Set<TestId> open(PracticeExamination at) {
        Set<TestId> open =
                new LinkedHashSet<>(catalogue.routine(at.known().region()).order());
        at.examined().forEach(done -> open.remove(done.test()));
        open.removeAll(at.locked());
        return open;
    }

    private PracticeExamination randomTests(PracticeExamination told, Random random) {
        List<TestId> open = new ArrayList<>(open(told));
        Collections.shuffle(open, random);
        PracticeExamination at = told;
        for (TestId test : open.subList(0, Math.min(TESTS, open.size()))) {
            at = with(at, at.examine(test, "usual", true));
        }
        return at;
    }

    private PracticeExamination bestTests(PracticeExamination told) {
        PracticeExamination at = told;
        for (int t = 0; t < TESTS; t++) {
            AssessedVisit visit = assess(at);
            Optional<TestId> best =
                    ExpectedInformation.of(weighing, visit.visit(), visit.readings())
                            .values(open(at), Optional.empty())
                            .stream()
                            .filter(TestValue::worthDoing)
                            .max(Comparator.comparingDouble(TestValue::bitsPerMinute))
                            .map(TestValue::test);
            if (best.isEmpty()) {
                return at;
            }
            at = with(at, at.examine(best.get(), "usual", true));
        }
        return at;
    }
}
