package lexicor.core.tracking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class TrendTest {

    @Test
    void four_visits_that_grow_are_growth() {
        Trend trend = Trend.of(new double[] {0, 14, 28, 42}, new double[] {40, 44, 48, 52});
        assertThat(trend.slope()).isCloseTo(4.0 / 14, within(1e-12));
        assertThat(trend.lower()).isPositive();
        assertThat(trend.pairs()).isEqualTo(6);
    }

    /** Ten visits; the ranks by hand: 45 slopes, variance 10·9·25/18 = 125, so ranks 11 and 33 from nought. */
    @Test
    void the_limits_are_the_slopes_of_the_ranks_that_kendalls_variance_gives() {
        double[] days = {0, 1, 2, 3, 4, 5, 6, 7, 8, 9};
        double[] values = {2, 3.1, 3.9, 5.3, 5.8, 7.4, 7.9, 9.2, 9.8, 11.5};
        double[] slopes = new double[45];
        int count = 0;
        for (int i = 0; i < 10; i++) {
            for (int j = i + 1; j < 10; j++) {
                slopes[count++] = (values[j] - values[i]) / (days[j] - days[i]);
            }
        }
        java.util.Arrays.sort(slopes);
        Trend trend = Trend.of(days, values);
        assertThat(trend.slope()).isEqualTo(slopes[22]);
        assertThat(trend.lower()).isEqualTo(slopes[11 - 1]);
        assertThat(trend.upper()).isEqualTo(slopes[33]);
    }

    @Test
    void ties_narrow_the_ranks() {
        double[] days = {0, 0, 7, 7, 14, 14, 21, 21};
        double[] values = {10, 11, 12, 12, 15, 14, 15, 17};
        Trend trend = Trend.of(days, values);
        assertThat(trend.pairs()).isEqualTo(24);
        assertThat(trend.slope()).isBetween(trend.lower(), trend.upper());
    }

    @Test
    void the_limits_hold_the_slope_in_about_95_of_100_trials() {
        Random random = new Random(5);
        int held = 0;
        int trials = 2000;
        for (int trial = 0; trial < trials; trial++) {
            double[] days = new double[8];
            double[] values = new double[8];
            for (int visit = 0; visit < 8; visit++) {
                days[visit] = 14 * visit;
                values[visit] = 30 + 0.9 * days[visit] + 4 * random.nextGaussian();
            }
            Trend trend = Trend.of(days, values);
            held += trend.lower() <= 0.9 && 0.9 <= trend.upper() ? 1 : 0;
        }
        assertThat(held / (double) trials).isBetween(0.93, 0.98);
    }

    @Test
    void one_day_alone_unequal_lists_and_numbers_without_end_are_refused() {
        assertThatThrownBy(() -> Trend.of(new double[] {3, 3}, new double[] {1, 2}))
                .hasMessageContaining("all visits are on one day; allowed: at least two days");
        assertThatThrownBy(() -> Trend.of(new double[] {3}, new double[] {1, 2}))
                .hasMessageContaining("1 days and 2 values");
        assertThatThrownBy(() -> Trend.of(new double[] {3, Double.NaN}, new double[] {1, 2}))
                .hasMessageContaining("not finite");
    }

    @Test
    void noise_follows_from_reliability_and_spread() {
        MeasurementError error = MeasurementError.of(0.91, 10);
        assertThat(error.standardError()).isCloseTo(3, within(1e-12));
        assertThat(error.detectableChange()).isCloseTo(1.96 * Math.sqrt(2) * 3, within(1e-12));
        assertThat(error.beyondNoise(-9)).isTrue();
        assertThat(error.beyondNoise(8)).isFalse();
        assertThatThrownBy(() -> MeasurementError.of(1.2, 10)).hasMessageContaining("reliability is 1.2");
        assertThatThrownBy(() -> MeasurementError.of(0.9, -1)).hasMessageContaining("sd is -1.0");
    }
}
