package lexicor.core.outcomes;

import java.util.Map;
import lexicor.core.evidence.Estimate;
import lexicor.core.posttest.LogOdds;
import lexicor.core.synthesis.PredictedAccuracy;

/** Sensitivity and specificity that a clinic may expect of itself, each with the range that holds it in 95 of 100. */
public record ClinicAccuracy(Estimate sensitivity, Estimate specificity) {

    /** From what others have published. */
    public static ClinicAccuracy expected(PredictedAccuracy published, int place) {
        return of(published.at(place));
    }

    /**
     * Once the clinic's own results are added: it counts as one more study, and one that is nearer to itself, so that
     * few results leave the published figures nearly as they are and many outweigh them.
     */
    public static ClinicAccuracy after(PredictedAccuracy published, int place, PartialVerification own) {
        return of(published
                .after(Map.of(published.criteria().get(place), own.asFullyVerified()))
                .at(place));
    }

    private static ClinicAccuracy of(PredictedAccuracy.Of one) {
        return new ClinicAccuracy(
                around(one.sensitivity(), one.mean()[0], one.predictive()[0][0]),
                around(one.specificity(), one.mean()[1], one.predictive()[1][1]));
    }

    private static Estimate around(double mean, double logit, double variance) {
        double half = Estimate.Z * Math.sqrt(variance);
        return new Estimate(mean, LogOdds.chance(logit - half), LogOdds.chance(logit + half));
    }
}
