package lexicor.core.dependence;

/**
 * The standard normal distribution function by linear interpolation in a table of step 1/128 from -9 to 9: relative
 * error below 1e-3 down to -8, for draws only.
 */
public final class PhiTable {

    private static final double EDGE = 9;
    private static final int PER_UNIT = 128;
    private static final double LAST = 2 * EDGE * PER_UNIT;
    private static final double[] TABLE = new double[(int) LAST + 2];

    static {
        for (int i = 0; i < TABLE.length; i++) {
            TABLE[i] = Normal.below(-EDGE + (double) i / PER_UNIT);
        }
    }

    private PhiTable() {}

    public static double below(double x) {
        return at(place(x * PER_UNIT + EDGE * PER_UNIT));
    }

    /**
     * Its values at sign * (point + shift); the arrays are of one length.
     *
     * @param below overwritten
     */
    public static void below(double[] points, double shift, int sign, double[] below) {
        double scale = sign * PER_UNIT;
        double origin = (sign * shift + EDGE) * PER_UNIT;
        for (int i = 0; i < below.length; i++) {
            below[i] = at(place(points[i] * scale + origin));
        }
    }

    /** Kept within the table. By comparisons, which are compiled to less than calls of min and max. */
    private static double place(double place) {
        return place < 0 ? 0 : place > LAST ? LAST : place;
    }

    private static double at(double place) {
        int index = (int) place;
        double lower = TABLE[index];
        return lower + (place - index) * (TABLE[index + 1] - lower);
    }
}
