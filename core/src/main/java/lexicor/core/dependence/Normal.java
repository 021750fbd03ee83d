package lexicor.core.dependence;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.distribution.continuous.NormalDistribution;

/** The standard normal distribution, with a logarithm that holds far out in the tail. */
public final class Normal {

    private static final NormalDistribution STANDARD = new NormalDistribution();
    private static final double HALF_LOG_TWO_PI = 0.5 * Math.log(2 * Math.PI);

    /** Below it the distribution function is taken from its asymptotic series (Abramowitz and Stegun 26.2.12). */
    private static final double TAIL = -30;

    /** Beyond it next to nothing of the distribution is left. */
    public static final double EDGE = 9;

    private Normal() {}

    /**
     * log of the mean of exp f(u) over the distribution, by the trapezoid rule on [-{@value #EDGE}, {@value #EDGE}].
     *
     * @param f log of what is averaged; may be negative infinity
     * @param steps of the rule, at least 1
     */
    public static double logMean(DoubleUnaryOperator f, int steps) {
        double[] terms = new double[steps + 1];
        for (int i = 0; i <= steps; i++) {
            double u = -EDGE + 2 * EDGE * i / steps;
            terms[i] = logDensity(u) + f.applyAsDouble(u) - (i == 0 || i == steps ? Math.log(2) : 0);
        }
        return logSum(terms) + Math.log(2 * EDGE / steps);
    }

    private static double logSum(double[] terms) {
        double greatest = Double.NEGATIVE_INFINITY;
        for (double term : terms) {
            greatest = Math.max(greatest, term);
        }
        if (greatest == Double.NEGATIVE_INFINITY) {
            return greatest;
        }
        double sum = 0;
        for (double term : terms) {
            sum += Math.exp(term - greatest);
        }
        return greatest + Math.log(sum);
    }

    /** log of the density. */
    public static double logDensity(double x) {
        return -x * x / 2 - HALF_LOG_TWO_PI;
    }

    /** log of the chance of at most {@code x}; exact limits at the infinities. */
    public static double logBelow(double x) {
        if (x == Double.NEGATIVE_INFINITY) {
            return Double.NEGATIVE_INFINITY;
        }
        if (x > TAIL) {
            return x > 8
                    ? Math.log1p(-STANDARD.cumulativeProbability(-x))
                    : Math.log(STANDARD.cumulativeProbability(x));
        }
        double square = 1 / (x * x);
        return logDensity(x) - Math.log(-x) + Math.log1p(-square * (1 - 3 * square * (1 - 5 * square)));
    }

    public static double below(double x) {
        return x == Double.POSITIVE_INFINITY
                ? 1
                : x == Double.NEGATIVE_INFINITY ? 0 : STANDARD.cumulativeProbability(x);
    }

    /** The point below which a share of {@code chance} lies; infinite at 0 and 1. */
    public static double quantile(double chance) {
        return chance <= 0
                ? Double.NEGATIVE_INFINITY
                : chance >= 1 ? Double.POSITIVE_INFINITY : STANDARD.inverseCumulativeProbability(chance);
    }
}
