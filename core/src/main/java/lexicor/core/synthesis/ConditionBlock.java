package lexicor.core.synthesis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import java.util.function.Function;
import lexicor.core.synthesis.StudyRecord.Criterion;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.jspecify.annotations.Nullable;

/**
 * The records of one condition in a fit. Row 2r holds the true positives of record r, row 2r + 1 its true negatives; a
 * unit of a spread (a condition, a criterion, a study, a record) touches its records' rows by half of it, with the sign
 * of its kind.
 */
final class ConditionBlock {

    /**
     * How far an answer moves in a round at most, so that a study of very many patients does not throw it out of range.
     */
    private static final double MOST_MOVE = 2;

    /** The farthest logit that an answer takes: one patient in 500 million. */
    private static final double FARTHEST = 20;

    private final List<StudyRecord> records;
    /** For each spread its units, each the places of the records it touches. */
    private final List<List<int[]>> units;

    private final RealMatrix design;
    private final double[] positives;
    private final double[] sizes;
    private final double[] eta;
    private final double[] weights;
    private RealVector working;
    private @Nullable Linear linear;
    private RealVector pull;

    /** The inverse of the answers' covariance, and its product with the design. */
    private record Linear(RealMatrix inverse, RealMatrix inverseDesign) {}

    ConditionBlock(List<StudyRecord> unordered) {
        records = unordered.stream()
                .sorted(Comparator.comparing(StudyRecord::criterion).thenComparing(StudyRecord::id))
                .toList();
        int rows = 2 * records.size();
        // a matrix has a row at least; without records it is never read
        design = new Array2DRowRealMatrix(Math.max(1, rows), 4);
        positives = new double[rows];
        sizes = new double[rows];
        eta = new double[rows];
        weights = new double[rows];
        working = new ArrayRealVector(rows);
        pull = new ArrayRealVector(rows);
        for (int record = 0; record < records.size(); record++) {
            StudyRecord each = records.get(record);
            for (int side = 0; side < 2; side++) {
                int row = 2 * record + side;
                positives[row] = each.counts().positives()[side];
                sizes[row] = each.counts().sizes()[side];
                eta[row] = Math.log((positives[row] + 0.5) / (sizes[row] - positives[row] + 0.5));
                design.setEntry(row, side, 1);
                design.setEntry(row, 2 + side, each.originator() ? 1 : 0);
            }
        }
        List<int[]> criteria = unitsBy(StudyRecord::criterion);
        List<int[]> studies = unitsBy(StudyRecord::study);
        List<int[]> single = unitsBy(StudyRecord::id);
        List<int[]> originators = single.stream()
                .filter(unit -> records.get(unit[0]).originator())
                .toList();
        units = List.of(unitsBy(each -> ""), criteria, criteria, studies, studies, single, originators);
    }

    private List<int[]> unitsBy(Function<StudyRecord, Object> key) {
        Map<Object, List<Integer>> places = new LinkedHashMap<>();
        for (int record = 0; record < records.size(); record++) {
            places.computeIfAbsent(key.apply(records.get(record)), unit -> new ArrayList<>())
                    .add(record);
        }
        return places.values().stream()
                .map(each -> each.stream().mapToInt(Integer::intValue).toArray())
                .toList();
    }

    /** The entry of a unit in a row: half, and the second side turned round where the spread moves the sides apart. */
    private static double entry(int spread, int side) {
        boolean apart = spread == 2 || spread == 4 || spread == 5;
        return side == 1 && apart ? -0.5 : 0.5;
    }

    TreeSet<Criterion> criteria() {
        TreeSet<Criterion> criteria = new TreeSet<>();
        records.forEach(each -> criteria.add(each.criterion()));
        return criteria;
    }

    /** Working answers, weights and the inverse of their covariance at the present answers and spreads. */
    void linearise(double[] deviations) {
        int rows = eta.length;
        double[][] covariance = new double[rows][rows];
        for (int row = 0; row < rows; row++) {
            double p = LogitNormal.logistic(eta[row]);
            weights[row] = sizes[row] * p * (1 - p);
            working.setEntry(row, eta[row] + (positives[row] - sizes[row] * p) / weights[row]);
            covariance[row][row] = 1 / weights[row];
        }
        for (int j = 0; j < deviations.length; j++) {
            double variance = deviations[j] * deviations[j];
            for (int[] unit : units.get(j)) {
                for (int one : unit) {
                    for (int other : unit) {
                        for (int a = 0; a < 2; a++) {
                            for (int b = 0; b < 2; b++) {
                                covariance[2 * one + a][2 * other + b] += variance * entry(j, a) * entry(j, b);
                            }
                        }
                    }
                }
            }
        }
        RealMatrix inverse = new CholeskyDecomposition(MatrixUtils.createRealMatrix(covariance), 1e-10, 0)
                .getSolver()
                .getInverse();
        linear = new Linear(inverse, inverse.multiply(design));
    }

    /** What the last {@link #linearise} gave; nothing can be read before it. */
    private Linear linear() {
        return Objects.requireNonNull(linear, "the answers are not made linear yet");
    }

    RealMatrix information() {
        return design.transposeMultiply(linear().inverseDesign());
    }

    RealVector weighted() {
        return linear().inverseDesign().preMultiply(working);
    }

    void residuals(RealVector beta) {
        pull = linear().inverse().operate(working.subtract(design.operate(beta)));
    }

    /** Adds this block's part of each spread's new square, and its units. */
    void addSpreads(double[] deviations, RealMatrix betaCovariance, double[] sums, int[] counts) {
        RealMatrix inverseDesign = linear().inverseDesign();
        RealMatrix projection = linear().inverse()
                .subtract(inverseDesign.multiply(betaCovariance).multiplyTransposed(inverseDesign));
        for (int j = 0; j < deviations.length; j++) {
            double variance = deviations[j] * deviations[j];
            for (int[] unit : units.get(j)) {
                double along = 0;
                double within = 0;
                for (int one : unit) {
                    for (int a = 0; a < 2; a++) {
                        along += entry(j, a) * pull.getEntry(2 * one + a);
                        for (int other : unit) {
                            for (int b = 0; b < 2; b++) {
                                within += entry(j, a) * entry(j, b) * projection.getEntry(2 * one + a, 2 * other + b);
                            }
                        }
                    }
                }
                double u = variance * along;
                sums[j] += u * u + variance - variance * variance * within;
                counts[j]++;
            }
        }
    }

    /** Moves the answers to their new values; returns the largest move. */
    double moveAnswers() {
        double largest = 0;
        for (int row = 0; row < eta.length; row++) {
            double move = working.getEntry(row) - pull.getEntry(row) / weights[row] - eta[row];
            largest = Math.max(largest, Math.abs(move));
            eta[row] =
                    Math.max(-FARTHEST, Math.min(FARTHEST, eta[row] + Math.max(-MOST_MOVE, Math.min(MOST_MOVE, move))));
        }
        return largest;
    }

    /** What a clinic would find for these criteria of the condition, with or without records. */
    PredictedAccuracy predict(List<Criterion> asked, Spread spread, RealVector beta, RealMatrix betaCovariance) {
        int size = 2 * asked.size();
        RealMatrix fixed = new Array2DRowRealMatrix(size, 4);
        RealMatrix covariance = new Array2DRowRealMatrix(size, size);
        for (int i = 0; i < asked.size(); i++) {
            fixed.setEntry(2 * i, 0, 1);
            fixed.setEntry(2 * i + 1, 1, 1);
            for (int j = 0; j < asked.size(); j++) {
                add(covariance, i, j, i == j ? spread.condition().add(spread.criterion()) : spread.condition());
            }
        }
        RealVector mean = fixed.operate(beta);
        RealMatrix remaining = fixed;
        if (!records.isEmpty()) {
            RealMatrix shared = new Array2DRowRealMatrix(size, eta.length);
            for (int i = 0; i < asked.size(); i++) {
                for (int record = 0; record < records.size(); record++) {
                    boolean same = records.get(record).criterion().equals(asked.get(i));
                    add(shared, i, record, same ? spread.condition().add(spread.criterion()) : spread.condition());
                }
            }
            mean = mean.add(shared.operate(pull));
            remaining = fixed.subtract(shared.multiply(linear().inverseDesign()));
            covariance = covariance.subtract(shared.multiply(linear().inverse()).multiplyTransposed(shared));
        }
        RealMatrix posterior = covariance.add(remaining.multiply(betaCovariance).multiplyTransposed(remaining));
        RealMatrix predictive = posterior.copy();
        for (int i = 0; i < asked.size(); i++) {
            for (int j = 0; j < asked.size(); j++) {
                add(predictive, i, j, i == j ? spread.clinicShared().add(spread.clinicOwn()) : spread.clinicShared());
            }
        }
        return new PredictedAccuracy(asked, mean, posterior, predictive);
    }

    private static void add(RealMatrix to, int i, int j, RealMatrix part) {
        for (int a = 0; a < 2; a++) {
            for (int b = 0; b < 2; b++) {
                to.addToEntry(2 * i + a, 2 * j + b, part.getEntry(a, b));
            }
        }
    }
}
