package lexicor.core.posttest;

/** The unit in which weights are shown: ten times the decimal logarithm of a likelihood ratio. */
public final class Decibans {

    private static final double PER_NATURAL = 10 / Math.log(10);

    private Decibans() {}

    /** From a natural logarithm. */
    public static double of(double logRatio) {
        return PER_NATURAL * logRatio;
    }
}
