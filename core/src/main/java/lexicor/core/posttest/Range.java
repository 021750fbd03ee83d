package lexicor.core.posttest;

import org.hipparchus.stat.descriptive.rank.Percentile;

/** The middle 95 % of plausible chances. */
public record Range(double lower, double upper) {

    public static Range ofLogOdds(double[] logOdds) {
        Percentile percentile = percentiles(logOdds);
        return new Range(LogOdds.chance(percentile.evaluate(2.5)), LogOdds.chance(percentile.evaluate(97.5)));
    }

    /** Percentiles of drawn log odds (type 7 of Hyndman and Fan, Am Stat 1996). */
    public static Percentile percentiles(double[] logOdds) {
        Percentile percentile = new Percentile().withEstimationType(Percentile.EstimationType.R_7);
        percentile.setData(logOdds);
        return percentile;
    }
}
