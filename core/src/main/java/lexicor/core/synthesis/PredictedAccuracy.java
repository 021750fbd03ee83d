package lexicor.core.synthesis;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import lexicor.core.synthesis.StudyRecord.Counts;
import lexicor.core.synthesis.StudyRecord.Criterion;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.jspecify.annotations.Nullable;

/**
 * What a clinic would find for all criteria of one condition, jointly: normal over the logits, in the order sensitivity
 * and specificity of the first criterion, of the second, and so on.
 */
public final class PredictedAccuracy {

    /** Half the points of a side of the grid, and how many there are to a unit. */
    private static final int GRID = 32;

    private static final double GRID_STEPS = 8;
    private static final double TAIL = 0.025;

    /** How much the clinic's own patients may differ from what it would find in the long run, on the logit. */
    private static final double LOCAL_SD = 0.3;

    private static final int MOST_ROUNDS = 500;
    private static final double CLOSE = 1e-10;

    private final List<Criterion> criteria;
    private final Base base;
    private final Map<Criterion, Counts> own;
    private final RealVector mean;
    private final RealMatrix predictive;
    private final Map<Double, PredictedAccuracy> elsewhere = new ConcurrentHashMap<>();
    private volatile double @Nullable [][] factor;

    /**
     * What others' studies say.
     *
     * @param posterior what is uncertain of the mean itself
     * @param predictive the same and how clinics differ
     * @param between how clinics differ
     */
    private record Base(RealVector mean, RealMatrix posterior, RealMatrix predictive, RealMatrix between) {

        static Base of(RealVector mean, RealMatrix posterior, RealMatrix predictive) {
            return new Base(mean, posterior, predictive, predictive.subtract(posterior));
        }
    }

    PredictedAccuracy(List<Criterion> criteria, RealVector mean, RealMatrix posterior, RealMatrix predictive) {
        this(criteria, Base.of(mean, posterior, predictive), Map.of());
    }

    private PredictedAccuracy(List<Criterion> criteria, Base base, Map<Criterion, Counts> own) {
        this.criteria = List.copyOf(criteria);
        this.base = base;
        this.own = Map.copyOf(own);
        Update moved = moved(criteria, base, own);
        this.mean = moved.mean();
        this.predictive = moved.covariance();
    }

    /**
     * What is predicted for one criterion: of sensitivity (0) and specificity (1), on the logit.
     *
     * @param posterior what is uncertain of the mean itself, before the clinic's own counts
     * @param predictive what is uncertain of this clinic
     * @param between how clinics differ
     */
    public record Of(
            Criterion criterion, double[] mean, double[][] posterior, double[][] predictive, double[][] between) {

        /**
         * The same where the clinic's way of doing the test may differ from the studied one as much as clinics differ
         * from each other.
         */
        public Of wider() {
            double[][] more = new double[2][2];
            for (int i = 0; i < 2; i++) {
                for (int j = 0; j < 2; j++) {
                    more[i][j] = predictive[i][j] + between[i][j];
                }
            }
            return new Of(criterion, mean, posterior, more, between);
        }

        /** The mean sensitivity over what a clinic may find. */
        public double sensitivity() {
            return LogitNormal.mean(mean[0], predictive[0][0]);
        }

        /** The mean specificity over what a clinic may find. */
        public double specificity() {
            return LogitNormal.mean(mean[1], predictive[1][1]);
        }

        /** The ratio of the two means for a positive answer. */
        public double ratioPositive() {
            return sensitivity() / (1 - specificity());
        }

        /**
         * The range that holds the likelihood ratio of a clinic in 95 of 100, lower end first: the weighted quantiles
         * of the ratio over a grid of standard normals from -4 to 4 in steps of 1/8, two-dimensional.
         */
        public double[] range(boolean positive) {
            double[][] factor = new CholeskyDecomposition(new Array2DRowRealMatrix(predictive), 1e-8, 1e-12)
                    .getL()
                    .getData();
            int side = 2 * GRID + 1;
            double[][] points = new double[side * side][];
            double all = 0;
            for (int i = 0; i < points.length; i++) {
                double one = (i / side - GRID) / GRID_STEPS;
                double other = (i % side - GRID) / GRID_STEPS;
                double weight = Math.exp(-(one * one + other * other) / 2);
                double sensitivity = LogitNormal.logistic(mean[0] + factor[0][0] * one);
                double specificity = LogitNormal.logistic(mean[1] + factor[1][0] * one + factor[1][1] * other);
                points[i] = new double[] {
                    positive ? sensitivity / (1 - specificity) : (1 - sensitivity) / specificity, weight
                };
                all += weight;
            }
            Arrays.sort(points, Comparator.comparingDouble(point -> point[0]));
            return new double[] {quantile(points, TAIL * all), quantile(points, (1 - TAIL) * all)};
        }

        private static double quantile(double[][] points, double upTo) {
            double sum = 0;
            for (double[] point : points) {
                sum += point[1];
                if (sum >= upTo) {
                    return point[0];
                }
            }
            return points[points.length - 1][0];
        }

        /** The ratio of the two means for a negative answer. */
        public double ratioNegative() {
            return (1 - sensitivity()) / specificity();
        }
    }

    /** The criteria in the order of the mean and the covariances. */
    public List<Criterion> criteria() {
        return criteria;
    }

    /** The logits, two to a criterion. */
    public double[] mean() {
        return mean.toArray();
    }

    /** What is uncertain of the mean itself. */
    public double[][] posterior() {
        return base.posterior().getData();
    }

    /** What is uncertain of one clinic: the mean's own uncertainty and how clinics differ. */
    public double[][] predictive() {
        return predictive.getData();
    }

    /** One criterion of them by its place. */
    public Of at(int place) {
        int row = 2 * place;
        return new Of(
                criteria.get(place),
                new double[] {mean.getEntry(row), mean.getEntry(row + 1)},
                block(base.posterior(), row),
                block(predictive, row),
                block(base.between(), row));
    }

    private static double[][] block(RealMatrix matrix, int row) {
        return matrix.getSubMatrix(row, row + 1, row, row + 1).getData();
    }

    /**
     * The same where clinics differ more or less than the ledger has it; the clinic's own counts then weigh more or
     * less against what others found.
     *
     * @param clinics factor on the variance between clinics, 0 or more; 1 as the ledger has it
     */
    public PredictedAccuracy in(double clinics) {
        return clinics == 1
                ? this
                : elsewhere.computeIfAbsent(
                        clinics,
                        times -> new PredictedAccuracy(
                                criteria,
                                Base.of(
                                        base.mean(),
                                        base.posterior(),
                                        base.posterior().add(base.between().scalarMultiply(times))),
                                own));
    }

    /**
     * The Cholesky factor of what is uncertain of one clinic: draws of all criteria are the mean plus the factor times
     * independent standard normals.
     */
    public double[][] factor() {
        double[][] known = factor;
        if (known == null) {
            known = new CholeskyDecomposition(predictive, 1e-8, 1e-12).getL().getData();
            factor = known;
        }
        return known;
    }

    /**
     * The same where what is said of some criteria stands by itself, without what is known of other tests.
     *
     * @param alone by criterion; one that is not among these says nothing
     */
    public PredictedAccuracy with(Map<Criterion, Alone> alone) {
        RealVector means = base.mean().copy();
        RealMatrix posterior = base.posterior().copy();
        RealMatrix between = base.between().copy();
        for (int place = 0; place < criteria.size(); place++) {
            Alone one = alone.get(criteria.get(place));
            if (one != null) {
                for (int side = 0; side < 2; side++) {
                    int row = 2 * place + side;
                    means.setEntry(row, one.mean()[side]);
                    for (int other = 0; other < means.getDimension(); other++) {
                        set(posterior, row, other, 0);
                        set(between, row, other, 0);
                    }
                }
                posterior.setSubMatrix(one.posterior(), 2 * place, 2 * place);
                between.setSubMatrix(one.between(), 2 * place, 2 * place);
            }
        }
        return new PredictedAccuracy(criteria, Base.of(means, posterior, posterior.add(between)), own);
    }

    private static void set(RealMatrix matrix, int row, int column, double value) {
        matrix.setEntry(row, column, value);
        matrix.setEntry(column, row, value);
    }

    /** All criteria one by one. */
    public List<Of> each() {
        return IntStream.range(0, criteria.size()).mapToObj(this::at).toList();
    }

    /**
     * After the clinic's own counts, taken in turn; a side without patients says nothing. Through what the clinic's
     * tests share they move its other criteria too.
     */
    public PredictedAccuracy after(Map<Criterion, Counts> counts) {
        Map<Criterion, Counts> all = new HashMap<>(own);
        all.putAll(counts);
        return new PredictedAccuracy(criteria, base, all);
    }

    private static Update moved(List<Criterion> criteria, Base base, Map<Criterion, Counts> own) {
        Update moved = new Update(base.mean(), base.predictive());
        for (int place = 0; place < criteria.size(); place++) {
            Counts counts = own.get(criteria.get(place));
            if (counts != null) {
                int at = place;
                int[] sides = IntStream.range(0, 2)
                        .filter(side -> counts.sizes()[side] > 0)
                        .toArray();
                int[] rows = Arrays.stream(sides).map(side -> 2 * at + side).toArray();
                if (rows.length > 0) {
                    moved = updated(moved.mean(), moved.covariance(), rows, sides, counts);
                }
            }
        }
        return moved;
    }

    private record Update(RealVector mean, RealMatrix covariance) {}

    private static Update updated(RealVector mean, RealMatrix covariance, int[] rows, int[] sides, Counts counts) {
        int size = rows.length;
        int[] all = IntStream.range(0, mean.getDimension()).toArray();
        RealMatrix own = covariance.getSubMatrix(rows, rows);
        RealMatrix cross = covariance.getSubMatrix(all, rows);
        double[] eta = new double[size];
        for (int i = 0; i < size; i++) {
            double x = counts.positives()[sides[i]];
            double n = counts.sizes()[sides[i]];
            eta[i] = Math.log((x + 0.5) / (n - x + 0.5));
        }
        RealMatrix inverse = null;
        RealVector pull = new ArrayRealVector(size);
        for (int round = 0; round < MOST_ROUNDS; round++) {
            RealMatrix v = own.copy();
            double[] z = new double[size];
            double[] w = new double[size];
            for (int i = 0; i < size; i++) {
                double p = LogitNormal.logistic(eta[i]);
                double n = counts.sizes()[sides[i]];
                w[i] = n * p * (1 - p);
                z[i] = eta[i] + (counts.positives()[sides[i]] - n * p) / w[i] - mean.getEntry(rows[i]);
                v.addToEntry(i, i, LOCAL_SD * LOCAL_SD + 1 / w[i]);
            }
            inverse = new LUDecomposition(v).getSolver().getInverse();
            pull = inverse.operate(new ArrayRealVector(z));
            double largest = 0;
            for (int i = 0; i < size; i++) {
                double move = mean.getEntry(rows[i]) + z[i] - pull.getEntry(i) / w[i] - eta[i];
                largest = Math.max(largest, Math.abs(move));
                eta[i] += Math.max(-2, Math.min(2, move));
            }
            if (largest < CLOSE) {
                break;
            }
        }
        RealMatrix after = covariance.subtract(cross.multiply(inverse).multiplyTransposed(cross));
        return new Update(mean.add(cross.operate(pull)), new Array2DRowRealMatrix(after.getData(), false));
    }
}
