package lexicor.core.dependence;

/** Chance of each number of positives among correlated answers. */
public final class CountChances {

    private CountChances() {}

    /**
     * P(exactly k positives), k = 0..n, by convolving the conditionally independent answers at each value of the shared
     * factor.
     *
     * @param shares of people like these who answer positive, one per test
     * @param rho 0..0.95
     */
    public static double[] of(double[] shares, double rho) {
        double rest = Math.sqrt(1 - rho);
        double step = rho == 0 ? 0.5 : Math.min(0.5, 0.2 * rest / Math.sqrt(rho));
        int steps = (int) Math.ceil(2 * Normal.EDGE / step);
        double[] quantiles = new double[shares.length];
        for (int j = 0; j < shares.length; j++) {
            quantiles[j] = Normal.quantile(shares[j]);
        }
        double[] sum = new double[shares.length + 1];
        double total = 0;
        for (int i = 0; i <= steps; i++) {
            double u = -Normal.EDGE + 2 * Normal.EDGE * i / steps;
            double weight = Math.exp(Normal.logDensity(u));
            total += weight;
            double[] counts = new double[shares.length + 1];
            counts[0] = 1;
            for (int j = 0; j < shares.length; j++) {
                double positive = Normal.below((quantiles[j] + Math.sqrt(rho) * u) / rest);
                for (int k = j + 1; k > 0; k--) {
                    counts[k] = counts[k] * (1 - positive) + counts[k - 1] * positive;
                }
                counts[0] *= 1 - positive;
            }
            for (int k = 0; k < sum.length; k++) {
                sum[k] += weight * counts[k];
            }
        }
        for (int k = 0; k < sum.length; k++) {
            sum[k] /= total;
        }
        return sum;
    }

    /** P(from to to positives). */
    public static double within(double[] counts, int from, int to) {
        double sum = 0;
        for (int k = from; k <= Math.min(to, counts.length - 1); k++) {
            sum += counts[k];
        }
        return sum;
    }
}
