package lexicor.core.outcomes;

import lexicor.core.evidence.Estimate;
import lexicor.core.posttest.LogOdds;

/** 95 % limits of estimates. */
final class Limits {

    private Limits() {}

    /** A proportion in (0, 1) with limits that are symmetric on the logit; {@code variance} is that of the logit. */
    static Estimate onLogit(double estimate, double variance) {
        double centre = LogOdds.ofChance(estimate).value();
        double half = Estimate.Z * Math.sqrt(variance);
        return new Estimate(estimate, LogOdds.chance(centre - half), LogOdds.chance(centre + half));
    }
}
