package lexicor.core.weighing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import lexicor.core.dependence.Normal;
import lexicor.core.dependence.SharedFactor;
import lexicor.core.draws.CountedTest;
import lexicor.core.evidence.TwoByTwo;
import lexicor.core.posttest.LinkedGroups;
import lexicor.core.posttest.LogOdds;
import lexicor.core.posttest.PostTest;
import lexicor.core.posttest.SingleTest;
import lexicor.core.posttest.TestGroup;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DependenceTest {

    private static final GaussIntegratorFactory GAUSS = new GaussIntegratorFactory();
    private static final SingleTest A = new SingleTest(0.8, 0.8, true);
    private static final SingleTest B = new SingleTest(0.7, 0.75, true);
    private static final SingleTest C = new SingleTest(0.75, 0.7, true);
    private static final SingleTest D = new SingleTest(0.6, 0.9, true);

    /** Worked values of the two-group example, all positive, rho 0.4 within, start 0.2. */
    @ParameterizedTest(name = "link {0}")
    @CsvSource({
        "0, 0.302445, 0.00518332, 58.3498, 0.935846",
        "0.1, 0.321211, 0.00788040, 40.7608, 0.910636",
        "0.4, 0.380510, 0.0203543, 18.6944, 0.823745"
    })
    void two_linked_groups_meet_their_worked_values(
            double link, double present, double absent, double ratio, double after) {
        TestGroup.Answer answer = new LinkedGroups(
                        link, List.of(TestGroup.of(0.4, List.of(A, B)), TestGroup.of(0.4, List.of(C, D))))
                .answer();
        assertThat(answer.givenPresent()).isCloseTo(present, withinPercentage(2e-4));
        assertThat(answer.givenAbsent()).isCloseTo(absent, withinPercentage(2e-4));
        assertThat(answer.likelihoodRatio()).isCloseTo(ratio, withinPercentage(2e-4));
        assertThat(LogOdds.ofChance(0.2).times(answer.likelihoodRatio()).chance())
                .isCloseTo(after, within(1e-6));
    }

    /** What B answers once A is positive: conditional accuracy at rho 0.4, and the chances after. */
    @Test
    void a_second_test_after_a_positive_first_meets_its_worked_values() {
        TestGroup.Answer both = TestGroup.of(0.4, List.of(A, B)).answer();
        assertThat(both.givenPresent() / 0.8).isCloseTo(0.753621, within(1e-6));
        assertThat(both.givenAbsent() / 0.2).isCloseTo(0.450589, within(1e-6));
        assertThat(PostTest.ofGroups(0.3, List.of(TestGroup.of(0.4, List.of(A, B))))
                        .chance())
                .isCloseTo(0.741414, within(1e-6));
        assertThat(PostTest.ofGroups(0.3, List.of(TestGroup.of(0.4, List.of(A, new SingleTest(0.7, 0.75, false)))))
                        .chance())
                .isCloseTo(0.434632, within(1e-6));
    }

    /** Published likelihood ratio of three of three is 10.56; independence claims 34.7, rho 0.4 gives 10.1. */
    @Test
    void dependence_holds_back_what_independence_overstates() {
        List<SingleTest> three = List.of(
                new SingleTest(0.715, 0.663, true),
                new SingleTest(0.735, 0.811, true),
                new SingleTest(0.416, 0.901, true));
        assertThat(TestGroup.of(0, three).answer().likelihoodRatio()).isCloseTo(34.7, within(0.1));
        assertThat(TestGroup.of(0.4, three).answer().likelihoodRatio()).isCloseTo(10.1, within(0.1));
    }

    /** Two answers: the bivariate normal by an independent rule, Gauss-Legendre over the correlation (Drezner 1978). */
    @Property(tries = 150)
    void two_answers_agree_with_the_bivariate_normal(
            @ForAll @DoubleRange(min = 0.05, max = 0.95) double first,
            @ForAll @DoubleRange(min = 0.05, max = 0.95) double second,
            @ForAll @DoubleRange(min = 0.01, max = 0.9) double rho) {
        double h = Normal.quantile(first);
        double k = Normal.quantile(second);
        double extra = GAUSS.legendre(48, 0, rho)
                .integrate(r -> Math.exp(-(h * h - 2 * r * h * k + k * k) / (2 * (1 - r * r)))
                        / (2 * Math.PI * Math.sqrt(1 - r * r)));
        double both = Math.exp(SharedFactor.logChance(
                List.of(new SharedFactor.Answer(first, true), new SharedFactor.Answer(second, true)), rho));
        assertThat(both).isCloseTo(first * second + extra, within(1e-8));
    }

    @Property(tries = 100)
    void all_patterns_share_out_everybody(
            @ForAll @IntRange(min = 1, max = 6) int size,
            @ForAll @DoubleRange(min = 0, max = 0.95) double rho,
            @ForAll @DoubleRange(min = 0.02, max = 0.98) double share) {
        double sum = 0;
        for (int pattern = 0; pattern < 1 << size; pattern++) {
            List<SharedFactor.Answer> answers = new ArrayList<>();
            for (int test = 0; test < size; test++) {
                answers.add(
                        new SharedFactor.Answer(Math.min(0.99, share * (1 + 0.05 * test)), (pattern >> test & 1) == 1));
            }
            sum += Math.exp(SharedFactor.logChance(answers, rho));
        }
        assertThat(sum).isCloseTo(1, within(1e-8));
    }

    @Property(tries = 100)
    void the_two_answers_of_an_undone_test_sum_to_the_pattern_without_it(
            @ForAll @DoubleRange(min = 0, max = 0.95) double rho,
            @ForAll @DoubleRange(min = 0.05, max = 0.95) double share) {
        List<SharedFactor.Answer> known =
                List.of(new SharedFactor.Answer(0.7, true), new SharedFactor.Answer(0.4, false));
        double without = Math.exp(SharedFactor.logChance(known, rho));
        double sum = 0;
        for (boolean positive : new boolean[] {true, false}) {
            List<SharedFactor.Answer> more = new ArrayList<>(known);
            more.add(new SharedFactor.Answer(share, positive));
            sum += Math.exp(SharedFactor.logChance(more, rho));
        }
        assertThat(sum / without).isCloseTo(1, within(1e-10));
    }

    @Property(tries = 60)
    void the_order_does_not_matter_and_no_dependence_is_the_product(
            @ForAll @DoubleRange(min = 0, max = 0.9) double rho) {
        List<SingleTest> tests = new ArrayList<>(List.of(A, B, new SingleTest(0.6, 0.7, false), D));
        double forwards = TestGroup.of(rho, tests).logLikelihoodRatio();
        Collections.reverse(tests);
        assertThat(TestGroup.of(rho, tests).logLikelihoodRatio()).isCloseTo(forwards, within(1e-10));
        assertThat(TestGroup.of(0, tests).answer().likelihoodRatio())
                .isCloseTo(
                        tests.stream().mapToDouble(SingleTest::likelihoodRatio).reduce(1, (x, y) -> x * y),
                        withinPercentage(1e-8));
    }

    @Test
    void identical_tests_count_once_in_the_limit() {
        assertThat(TestGroup.of(1, List.of(A, A)).answer().likelihoodRatio()).isCloseTo(4, within(1e-12));
        assertThat(TestGroup.of(1, List.of(A, B)).answer().givenPresent()).isCloseTo(0.7, within(1e-12));
        assertThat(TestGroup.of(0.95, List.of(A, A)).answer().likelihoodRatio()).isBetween(4.0, 5.5);
    }

    @Test
    void links_run_from_separate_groups_to_one_merged_group() {
        List<TestGroup> groups = List.of(TestGroup.of(0.4, List.of(A, B)), TestGroup.of(0.4, List.of(C, D)));
        assertThat(new LinkedGroups(0, groups).answer().givenPresent())
                .isCloseTo(
                        groups.get(0).answer().givenPresent()
                                * groups.get(1).answer().givenPresent(),
                        withinPercentage(1e-9));
        assertThat(new LinkedGroups(0.4, groups).answer().givenPresent())
                .isCloseTo(TestGroup.of(0.4, List.of(A, B, C, D)).answer().givenPresent(), withinPercentage(1e-6));
    }

    @Test
    void far_out_in_the_tail_ratios_keep_their_digits() {
        List<SingleTest> ten = Collections.nCopies(10, new SingleTest(0.999, 0.9999, true));
        assertThat(TestGroup.of(0, ten).logLikelihoodRatio()).isCloseTo(10 * Math.log(0.999 / 0.0001), within(1e-6));
        assertThat(Normal.logBelow(-40)).isCloseTo(-804.608442, within(1e-5));
        assertThat(Normal.logBelow(-29.999)).isCloseTo(Normal.logBelow(-30.001) + 0.002 * 30.033, within(1e-3));
    }

    @Test
    void intervals_meet_the_closed_form_of_a_single_beta() {
        CountedTest test = new CountedTest(new TwoByTwo(45, 12, 15, 68), true);
        CountedTest.Interval interval = CountedTest.interval(0.3, List.of(test), 40_000, 7);
        double odds = 0.3 / 0.7 * 5;
        assertThat(interval.median()).isCloseTo(odds / (1 + odds), within(0.01));
        assertThat(interval.lower()).isBetween(0.52, 0.58);
        assertThat(interval.upper()).isBetween(0.77, 0.82);
        assertThat(CountedTest.interval(0.3, List.of(), 100, 7).upper()).isCloseTo(0.3, within(1e-12));
        assertThat(CountedTest.interval(0.3, List.of(test), 1000, 7))
                .isEqualTo(CountedTest.interval(0.3, List.of(test), 1000, 7));
    }

    @Test
    void impossible_correlations_are_refused() {
        assertThatThrownBy(() -> TestGroup.of(1.1, List.of(A))).hasMessage("rho is 1.1; allowed: 0 to 0.99, or 1");
        assertThatThrownBy(() -> new TestGroup(0.2, -0.1, List.of(A)))
                .hasMessage("rhoAbsent is -0.1; allowed: 0 to 0.99, or 1");
        assertThatThrownBy(() -> new LinkedGroups(2, List.of())).hasMessage("link is 2.0; allowed: 0 to 1");
    }
}
