package lexicor.core.synthesis;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import lexicor.core.synthesis.StudyRecord.Counts;
import org.hipparchus.analysis.MultivariateFunction;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;
import org.hipparchus.special.Gamma;

/**
 * The bivariate binomial-normal model of a test's studies (Chu and Cole, J Clin Epidemiol 2006): logits of sensitivity
 * and specificity normal between studies, counts binomial within. Likelihood by adaptive Gauss-Hermite quadrature.
 */
final class Bivariate {

    private static final int NODES = 21;
    private static final double MOST_LOG_SD = 7;
    private static final double MOST_ATANH = 4;
    private static final double LEAST_START_SD = 0.3;
    private static final double EDGE = 0.25;
    private static final double CLOSE = 1e-8;
    private static final int MOST_RESTARTS = 6;
    private static final double DIFFERENCE = 1e-3;
    private static final double HIGH_CORRELATION = 0.95;
    private static final double LEAST_SD = 0.01;

    private static final double[] POINTS;
    private static final double[] LOG_WEIGHTS;

    static {
        GaussIntegrator hermite = new GaussIntegratorFactory(NODES).hermite(NODES);
        POINTS = IntStream.range(0, NODES).mapToDouble(hermite::getPoint).toArray();
        LOG_WEIGHTS = IntStream.range(0, NODES)
                .mapToDouble(i -> Math.log(hermite.getWeight(i)))
                .toArray();
    }

    private final double[][] positives;
    private final double[][] sizes;
    private String reason = "";

    Bivariate(List<Counts> studies) {
        positives = studies.stream().map(Counts::positives).toArray(double[][]::new);
        sizes = studies.stream().map(Counts::sizes).toArray(double[][]::new);
    }

    /** What a fit gives: means and errors of the logits, deviations between studies. */
    record Estimate(double[] mean, double[] errors, double[] deviations, double correlation, double logLikelihood) {}

    /** Why the two sides could not be fitted together. */
    String reason() {
        return reason;
    }

    /** Both sides with their correlation; empty, with a reason, where it cannot be told. */
    Optional<Estimate> together() {
        double[] start = new double[5];
        for (int side = 0; side < 2; side++) {
            start[side] = mean(side);
            start[2 + side] = Math.log(Math.max(LEAST_START_SD, deviation(side)));
        }
        Optional<double[]> found = maximum(start, this::joint);
        if (found.isEmpty()) {
            reason = "the fit with a correlation did not settle";
            return Optional.empty();
        }
        double[] at = found.get();
        double rho = Math.tanh(at[4]);
        if (Math.abs(rho) > HIGH_CORRELATION) {
            reason = "the correlation lies beyond 0.95";
            return Optional.empty();
        }
        if (Math.min(at[2], at[3]) < Math.log(LEAST_SD)) {
            reason = "a spread between the studies is next to nothing";
            return Optional.empty();
        }
        Optional<RealMatrix> covariance = covariance(at, this::joint);
        if (covariance.isEmpty()) {
            reason = "the studies do not tell all of means, spreads and correlation";
            return Optional.empty();
        }
        double[] errors = {
            Math.sqrt(covariance.get().getEntry(0, 0)),
            Math.sqrt(covariance.get().getEntry(1, 1))
        };
        return Optional.of(new Estimate(
                new double[] {at[0], at[1]}, errors, new double[] {Math.exp(at[2]), Math.exp(at[3])}, rho, joint(at)));
    }

    /** Each side by itself; empty where that does not settle either. */
    Optional<Estimate> apart() {
        Optional<double[]> one = alone(0);
        Optional<double[]> other = alone(1);
        if (one.isEmpty() || other.isEmpty()) {
            return Optional.empty();
        }
        double[] a = one.get();
        double[] b = other.get();
        return Optional.of(new Estimate(
                new double[] {a[0], b[0]}, new double[] {a[1], b[1]}, new double[] {a[2], b[2]}, 0, a[3] + b[3]));
    }

    /** Mean, its error, deviation and log-likelihood of one side. */
    private Optional<double[]> alone(int side) {
        double positive = IntStream.range(0, sizes.length)
                .mapToDouble(i -> positives[i][side])
                .sum();
        double all = IntStream.range(0, sizes.length)
                .mapToDouble(i -> sizes[i][side])
                .sum();
        double pooled = positive / all;
        double same = IntStream.range(0, sizes.length)
                .mapToDouble(i -> binomial(i, side, pooled))
                .sum();
        ToDoubleFunction<double[]> likelihood = at -> one(at, side);
        Optional<double[]> found =
                maximum(new double[] {mean(side), Math.log(Math.max(LEAST_START_SD, deviation(side)))}, likelihood);
        boolean none = found.isPresent()
                && (same >= likelihood.applyAsDouble(found.get()) - 1e-9 || found.get()[1] < Math.log(LEAST_SD));
        if (none && pooled > 0 && pooled < 1) {
            return Optional.of(
                    new double[] {Math.log(pooled / (1 - pooled)), 1 / Math.sqrt(all * pooled * (1 - pooled)), 0, same
                    });
        }
        return found.flatMap(at -> covariance(at, likelihood)
                .map(covariance -> new double[] {
                    at[0], Math.sqrt(covariance.getEntry(0, 0)), Math.exp(at[1]), likelihood.applyAsDouble(at)
                }));
    }

    private double binomial(int study, int side, double share) {
        double x = positives[study][side];
        double n = sizes[study][side];
        double log = choose(n, x);
        return log + (x == 0 ? 0 : x * Math.log(share)) + (n - x == 0 ? 0 : (n - x) * Math.log(1 - share));
    }

    private static double choose(double n, double x) {
        return Gamma.logGamma(n + 1) - Gamma.logGamma(x + 1) - Gamma.logGamma(n - x + 1);
    }

    private double[] logits(int side) {
        return IntStream.range(0, sizes.length)
                .filter(i -> sizes[i][side] > 0)
                .mapToDouble(i -> Math.log((positives[i][side] + 0.5) / (sizes[i][side] - positives[i][side] + 0.5)))
                .toArray();
    }

    private double mean(int side) {
        return Arrays.stream(logits(side)).average().orElseThrow();
    }

    private double deviation(int side) {
        double[] logits = logits(side);
        double mean = mean(side);
        return logits.length < 2
                ? 0
                : Math.sqrt(Arrays.stream(logits)
                                .map(each -> (each - mean) * (each - mean))
                                .sum()
                        / (logits.length - 1));
    }

    private static Optional<double[]> maximum(double[] start, ToDoubleFunction<double[]> likelihood) {
        MultivariateFunction function = at -> {
            double value = likelihood.applyAsDouble(at);
            return Double.isFinite(value) ? value : -1e300;
        };
        double[] edges = new double[start.length];
        Arrays.fill(edges, EDGE);
        double[] at = start;
        double value = function.value(start);
        try {
            for (int run = 0; run <= MOST_RESTARTS; run++) {
                PointValuePair best = new SimplexOptimizer(-1, CLOSE)
                        .optimize(
                                new MaxEval(20_000),
                                new ObjectiveFunction(function),
                                GoalType.MAXIMIZE,
                                new InitialGuess(at),
                                new NelderMeadSimplex(edges));
                double gain = best.getValue() - value;
                at = best.getPoint();
                value = best.getValue();
                if (run > 0 && gain < CLOSE) {
                    return Optional.of(at);
                }
            }
        } catch (MathRuntimeException notSettled) {
            return Optional.empty();
        }
        return Optional.empty();
    }

    private static Optional<RealMatrix> covariance(double[] at, ToDoubleFunction<double[]> likelihood) {
        int size = at.length;
        double[][] information = new double[size][size];
        for (int i = 0; i < size; i++) {
            for (int j = 0; j <= i; j++) {
                double second = (shifted(at, likelihood, i, 1, j, 1)
                                - shifted(at, likelihood, i, 1, j, -1)
                                - shifted(at, likelihood, i, -1, j, 1)
                                + shifted(at, likelihood, i, -1, j, -1))
                        / (4 * DIFFERENCE * DIFFERENCE);
                information[i][j] = -second;
                information[j][i] = -second;
            }
        }
        RealMatrix matrix = MatrixUtils.createRealMatrix(information);
        if (Arrays.stream(information).flatMapToDouble(Arrays::stream).anyMatch(each -> !Double.isFinite(each))
                || Arrays.stream(new EigenDecompositionSymmetric(matrix).getEigenvalues())
                        .anyMatch(each -> each <= 0)) {
            return Optional.empty();
        }
        return Optional.of(new LUDecomposition(matrix).getSolver().getInverse());
    }

    private static double shifted(double[] at, ToDoubleFunction<double[]> likelihood, int i, int up, int j, int other) {
        double[] moved = at.clone();
        moved[i] += up * DIFFERENCE;
        moved[j] += other * DIFFERENCE;
        return likelihood.applyAsDouble(moved);
    }

    private double one(double[] at, int side) {
        if (Math.abs(at[1]) > MOST_LOG_SD) {
            return Double.NEGATIVE_INFINITY;
        }
        double variance = Math.exp(2 * at[1]);
        double sum = 0;
        for (int study = 0; study < sizes.length; study++) {
            double n = sizes[study][side];
            double x = positives[study][side];
            double eta = at[0];
            double move = 1;
            for (int round = 0; round < 200 && Math.abs(move) > 1e-10; round++) {
                double p = LogitNormal.logistic(eta);
                move = Math.max(
                        -2, Math.min(2, (x - n * p - (eta - at[0]) / variance) / (n * p * (1 - p) + 1 / variance)));
                eta += move;
            }
            double p = LogitNormal.logistic(eta);
            double width = 1 / Math.sqrt(n * p * (1 - p) + 1 / variance);
            double[] terms = new double[NODES];
            for (int i = 0; i < NODES; i++) {
                double value = eta + Math.sqrt(2) * width * POINTS[i];
                terms[i] = choose(n, x)
                        + answers(n, x, value)
                        - (value - at[0]) * (value - at[0]) / (2 * variance)
                        - 0.5 * Math.log(2 * Math.PI * variance)
                        + POINTS[i] * POINTS[i]
                        + LOG_WEIGHTS[i];
            }
            sum += logSum(terms) + 0.5 * Math.log(2) + Math.log(width);
        }
        return sum;
    }

    /** log of the binomial chance without its coefficient, at a logit. */
    private static double answers(double n, double x, double logit) {
        double logNot = logit > 0 ? -logit - Math.log1p(Math.exp(-logit)) : -Math.log1p(Math.exp(logit));
        return x * logit + n * logNot;
    }

    private double joint(double[] at) {
        if (Math.abs(at[2]) > MOST_LOG_SD || Math.abs(at[3]) > MOST_LOG_SD || Math.abs(at[4]) > MOST_ATANH) {
            return Double.NEGATIVE_INFINITY;
        }
        double one = Math.exp(at[2]);
        double other = Math.exp(at[3]);
        double rho = Math.tanh(at[4]);
        double determinant = one * one * other * other * (1 - rho * rho);
        double[][] precision = {
            {other * other / determinant, -rho * one * other / determinant},
            {-rho * one * other / determinant, one * one / determinant}
        };
        double sum = 0;
        for (int study = 0; study < sizes.length; study++) {
            sum += study(study, at, precision, determinant);
        }
        return sum;
    }

    private double study(int study, double[] at, double[][] precision, double determinant) {
        double[] n = sizes[study];
        double[] x = positives[study];
        double[] eta = {at[0], at[1]};
        double[][] curve = new double[2][2];
        double largest = 1;
        for (int round = 0; round < 200 && largest > 1e-10; round++) {
            double[] slope = new double[2];
            for (int i = 0; i < 2; i++) {
                double p = LogitNormal.logistic(eta[i]);
                slope[i] = x[i] - n[i] * p;
                for (int j = 0; j < 2; j++) {
                    slope[i] -= precision[i][j] * (eta[j] - at[j]);
                    curve[i][j] = precision[i][j] + (i == j ? n[i] * p * (1 - p) : 0);
                }
            }
            double size = curve[0][0] * curve[1][1] - curve[0][1] * curve[1][0];
            double[] move = {
                (curve[1][1] * slope[0] - curve[0][1] * slope[1]) / size,
                (curve[0][0] * slope[1] - curve[1][0] * slope[0]) / size
            };
            largest = 0;
            for (int i = 0; i < 2; i++) {
                double step = Math.max(-2, Math.min(2, move[i]));
                eta[i] += step;
                largest = Math.max(largest, Math.abs(step));
            }
        }
        for (int i = 0; i < 2; i++) {
            double p = LogitNormal.logistic(eta[i]);
            curve[i][i] = precision[i][i] + n[i] * p * (1 - p);
        }
        double size = curve[0][0] * curve[1][1] - curve[0][1] * curve[1][0];
        double[][] inverse = {{curve[1][1] / size, -curve[0][1] / size}, {-curve[1][0] / size, curve[0][0] / size}};
        double l00 = Math.sqrt(inverse[0][0]);
        double l10 = inverse[1][0] / l00;
        double l11 = Math.sqrt(inverse[1][1] - l10 * l10);
        double[] terms = new double[NODES * NODES];
        double constant = choose(n[0], x[0]) + choose(n[1], x[1]) - Math.log(2 * Math.PI) - 0.5 * Math.log(determinant);
        for (int i = 0; i < NODES; i++) {
            for (int j = 0; j < NODES; j++) {
                double a = eta[0] + Math.sqrt(2) * l00 * POINTS[i];
                double b = eta[1] + Math.sqrt(2) * (l10 * POINTS[i] + l11 * POINTS[j]);
                double da = a - at[0];
                double db = b - at[1];
                double quadratic =
                        precision[0][0] * da * da + 2 * precision[0][1] * da * db + precision[1][1] * db * db;
                terms[i * NODES + j] = constant
                        + answers(n[0], x[0], a)
                        + answers(n[1], x[1], b)
                        - quadratic / 2
                        + POINTS[i] * POINTS[i]
                        + POINTS[j] * POINTS[j]
                        + LOG_WEIGHTS[i]
                        + LOG_WEIGHTS[j];
            }
        }
        return logSum(terms) + Math.log(2) + Math.log(l00 * l11);
    }

    private static double logSum(double[] terms) {
        double greatest = Arrays.stream(terms).max().orElseThrow();
        return greatest
                + Math.log(Arrays.stream(terms)
                        .map(each -> Math.exp(each - greatest))
                        .sum());
    }
}
