package lexicor.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.nexttest.TestValue;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Weighing;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * How long a shoulder's findings take to weigh, on one core: a tap that is new for a few conditions while all else is
 * known, everything from scratch, and the table of what could be done next.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 4)
@Measurement(iterations = 3, time = 4)
public class WeighingBench {

    private static final int CANDIDATES = 40;

    /** Findings and draws. */
    @Param({"20/4000", "20/1000", "10/4000", "5/4000"})
    private String size;

    private int findings;
    private int draws;

    private Catalogue catalogue;
    private Evidence evidence;
    private Weighing weighing;
    private Visit visit;
    private List<TestReading> all;
    private List<TestReading> before;
    private List<TestId> candidates;
    private long seed;

    /** Runs all benchmarks of this class. */
    public static void main(String[] arguments) throws RunnerException {
        new Runner(new OptionsBuilder()
                        .include(WeighingBench.class.getSimpleName())
                        .forks(0)
                        .shouldFailOnError(true)
                        .build())
                .run();
    }

    @Setup
    public void examine() {
        findings = Integer.parseInt(size.split("/")[0]);
        draws = Integer.parseInt(size.split("/")[1]);
        catalogue = CatalogueReader.shipped();
        evidence = EvidenceReader.shipped(catalogue);
        WeighingSettings usual = WeighingSettings.USUAL;
        weighing = new Weighing(
                catalogue,
                evidence,
                new WeighingSettings(draws, usual.betweenStudies(), usual.startDeviation(), usual.worthlessWithin()));
        visit = Visit.usual(catalogue, "shoulder", CareSetting.FIRST_CONTACT);
        List<ExaminationTest> known = catalogue.tests().values().stream()
                .sorted(Comparator.comparingInt(this::informs).reversed())
                .toList();
        all = new ArrayList<>();
        for (int i = 0; i < findings; i++) {
            all.add(answered(known.get(i), i % 3 != 0));
        }
        int touches = Math.min(4, informs(known.get(0)));
        TestReading last = all.stream()
                .filter(each -> informs(catalogue.test(each.test())) <= touches)
                .findFirst()
                .orElse(all.get(all.size() - 1));
        before = all.stream().filter(each -> each != last).toList();
        candidates = known.stream()
                .map(ExaminationTest::id)
                .filter(test -> all.stream().noneMatch(each -> each.test().equals(test)))
                .limit(CANDIDATES)
                .toList();
        int pairs = all.stream()
                .mapToInt(each -> informs(catalogue.test(each.test())))
                .sum();
        System.out.printf(
                "%d findings, %d informative pairs on %d conditions; the tap informs %d; %d candidates%n",
                findings, pairs, visit.starts().size(), informs(catalogue.test(last.test())), candidates.size());
    }

    private int informs(ExaminationTest test) {
        return (int) test.reads().stream()
                .filter(reads -> visit == null || visit.starts().containsKey(reads.condition()))
                .filter(reads -> evidence.inUse(test.id(), reads.condition()).isPresent())
                .count();
    }

    private static TestReading answered(ExaminationTest test, boolean positive) {
        List<Reading> readings = new ArrayList<>();
        for (ConditionReading reads : test.reads()) {
            reads.by()
                    .forEach(criterion -> readings.add(new Reading(
                            test.id(),
                            reads.condition(),
                            criterion,
                            positive ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE,
                            "")));
        }
        return new TestReading(test.id(), true, readings);
    }

    /** A visit whose findings so far are known to the server. */
    @State(Scope.Thread)
    public static class Known {

        private long seed;

        @Setup(Level.Invocation)
        public void weighWhatCameBefore(WeighingBench bench) {
            seed = ++bench.seed;
            bench.weighing.weigh(bench.visit, bench.before, seed);
        }
    }

    @Benchmark
    public Ranking a_tap(Known known) {
        return weighing.weigh(visit, all, known.seed);
    }

    @Benchmark
    public Ranking from_scratch() {
        return weighing.weigh(visit, all, ++seed);
    }

    @Benchmark
    public List<TestValue> what_next() {
        return ExpectedInformation.of(weighing, visit, all).values(candidates, Optional.empty());
    }
}
