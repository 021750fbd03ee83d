package lexicor.core.dependence;

/**
 * The standard normal distribution function by linear interpolation in a table of step 1/128 from -9 to 9: relative
 * error below 1e-3 down to -8, for draws only.
 */
public final class PhiTable {

    private static final double EDGE = 9;
    private static final int PER_UNIT = 128;
    private static final double[] TABLE = new double[(int) (2 * EDGE * PER_UNIT) + 2];

    static {
        for (int i = 0; i < TABLE.length; i++) {
            TABLE[i] = Normal.below(-EDGE + (double) i / PER_UNIT);
        }
    }

    private PhiTable() {}

    public static double below(double x) {
        double place = (x + EDGE) * PER_UNIT;
        if (place <= 0) {
            return TABLE[0];
        }
        int index = (int) place;
        if (index >= TABLE.length - 1) {
            return 1;
        }
        return TABLE[index] + (place - index) * (TABLE[index + 1] - TABLE[index]);
    }
}
