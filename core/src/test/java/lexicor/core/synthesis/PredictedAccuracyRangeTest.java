package lexicor.core.synthesis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import lexicor.core.synthesis.StudyRecord.Criterion;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PredictedAccuracyRangeTest {

    private static final int DRAWS = 400_000;

    /** Beside quantiles of draws from the same normal, by another way of making its two parts depend. */
    @ParameterizedTest
    @ValueSource(doubles = {-0.8, 0, 0.6})
    void the_range_of_a_ratio_is_that_of_draws(double correlation) {
        double[] mean = {0.6, 1.4};
        double[] deviation = {0.9, 0.7};
        double shared = correlation * deviation[0] * deviation[1];
        double[][] predictive = {{deviation[0] * deviation[0], shared}, {shared, deviation[1] * deviation[1]}};
        PredictedAccuracy.Of one =
                new PredictedAccuracy.Of(new Criterion("c", "t", "k"), mean, predictive, predictive, new double[2][2]);
        Random random = new Random(20261130);
        double[] positive = new double[DRAWS];
        double[] negative = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            double z = random.nextGaussian();
            double a = mean[0] + deviation[0] * z;
            double b = mean[1]
                    + deviation[1]
                            * (correlation * z + Math.sqrt(1 - correlation * correlation) * random.nextGaussian());
            double sensitivity = 1 / (1 + Math.exp(-a));
            double specificity = 1 / (1 + Math.exp(-b));
            positive[i] = Math.log(sensitivity / (1 - specificity));
            negative[i] = Math.log((1 - sensitivity) / specificity);
        }
        assertRange(one.range(true), positive);
        assertRange(one.range(false), negative);
    }

    private static void assertRange(double[] range, double[] draws) {
        Arrays.sort(draws);
        assertThat(Math.log(range[0])).isCloseTo(draws[(int) (0.025 * DRAWS)], within(0.02));
        assertThat(Math.log(range[1])).isCloseTo(draws[(int) (0.975 * DRAWS)], within(0.02));
    }
}
