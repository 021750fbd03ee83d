package lexicor.core.dependence;

import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * What is believed of a latent correlation: weights on the grid 0, 0.01 .. 0.95, which sum to 1.
 *
 * <p>Where nothing has taught it, a correlation assumed to be {@code rho} is held as Beta(5 rho, 5 (1 - rho)), so that
 * 0.4 is Beta(2, 3); the same belief is the prior of what a set of tests teaches.
 */
public final class CorrelationBelief {

    static final double MOST = 0.95;
    static final int POINTS = 96;
    private static final double STEP = MOST / (POINTS - 1);

    /** How many observations an assumption is worth. */
    private static final double FIRMNESS = 5;

    /** Assumptions by their correlation: the same few are asked for with every finding. */
    private static final Map<Double, CorrelationBelief> ASSUMED = new ConcurrentHashMap<>();

    private final double[] weights;

    private CorrelationBelief(double[] weights) {
        this.weights = weights;
    }

    public static double at(int index) {
        return index * STEP;
    }

    static int nearest(double rho) {
        return (int) Math.round(Math.min(MOST, Math.max(0, rho)) / STEP);
    }

    /** From log weights by point of the grid, which need not be normalised. */
    static CorrelationBelief ofLog(double[] logs) {
        double greatest = Arrays.stream(logs).max().orElseThrow();
        double[] weights =
                Arrays.stream(logs).map(log -> Math.exp(log - greatest)).toArray();
        double sum = Arrays.stream(weights).sum();
        return new CorrelationBelief(
                Arrays.stream(weights).map(weight -> weight / sum).toArray());
    }

    /** An assumption; at 0 it is held without doubt. */
    public static CorrelationBelief assumed(double rho) {
        return rho == 0 ? fixed(0) : ASSUMED.computeIfAbsent(rho, known -> ofLog(logPrior(known)));
    }

    /** Held without doubt. */
    static CorrelationBelief fixed(double rho) {
        double[] weights = new double[POINTS];
        weights[nearest(rho)] = 1;
        return new CorrelationBelief(weights);
    }

    /**
     * Logs of the chances that Beta(5 rho, 5 (1 - rho)) gives to the cells about the points of the grid. By differences
     * of the distribution function, since the density has no bound at 0 where rho is below 0.2.
     */
    static double[] logPrior(double rho) {
        BetaDistribution beta = new BetaDistribution(FIRMNESS * rho, FIRMNESS * (1 - rho));
        double[] logs = new double[POINTS];
        Arrays.setAll(logs, point -> {
            double from = Math.max(0, at(point) - STEP / 2);
            double to = Math.min(MOST, at(point) + STEP / 2);
            return Math.log(Math.max(Double.MIN_NORMAL, beta.probability(from, to)));
        });
        return logs;
    }

    double median() {
        return quantile(0.5);
    }

    /** The correlation below which a share of {@code chance} lies, each weight lying about its point. */
    double quantile(double chance) {
        double below = 0;
        double last = 0;
        double lastAt = 0;
        for (int i = 0; i < POINTS; i++) {
            double middle = below + weights[i] / 2;
            if (middle >= chance) {
                return i == 0 || middle == last ? at(i) : lastAt + (at(i) - lastAt) * (chance - last) / (middle - last);
            }
            below += weights[i];
            last = middle;
            lastAt = at(i);
        }
        return MOST;
    }

    /** Cumulative weights, for drawing. */
    public double[] cumulative() {
        double[] cumulative = new double[POINTS];
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            sum += weights[i];
            cumulative[i] = sum;
        }
        return cumulative;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof CorrelationBelief belief && Arrays.equals(weights, belief.weights);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(weights);
    }
}
