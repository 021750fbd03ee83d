package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SelectionTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final double LEAST = CATALOGUE.effort().leastBits();
    private static final double CHANGE = CATALOGUE.effort().changePosition();

    private static List<TestId> tests(String region) {
        Set<TestId> tests = new LinkedHashSet<>(CATALOGUE.routine(region).order());
        tests.addAll(CATALOGUE.beyondRoutine(region));
        return List.copyOf(tests);
    }

    private static JointInformation nothing(String region) {
        return JointInformation.of(
                WEIGHING, Visit.usual(CATALOGUE, region, CareSetting.FIRST_CONTACT), List.of(), tests(region));
    }

    private static Selection.Candidate candidate(TestId id) {
        ExaminationTest test = CATALOGUE.test(id);
        return new Selection.Candidate(
                id, test.seconds() * (test.wellSideParts().isEmpty() ? 1 : 2), test.positions());
    }

    /** What a set takes, by its definition: every choice of positions tried. */
    private static double seconds(List<Selection.Candidate> set) {
        double tests = set.stream().mapToDouble(Selection.Candidate::seconds).sum();
        return tests + CHANGE * Math.max(0, fewest(set, Set.of()) - 1);
    }

    private static int fewest(List<Selection.Candidate> left, Set<String> used) {
        if (left.isEmpty()) {
            return used.size();
        }
        int least = Integer.MAX_VALUE;
        for (String position : left.get(0).positions()) {
            Set<String> more = new LinkedHashSet<>(used);
            more.add(position);
            least = Math.min(least, fewest(left.subList(1, left.size()), more));
        }
        return least;
    }

    /** Ten random cases of nine candidates that have something to say, against every set of them. */
    @ParameterizedTest
    @CsvSource({"shoulder, 120", "shoulder, 240", "hand, 120", "hand, 300", "elbow, 150"})
    void no_set_of_nine_candidates_tells_much_more(String region, double budget) {
        JointInformation nothing = nothing(region);
        List<TestId> speaking = tests(region).stream()
                .filter(test -> nothing.gain(test) >= LEAST)
                .toList();
        SplittableRandom random = new SplittableRandom(7);
        for (int round = 0; round < 2; round++) {
            List<TestId> drawn = new ArrayList<>(speaking);
            while (drawn.size() > 9) {
                drawn.remove(random.nextInt(drawn.size()));
            }
            List<Selection.Candidate> candidates =
                    drawn.stream().map(SelectionTest::candidate).toList();
            Selection chosen = Selection.of(
                    nothing, List.of(), candidates, budget, LEAST, new PlanDuration(CHANGE, Optional.empty()));
            List<Selection.Candidate> set = candidates.stream()
                    .filter(each -> chosen.tests().contains(each.test()))
                    .toList();
            assertThat(chosen.seconds()).isCloseTo(seconds(set), within(1e-9)).isLessThanOrEqualTo(budget);
            double best = best(nothing, candidates, List.of(), budget);
            assertThat(chosen.bits())
                    .as("%s in %.0f s, best %.4f bits", region, budget, best)
                    .isBetween(0.93 * best, best + 1e-6);
        }
    }

    private static double best(
            JointInformation so, List<Selection.Candidate> left, List<Selection.Candidate> set, double budget) {
        double best = so.bits();
        for (int i = 0; i < left.size(); i++) {
            List<Selection.Candidate> more = new ArrayList<>(set);
            more.add(left.get(i));
            if (seconds(more) <= budget) {
                best = Math.max(
                        best, best(so.with(left.get(i).test()), left.subList(i + 1, left.size()), more, budget));
            }
        }
        return best;
    }

    @Test
    void more_time_never_tells_less_and_without_a_limit_it_ends_when_nothing_is_worth_doing() {
        JointInformation nothing = nothing("hand");
        List<Selection.Candidate> candidates =
                tests("hand").stream().map(SelectionTest::candidate).toList();
        double last = 0;
        for (double minutes : new double[] {2, 5, 10, 15, Double.POSITIVE_INFINITY}) {
            Selection chosen = Selection.of(
                    nothing,
                    List.of(),
                    candidates,
                    60 * minutes,
                    LEAST,
                    new PlanDuration(CHANGE, Optional.of("Sitting")));
            assertThat(chosen.seconds()).isLessThanOrEqualTo(60 * minutes);
            assertThat(chosen.bits()).isGreaterThanOrEqualTo(last - 0.01);
            last = chosen.bits();
        }
        Selection free = Selection.of(
                nothing,
                List.of(),
                candidates,
                Double.POSITIVE_INFINITY,
                LEAST,
                new PlanDuration(CHANGE, Optional.of("Sitting")));
        assertThat(free.tests().size()).isLessThan(candidates.size());
    }

    @Test
    void without_time_or_without_candidates_nothing_is_chosen_and_a_test_without_time_is_refused() {
        assertThat(Selection.of(
                                nothing("elbow"),
                                List.of(),
                                tests("elbow").stream()
                                        .map(SelectionTest::candidate)
                                        .toList(),
                                0,
                                LEAST,
                                new PlanDuration(CHANGE, Optional.empty()))
                        .tests())
                .isEmpty();
        assertThat(Selection.of(
                                nothing("elbow"),
                                List.of(),
                                List.of(),
                                600,
                                LEAST,
                                new PlanDuration(CHANGE, Optional.empty()))
                        .bits())
                .isZero();
        assertThatThrownBy(() -> new Selection.Candidate(TestId.of("sh-arc"), 0, List.of("Sitting")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("more than 0");
    }
}
