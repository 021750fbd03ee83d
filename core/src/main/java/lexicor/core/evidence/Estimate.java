package lexicor.core.evidence;

import org.hipparchus.distribution.continuous.NormalDistribution;

/** A value with its 95 % interval; {@code lower <= estimate <= upper}. */
public record Estimate(double estimate, double lower, double upper) {

    /** Half the width of a 95 % interval in standard deviations of a normal distribution. */
    public static final double Z = new NormalDistribution().inverseCumulativeProbability(0.975);

    /** The share {@code hits} of {@code all}, at least 1, with the limits of Wilson (J Am Stat Assoc 1927). */
    public static Estimate ofShare(long hits, long all) {
        double n = all;
        double p = hits / n;
        double z2 = Z * Z;
        double centre = (p + z2 / (2 * n)) / (1 + z2 / n);
        double half = Z / (1 + z2 / n) * Math.sqrt(p * (1 - p) / n + z2 / (4 * n * n));
        double lower = hits == 0 ? 0 : Math.max(0, centre - half);
        double upper = hits == all ? 1 : Math.min(1, centre + half);
        return new Estimate(p, lower, upper);
    }
}
