package lexicor.core.synthesis;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;

/**
 * The region of the plane of false alarms and hits that holds 95 of 100 clinics: the ellipse of the normal over the two
 * logits at the 95 % quantile of chi-squared with two degrees of freedom, taken back to proportions.
 *
 * @param edge points around it, none twice
 */
public record RocRegion(List<Point> edge) {

    private static final int POINTS = 72;

    /** The 95 % quantile of chi-squared with two degrees of freedom, -2 ln 0.05. */
    static final double QUANTILE = -2 * Math.log(0.05);

    /** A place in the plane; both within (0, 1). */
    public record Point(double falseAlarms, double sensitivity) {}

    /** The region of one criterion. */
    public static RocRegion of(PredictedAccuracy.Of one) {
        double[][] factor = new CholeskyDecomposition(new Array2DRowRealMatrix(one.predictive()), 1e-8, 1e-12)
                .getL()
                .getData();
        double radius = Math.sqrt(QUANTILE);
        List<Point> edge = new ArrayList<>();
        for (int i = 0; i < POINTS; i++) {
            double angle = 2 * Math.PI * i / POINTS;
            double first = radius * Math.cos(angle);
            double second = radius * Math.sin(angle);
            double sensitivity = one.mean()[0] + factor[0][0] * first;
            double specificity = one.mean()[1] + factor[1][0] * first + factor[1][1] * second;
            edge.add(new Point(1 - LogitNormal.logistic(specificity), LogitNormal.logistic(sensitivity)));
        }
        return new RocRegion(List.copyOf(edge));
    }
}
