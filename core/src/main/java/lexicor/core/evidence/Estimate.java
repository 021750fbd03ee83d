package lexicor.core.evidence;

import org.hipparchus.distribution.continuous.NormalDistribution;

/** A value with its 95 % interval; {@code lower <= estimate <= upper}. */
public record Estimate(double estimate, double lower, double upper) {

    /** Half the width of a 95 % interval in standard deviations of a normal distribution. */
    public static final double Z = new NormalDistribution().inverseCumulativeProbability(0.975);
}
