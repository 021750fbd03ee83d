package lexicor.core.dependence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FactorQuadratureTest {

    /** The mean of 1 is 1 wherever the wider factor stands. */
    @ParameterizedTest(name = "rho {0}, link {1}")
    @CsvSource({"0.4, 0.1", "0.05, 0.1", "0.1, 0.1", "0.11, 0.1", "0.95, 0.1", "0.95, 0.5", "0.4, 0", "0.5, 0.45"})
    void weights_share_out_everybody(double rho, double link) {
        for (FactorQuadrature.Rule rule : FactorQuadrature.Rule.values()) {
            FactorQuadrature kernel = FactorQuadrature.of(rho, link, rule);
            double[] ones = new double[kernel.inner()];
            Arrays.fill(ones, 1);
            double[] profile = kernel.at(ones);
            double[] outer = rule.outerWeights();
            double sum = 0;
            for (int v = 0; v < profile.length; v++) {
                sum += outer[v] * profile[v];
            }
            assertThat(sum).as(rule.name()).isCloseTo(1, within(rule == FactorQuadrature.Rule.FINE ? 1e-9 : 2e-2));
        }
    }

    /** However it is grouped and linked, one answer is as frequent as it is. */
    @Property(tries = 60)
    void one_answer_keeps_its_share(
            @ForAll @DoubleRange(min = 0, max = 0.95) double rho,
            @ForAll @DoubleRange(min = 0, max = 0.5) double link,
            @ForAll @DoubleRange(min = 0.02, max = 0.98) double share) {
        FactorQuadrature kernel = FactorQuadrature.of(rho, link, FactorQuadrature.Rule.FINE);
        double[] profile = kernel.at(kernel.answer(share, true));
        double[] outer = FactorQuadrature.Rule.FINE.outerWeights();
        double sum = 0;
        for (int v = 0; v < profile.length; v++) {
            sum += outer[v] * profile[v];
        }
        assertThat(sum).isCloseTo(share, within(1e-8));
    }

    @Test
    void without_a_link_the_wider_factor_changes_nothing() {
        FactorQuadrature kernel = FactorQuadrature.of(0.4, 0, FactorQuadrature.Rule.FINE);
        double[] profile = kernel.at(kernel.answer(0.3, true));
        assertThat(Arrays.stream(profile).max().orElseThrow()
                        - Arrays.stream(profile).min().orElseThrow())
                .isLessThan(1e-12);
    }

    /** Ratios of two groups of up to seven answers, as draws work them out. */
    @Property(tries = 200)
    void ratios_of_draws_are_off_by_little(
            @ForAll @DoubleRange(min = 0, max = 0.9) double rho,
            @ForAll @DoubleRange(min = 0, max = 0.1) double link,
            @ForAll @Size(min = 2, max = 14) List<@DoubleRange(min = 0.03, max = 0.97) Double> shares,
            @ForAll @IntRange(max = 127) int answers) {
        assertThat(logRatio(rho, link, shares, answers, FactorQuadrature.Rule.COARSE))
                .isCloseTo(logRatio(rho, link, shares, answers, FactorQuadrature.Rule.FINE), within(0.05));
    }

    /** Of the first half of some shares to the second, each with the same answers. */
    private static double logRatio(
            double rho, double link, List<Double> shares, int answers, FactorQuadrature.Rule rule) {
        int half = shares.size() / 2;
        return logChance(rho, link, shares.subList(0, half), answers, rule)
                - logChance(rho, link, shares.subList(half, 2 * half), answers, rule);
    }

    private static double logChance(
            double rho, double link, List<Double> shares, int answers, FactorQuadrature.Rule rule) {
        FactorQuadrature kernel = FactorQuadrature.of(rho, link, rule);
        double[] product = new double[kernel.inner()];
        Arrays.fill(product, 1);
        for (int j = 0; j < shares.size(); j++) {
            double[] answer = kernel.answer(shares.get(j), (answers >> j & 1) == 1);
            for (int w = 0; w < product.length; w++) {
                product[w] *= answer[w];
            }
        }
        double[] profile = kernel.at(product);
        double[] outer = rule.outerWeights();
        double sum = 0;
        for (int v = 0; v < profile.length; v++) {
            sum += outer[v] * profile[v];
        }
        return Math.log(sum);
    }

    @Test
    void the_table_for_draws_is_the_distribution_function() {
        for (double x = -8; x <= 8; x += 0.0371) {
            assertThat(PhiTable.below(x)).as("at %s", x).isCloseTo(Normal.below(x), within(1e-3 * Normal.below(x)));
        }
        assertThat(PhiTable.below(-40)).isPositive().isLessThan(1e-15);
        assertThat(PhiTable.below(40)).isEqualTo(1);
    }

    @Test
    void counts_of_correlated_answers_share_out_everybody_and_keep_their_mean() {
        double[] shares = {0.2, 0.5, 0.7, 0.9};
        for (double rho : new double[] {0, 0.3, 0.95}) {
            double[] counts = CountChances.of(shares, rho);
            double mean = 0;
            for (int k = 0; k < counts.length; k++) {
                mean += k * counts[k];
            }
            assertThat(Arrays.stream(counts).sum()).isCloseTo(1, within(1e-9));
            assertThat(mean).as("rho %s", rho).isCloseTo(2.3, within(1e-7));
        }
        assertThat(CountChances.of(shares, 0)[4]).isCloseTo(0.2 * 0.5 * 0.7 * 0.9, within(1e-9));
    }
}
