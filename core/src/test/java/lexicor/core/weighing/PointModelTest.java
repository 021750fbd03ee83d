package lexicor.core.weighing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lexicor.core.catalogue.DependencyGroup;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Correlation;
import lexicor.core.evidence.Belief;
import lexicor.core.findings.Combination;
import lexicor.core.findings.FindingGroup;
import lexicor.core.findings.Weight;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.posttest.LinkedGroups;
import lexicor.core.posttest.LogOdds;
import lexicor.core.posttest.SingleTest;
import lexicor.core.posttest.TestGroup;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PointModelTest {

    /** Worked values of the next test: B (0.7, 0.75) after A (0.8, 0.8) was positive at a start of 0.3. */
    @ParameterizedTest(name = "rho {0}")
    @CsvSource({
        "0.4, 0.753621, 0.450589, 0.641977, 0.741414, 0.434632",
        "0, 0.700000, 0.250000, 0.534211, 0.827586, 0.406780"
    })
    void a_second_test_meets_its_worked_values(
            double rho, double with, double without, double positive, double afterPositive, double afterNegative) {
        Optional<Correlation> group = Optional.of(correlation("g", rho));
        PointModel model = new PointModel(
                new Combination(List.of(new FindingGroup(group, List.of(load(0.8, 0.8, true)))), List.of()), 0.1);
        PointModel.Predicted next = model.predict(group, new Weight.Proportions(belief(0.7, 0.75), true));
        double now = LogOdds.chance(LogOdds.ofChance(0.3).value() + model.logLikelihoodRatio());
        assertThat(now).isCloseTo(0.631579, within(1e-6));
        assertThat(next.withCondition()).isCloseTo(with, within(1e-6));
        assertThat(next.withoutCondition()).isCloseTo(without, within(1e-6));
        assertThat(now * with + (1 - now) * without).isCloseTo(positive, within(2e-6));
        assertThat(LogOdds.ofChance(now).times(next.likelihoodRatio(true)).chance())
                .isCloseTo(afterPositive, within(1e-6));
        assertThat(LogOdds.ofChance(now).times(next.likelihoodRatio(false)).chance())
                .isCloseTo(afterNegative, within(1e-6));
        double bits = ExpectedInformation.entropy(now)
                - positive * ExpectedInformation.entropy(afterPositive)
                - (1 - positive) * ExpectedInformation.entropy(afterNegative);
        assertThat(bits).isCloseTo(rho == 0 ? 0.141124 : 0.0664785, within(1e-5));
    }

    /** The double integral in another order: each number must be that of the nested sums. */
    @Property(tries = 60)
    void every_number_is_that_of_the_nested_double_sum(
            @ForAll @DoubleRange(min = 0, max = 0.95) double rho,
            @ForAll @DoubleRange(min = 0, max = 0.3) double link,
            @ForAll @IntRange(min = 1, max = 7) int size,
            @ForAll long seed) {
        Random random = new Random(seed);
        List<FindingGroup> bundles = new ArrayList<>();
        List<TestGroup> groups = new ArrayList<>();
        double[] rhos = {rho, 0.4};
        for (int g = 0; g < 2; g++) {
            List<WeightedFinding> loads = loads(random, g == 0 ? size : 2);
            double ofGroup = loads.size() == 1 ? link : rhos[g];
            bundles.add(new FindingGroup(
                    loads.size() == 1 ? Optional.empty() : Optional.of(correlation("g" + g, ofGroup)), loads));
            groups.add(TestGroup.of(
                    ofGroup, loads.stream().map(PointModelTest::single).toList()));
        }
        double expected = Math.log(new LinkedGroups(link, groups).answer().likelihoodRatio());
        assertThat(new PointModel(new Combination(bundles, List.of()), link).logLikelihoodRatio())
                .isCloseTo(expected, within(1e-7 * Math.max(1, Math.abs(expected))));
    }

    @Property(tries = 200)
    void an_undone_test_shares_the_pattern_out_between_its_answers(
            @ForAll @DoubleRange(min = 0, max = 0.95) double rho, @ForAll long seed) {
        Random random = new Random(seed);
        Optional<Correlation> group = Optional.of(correlation("g", rho));
        List<WeightedFinding> known = loads(random, 3);
        WeightedFinding next = loads(random, 1).get(0);
        FindingGroup other = new FindingGroup(Optional.of(correlation("other", 0.4)), loads(random, 2));
        PointModel before =
                new PointModel(new Combination(List.of(new FindingGroup(group, known), other), List.of()), 0.1);
        PointModel.Predicted predicted = before.predict(group, (Weight.Proportions) next.weight());
        for (boolean positive : new boolean[] {true, false}) {
            List<WeightedFinding> more = new ArrayList<>(known);
            more.add(new WeightedFinding(
                    next.tests(),
                    positive,
                    "",
                    new Weight.Proportions(((Weight.Proportions) next.weight()).belief(), positive),
                    Optional.empty(),
                    Optional.empty(),
                    "",
                    false,
                    false));
            double after = new PointModel(
                            new Combination(List.of(new FindingGroup(group, more), other), List.of()), 0.1)
                    .logLikelihoodRatio();
            double start = LogOdds.ofChance(0.3).value();
            double foreseen =
                    LogOdds.chance(start + before.logLikelihoodRatio() + Math.log(predicted.likelihoodRatio(positive)));
            assertThat(LogOdds.chance(start + after)).isCloseTo(foreseen, within(1e-8));
        }
    }

    /** Swapping sensitivity for false alarms turns every ratio over. */
    @Property(tries = 40)
    void present_and_absent_swapped_turn_the_ratio_over(
            @ForAll @DoubleRange(min = 0, max = 0.9) double rho, @ForAll long seed) {
        List<WeightedFinding> loads = loads(new Random(seed), 4);
        List<WeightedFinding> swapped = loads.stream()
                .map(each -> {
                    Belief belief = ((Weight.Proportions) each.weight()).belief();
                    return load(1 - belief.specificity(), 1 - belief.sensitivity(), each.positive());
                })
                .toList();
        Optional<Correlation> group = Optional.of(correlation("g", rho));
        double one = new PointModel(new Combination(List.of(new FindingGroup(group, loads)), List.of()), 0.1)
                .logLikelihoodRatio();
        double other = new PointModel(new Combination(List.of(new FindingGroup(group, swapped)), List.of()), 0.1)
                .logLikelihoodRatio();
        assertThat(other).isCloseTo(-one, within(1e-9));
    }

    private static List<WeightedFinding> loads(Random random, int size) {
        List<WeightedFinding> loads = new ArrayList<>();
        for (int j = 0; j < size; j++) {
            loads.add(load(0.05 + 0.9 * random.nextDouble(), 0.05 + 0.9 * random.nextDouble(), random.nextBoolean()));
        }
        return loads;
    }

    private static WeightedFinding load(double sensitivity, double specificity, boolean positive) {
        return load(sensitivity, specificity, positive, 100);
    }

    private static WeightedFinding load(double sensitivity, double specificity, boolean positive, double size) {
        Belief belief = new Belief.OfCounts(
                size * sensitivity, size * (1 - sensitivity), size * specificity, size * (1 - specificity));
        return new WeightedFinding(
                List.of(TestId.of("sh-arc")),
                positive,
                "",
                new Weight.Proportions(belief, positive),
                Optional.empty(),
                Optional.empty(),
                "",
                false,
                false);
    }

    private static Belief belief(double sensitivity, double specificity) {
        return ((Weight.Proportions) load(sensitivity, specificity, true).weight()).belief();
    }

    private static SingleTest single(WeightedFinding load) {
        Weight.Proportions weight = (Weight.Proportions) load.weight();
        return new SingleTest(weight.belief().sensitivity(), weight.belief().specificity(), weight.positive());
    }

    private static Correlation correlation(String id, double rho) {
        return Correlation.assumed(new DependencyGroup(id, id, List.of(), List.of(), rho, List.of()))
                .chosen(rho);
    }
}
