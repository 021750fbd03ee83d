package lexicor.core.dependence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CorrelationBeliefTest {

    /** An assumption of rho is Beta(5 rho, 5 (1 - rho)), cut at 0.95. */
    @ParameterizedTest
    @CsvSource({"0.05, 0.25, 4.75", "0.1, 0.5, 4.5", "0.25, 1.25, 3.75", "0.4, 2, 3", "0.5, 2.5, 2.5", "0.6, 3, 2"})
    void an_assumption_is_held_as_a_beta(double rho, double alpha, double beta) {
        CorrelationBelief belief = CorrelationBelief.assumed(rho);
        BetaDistribution exact = new BetaDistribution(alpha, beta);
        double within = exact.cumulativeProbability(CorrelationBelief.MOST);
        for (double share : new double[] {0.025, 0.25, 0.5, 0.75, 0.975}) {
            assertThat(belief.quantile(share))
                    .as("%s of %s", share, rho)
                    .isCloseTo(exact.inverseCumulativeProbability(share * within), within(0.006));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.05, 0.37, 0.8, 0.95})
    void what_is_fixed_is_without_doubt(double rho) {
        CorrelationBelief belief = CorrelationBelief.fixed(rho);
        assertThat(belief.median()).isCloseTo(rho, within(0.0051));
        assertThat(belief)
                .isEqualTo(CorrelationBelief.fixed(rho))
                .hasSameHashCodeAs(CorrelationBelief.fixed(rho))
                .isNotEqualTo(CorrelationBelief.fixed(rho > 0.5 ? 0.1 : 0.9));
    }

    @Test
    void weights_sum_to_one_and_quantiles_rise() {
        CorrelationBelief belief = CorrelationBelief.assumed(0.4);
        double[] cumulative = belief.cumulative();
        assertThat(cumulative[cumulative.length - 1]).isCloseTo(1, within(1e-12));
        double last = -1;
        for (double share = 0.01; share < 1; share += 0.01) {
            assertThat(belief.quantile(share)).isGreaterThanOrEqualTo(last);
            last = belief.quantile(share);
        }
        assertThat(CorrelationBelief.assumed(0).median())
                .as("no correlation is no assumption")
                .isCloseTo(0, within(0.006));
    }

    @Test
    void evidence_moves_a_belief_and_a_flat_likelihood_does_not() {
        double[] prior = CorrelationBelief.logPrior(0.4);
        double[] taught = prior.clone();
        Arrays.setAll(taught, point -> prior[point] - 200 * Math.pow(CorrelationBelief.at(point) - 0.7, 2));
        double[] flat = prior.clone();
        Arrays.setAll(flat, point -> prior[point] - 3);
        assertThat(CorrelationBelief.ofLog(taught).median()).isBetween(0.6, 0.7);
        assertThat(CorrelationBelief.ofLog(flat).median())
                .isCloseTo(CorrelationBelief.assumed(0.4).median(), within(1e-12));
    }
}
