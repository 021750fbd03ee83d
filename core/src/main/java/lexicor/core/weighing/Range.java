package lexicor.core.weighing;

import org.hipparchus.stat.descriptive.rank.Percentile;

/** The middle 95 % of plausible chances. */
public record Range(double lower, double upper) {

    static Range ofLogOdds(double[] logOdds) {
        Percentile percentile = new Percentile().withEstimationType(Percentile.EstimationType.R_7);
        percentile.setData(logOdds);
        return new Range(LogOdds.chance(percentile.evaluate(2.5)), LogOdds.chance(percentile.evaluate(97.5)));
    }
}
