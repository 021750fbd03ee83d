package lexicor.core.outcomes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.ToDoubleFunction;
import lexicor.core.evidence.Estimate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AgreementTest {

    private static double kappa(double[] p) {
        double observed = p[0] + p[3];
        double expected = (p[0] + p[1]) * (p[0] + p[2]) + (p[2] + p[3]) * (p[1] + p[3]);
        return (observed - expected) / (1 - expected);
    }

    /** Variance of a function of multinomial shares by its numerical gradient. */
    static double deltaVariance(double[] shares, double n, ToDoubleFunction<double[]> of) {
        double step = 1e-6;
        double[] gradient = new double[shares.length];
        for (int i = 0; i < shares.length; i++) {
            double[] up = shares.clone();
            double[] down = shares.clone();
            up[i] += step;
            down[i] -= step;
            gradient[i] = (of.applyAsDouble(up) - of.applyAsDouble(down)) / (2 * step);
        }
        double mean = 0;
        double square = 0;
        for (int i = 0; i < shares.length; i++) {
            mean += shares[i] * gradient[i];
            square += shares[i] * gradient[i] * gradient[i];
        }
        return (square - mean * mean) / n;
    }

    @ParameterizedTest
    @CsvSource({"20, 5, 10, 15", "40, 9, 6, 45", "1, 2, 3, 60", "88, 10, 14, 10"})
    void the_limits_are_those_of_the_delta_method(int both, int first, int second, int neither) {
        Agreement agreement = new Agreement(both, first, second, neither);
        double n = both + first + second + neither;
        double[] shares = {both / n, first / n, second / n, neither / n};
        Estimate kappa = agreement.kappa().orElseThrow();
        double half = 1.959963984540054 * Math.sqrt(deltaVariance(shares, n, AgreementTest::kappa));
        assertThat(kappa.estimate()).isCloseTo(kappa(shares), within(1e-12));
        assertThat(kappa.lower()).isCloseTo(Math.max(-1, kappa(shares) - half), within(1e-7));
        assertThat(kappa.upper()).isCloseTo(Math.min(1, kappa(shares) + half), within(1e-7));
    }

    @Test
    void closed_forms_of_a_small_table() {
        Agreement agreement = new Agreement(20, 5, 10, 15);
        assertThat(agreement.observed()).isCloseTo(0.7, within(1e-12));
        assertThat(agreement.expected()).isCloseTo(0.5, within(1e-12));
        assertThat(agreement.kappa().orElseThrow().estimate()).isCloseTo(0.4, within(1e-12));
        assertThat(agreement.adjustedKappa()).isCloseTo(0.4, within(1e-12));
        assertThat(agreement.positiveAgreement().orElseThrow()).isCloseTo(40.0 / 55, within(1e-12));
        assertThat(agreement.negativeAgreement().orElseThrow()).isCloseTo(30.0 / 45, within(1e-12));
    }

    @Test
    void one_answer_throughout_leaves_kappa_open_and_full_agreement_is_one() {
        Agreement same = new Agreement(30, 0, 0, 0);
        assertThat(same.kappa()).isEmpty();
        assertThat(same.observed()).isEqualTo(1);
        assertThat(same.negativeAgreement()).isEmpty();
        Estimate full = new Agreement(10, 0, 0, 20).kappa().orElseThrow();
        assertThat(full).isEqualTo(new Estimate(1, 1, 1));
    }

    @Test
    void the_limits_hold_the_truth_in_about_95_of_100_trials() {
        Random random = new Random(11);
        double[] shares = {0.35, 0.1, 0.15, 0.4};
        int held = 0;
        int trials = 2000;
        for (int trial = 0; trial < trials; trial++) {
            int[] counts = new int[4];
            for (int patient = 0; patient < 120; patient++) {
                double draw = random.nextDouble();
                int cell = draw < 0.35 ? 0 : draw < 0.45 ? 1 : draw < 0.6 ? 2 : 3;
                counts[cell]++;
            }
            Estimate kappa = new Agreement(counts[0], counts[1], counts[2], counts[3])
                    .kappa()
                    .orElseThrow();
            held += kappa.lower() <= kappa(shares) && kappa(shares) <= kappa.upper() ? 1 : 0;
        }
        assertThat(held / (double) trials).isBetween(0.93, 0.965);
    }

    @Test
    void a_negative_count_and_no_patient_are_refused() {
        assertThatThrownBy(() -> new Agreement(-1, 0, 0, 3)).hasMessageContaining("a count is negative");
        assertThatThrownBy(() -> new Agreement(0, 0, 0, 0)).hasMessageContaining("at least one patient");
    }
}
