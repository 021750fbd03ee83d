package lexicor.core.dependence;

/** Normal quantiles by logit, by linear interpolation in a table of step 1/64 from -28 to 28; for draws only. */
public final class LogitTable {

    private static final double MOST = 28;
    private static final int PER_UNIT = 64;
    /** Just within the table. */
    private static final double LARGEST = MOST - 1e-6;

    private static final double[] TABLE = new double[(int) (2 * MOST * PER_UNIT) + 1];

    static {
        for (int i = 0; i < TABLE.length; i++) {
            double logit = -MOST + (double) i / PER_UNIT;
            TABLE[i] = logit < 0
                    ? Normal.quantile(1 / (1 + Math.exp(-logit)))
                    : -Normal.quantile(1 / (1 + Math.exp(logit)));
        }
    }

    /** The point below which a share with that logit lies. */
    public static double quantile(double logit) {
        double inside = logit < -MOST ? -MOST : logit > LARGEST ? LARGEST : logit;
        double place = (inside + MOST) * PER_UNIT;
        int index = (int) place;
        return TABLE[index] + (place - index) * (TABLE[index + 1] - TABLE[index]);
    }
}
