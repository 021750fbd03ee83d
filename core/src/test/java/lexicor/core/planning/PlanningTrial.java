package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.nexttest.JointInformation;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;

/**
 * How near the choice comes to the best of all sets of twelve candidates, and how long ordering and planning take. Run
 * by {@code ./lexicor bench plans}; what was measured is left in target/planning.txt.
 */
class PlanningTrial {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final double LEAST = CATALOGUE.effort().leastBits();
    private static final int TWELVE = 12;
    private static final int ROUNDS = 40;

    private final List<String> lines = new ArrayList<>();

    @Test
    void measured() throws IOException {
        bruteForce();
        for (int size : new int[] {20, 40, 60}) {
            ordering(size);
        }
        for (String region : List.of("shoulder", "elbow", "wrist", "hand")) {
            planning(region);
        }
        Files.createDirectories(Path.of("target"));
        Files.write(Path.of("target", "planning.txt"), lines);
        lines.forEach(System.out::println);
        assertThat(lines).hasSize(8);
    }

    private static List<TestId> everything(String region) {
        Set<TestId> tests = new LinkedHashSet<>(CATALOGUE.routine(region).order());
        tests.addAll(CATALOGUE.beyondRoutine(region));
        tests.removeIf(test -> !CATALOGUE.test(test).conduct().after().isEmpty());
        return List.copyOf(tests);
    }

    private static Selection.Candidate candidate(TestId id) {
        ExaminationTest test = CATALOGUE.test(id);
        return new Selection.Candidate(id, RoutineCheck.usual(test), test.positions());
    }

    private void bruteForce() {
        List<Double> shares = new ArrayList<>();
        SplittableRandom random = new SplittableRandom(12);
        for (String region : List.of("shoulder", "elbow", "hand")) {
            JointInformation nothing = JointInformation.of(
                    WEIGHING, Visit.usual(CATALOGUE, region, CareSetting.FIRST_CONTACT), List.of(), everything(region));
            for (int round = 0; round < 4; round++) {
                List<TestId> drawn = new ArrayList<>(everything(region).stream()
                        .filter(test -> nothing.gain(test) >= LEAST)
                        .toList());
                while (drawn.size() > TWELVE) {
                    drawn.remove(random.nextInt(drawn.size()));
                }
                PlanDuration clock = new PlanDuration(CATALOGUE.effort().changePosition(), Optional.empty());
                List<Selection.Candidate> candidates =
                        drawn.stream().map(PlanningTrial::candidate).toList();
                double budget = 90 + 60 * random.nextInt(5);
                double chosen = Selection.of(nothing, List.of(), candidates, budget, LEAST, clock)
                        .bits();
                shares.add(chosen / best(nothing, candidates, List.of(), clock, budget));
            }
        }
        double[] sorted =
                shares.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        lines.add(String.format(
                Locale.UK,
                "choice beside every set of 12 candidates, %d cases: exact in %d, mean %.4f, worst %.4f of the best",
                sorted.length,
                Arrays.stream(sorted).filter(share -> share > 1 - 1e-6).count(),
                Arrays.stream(sorted).average().orElseThrow(),
                sorted[0]));
        assertThat(sorted[0]).isGreaterThan(0.9);
    }

    private static double best(
            JointInformation so,
            List<Selection.Candidate> left,
            List<Selection.Candidate> set,
            PlanDuration clock,
            double budget) {
        double best = so.bits();
        for (int i = 0; i < left.size(); i++) {
            List<Selection.Candidate> more = new ArrayList<>(set);
            more.add(left.get(i));
            if (clock.seconds(more) <= budget) {
                best = Math.max(
                        best, best(so.with(left.get(i).test()), left.subList(i + 1, left.size()), more, clock, budget));
            }
        }
        return best;
    }

    private void ordering(int size) {
        SplittableRandom random = new SplittableRandom(size);
        double[] took = new double[ROUNDS];
        for (int round = -5; round < ROUNDS; round++) {
            List<TestId> tests = new ArrayList<>(CATALOGUE.tests().values().stream()
                    .filter(test ->
                            test.region().equals("shoulder") || test.region().equals("neck"))
                    .map(ExaminationTest::id)
                    .toList());
            while (tests.size() > size) {
                tests.remove(random.nextInt(tests.size()));
            }
            List<WorkItem> items = WorkItems.of(CATALOGUE, "shoulder", tests);
            long began = System.nanoTime();
            WorkOrder.of(items, Optional.of("Standing"));
            if (round >= 0) {
                took[round] = (System.nanoTime() - began) / 1e6;
            }
        }
        lines.add(String.format(Locale.UK, "ordering %d shoulder and neck tests exactly: %s", size, times(took)));
    }

    private void planning(String region) {
        double[] plan = new double[ROUNDS / 4];
        double[] curve = new double[ROUNDS / 4];
        Visit visit = Visit.usual(CATALOGUE, region, CareSetting.FIRST_CONTACT);
        Situation situation = new Situation(
                visit,
                List.of(),
                WEIGHING.weigh(visit, List.of(), 1),
                everything(region),
                Optional.empty(),
                Map.of(),
                false,
                Situation.Looking.usual(),
                Situation.Practice.everything());
        for (int round = -2; round < plan.length; round++) {
            long began = System.nanoTime();
            Planner.of(CATALOGUE, WEIGHING, situation).plan(900);
            long between = System.nanoTime();
            Planner.of(CATALOGUE, WEIGHING, situation).curve();
            if (round >= 0) {
                plan[round] = (between - began) / 1e6;
                curve[round] = (System.nanoTime() - between) / 1e6;
            }
        }
        lines.add(String.format(
                Locale.UK,
                "%s, %d candidates: plan for 15 min %s; curve %s",
                region,
                everything(region).size(),
                times(plan),
                times(curve)));
    }

    private static String times(double[] took) {
        double[] sorted = took.clone();
        Arrays.sort(sorted);
        return String.format(
                Locale.UK, "median %.0f ms, worst %.0f ms", sorted[sorted.length / 2], sorted[sorted.length - 1]);
    }
}
