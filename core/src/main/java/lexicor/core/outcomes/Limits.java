package lexicor.core.outcomes;

import lexicor.core.evidence.Estimate;

/** 95 % limits of estimates. */
final class Limits {

    /** Half the width of a 95 % interval in standard deviations of a normal distribution. */
    static final double NORMAL_95 = 1.959963984540054;

    private Limits() {}

    /** A proportion in (0, 1) with limits that are symmetric on the logit; {@code variance} is that of the logit. */
    static Estimate onLogit(double estimate, double variance) {
        double centre = Math.log(estimate / (1 - estimate));
        double half = NORMAL_95 * Math.sqrt(variance);
        return new Estimate(estimate, proportion(centre - half), proportion(centre + half));
    }

    private static double proportion(double logit) {
        return 1 / (1 + Math.exp(-logit));
    }
}
