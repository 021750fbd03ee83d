package lexicor.core.synthesis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import lexicor.core.synthesis.StudyRecord.Criterion;
import org.junit.jupiter.api.Test;

class RocRegionTest {

    private static final double A = 0.81;
    private static final double B = 0.49;
    private static final double SHARED = -0.3;
    private static final PredictedAccuracy.Of ONE = new PredictedAccuracy.Of(
            new Criterion("c", "t", "k"),
            new double[] {0.6, 1.4},
            new double[2][2],
            new double[][] {{A, SHARED}, {SHARED, B}},
            new double[2][2]);

    /** The squared distance of every point by the inverse of a 2x2 matrix in closed form; 5.991 from tables. */
    @Test
    void every_point_of_the_edge_is_as_far_from_the_mean_as_the_table_says() {
        for (RocRegion.Point point : RocRegion.of(ONE).edge()) {
            double a = logit(point.sensitivity()) - 0.6;
            double b = logit(1 - point.falseAlarms()) - 1.4;
            double distance = (B * a * a - 2 * SHARED * a * b + A * b * b) / (A * B - SHARED * SHARED);
            assertThat(distance).isCloseTo(5.991, within(0.001));
        }
    }

    @Test
    void the_edge_goes_around_once() {
        assertThat(RocRegion.of(ONE).edge()).hasSize(72).doesNotHaveDuplicates();
    }

    private static double logit(double share) {
        return Math.log(share / (1 - share));
    }
}
