package lexicor.core.evidence;

import lexicor.core.synthesis.PredictedAccuracy;

/**
 * What one believes of a test's sensitivity and specificity. Points are means, so that no likelihood ratio is ever 0 or
 * infinite.
 */
public sealed interface Belief {

    /** Mean of the sensitivity, within (0, 1). */
    double sensitivity();

    /** Mean of the specificity, within (0, 1). */
    double specificity();

    /** What one study's counts say by themselves. */
    static Belief of(TwoByTwo counts) {
        return new OfCounts(counts.tp() + 0.5, counts.fn() + 0.5, counts.tn() + 0.5, counts.fp() + 0.5);
    }

    /** The same for a test done in another way than was studied; what one study counted stays as it is. */
    default Belief widened() {
        return this;
    }

    default double likelihoodRatioPositive() {
        return sensitivity() / (1 - specificity());
    }

    default double likelihoodRatioNegative() {
        return (1 - sensitivity()) / specificity();
    }

    default double likelihoodRatio(boolean positive) {
        return positive ? likelihoodRatioPositive() : likelihoodRatioNegative();
    }

    /** Sensitivity ~ Beta(tp + 1/2, fn + 1/2), specificity ~ Beta(tn + 1/2, fp + 1/2) (Jeffreys priors). */
    record OfCounts(double sensitivityAlpha, double sensitivityBeta, double specificityAlpha, double specificityBeta)
            implements Belief {

        @Override
        public double sensitivity() {
            return sensitivityAlpha / (sensitivityAlpha + sensitivityBeta);
        }

        @Override
        public double specificity() {
            return specificityAlpha / (specificityAlpha + specificityBeta);
        }
    }

    /**
     * What an independent clinic would find, from all studies of the ledger together.
     *
     * @param all what is predicted for all criteria of the condition, whose uncertainty is shared
     * @param place of this criterion among them
     * @param wider whether the test was done in another way than was studied, so that it may differ once more as
     *     clinics do
     */
    record Expected(double sensitivity, double specificity, PredictedAccuracy all, int place, boolean wider)
            implements Belief {

        static Expected of(PredictedAccuracy all, int place) {
            PredictedAccuracy.Of one = all.at(place);
            return new Expected(one.sensitivity(), one.specificity(), all, place, false);
        }

        /** What is expected of the criterion by itself. */
        public PredictedAccuracy.Of one() {
            PredictedAccuracy.Of one = all.at(place);
            return wider ? one.wider() : one;
        }

        /** The same where clinics differ more or less; see {@link PredictedAccuracy#in}. */
        public Expected in(double clinics) {
            return new Expected(sensitivity, specificity, all.in(clinics), place, wider);
        }

        @Override
        public Belief widened() {
            PredictedAccuracy.Of one = all.at(place).wider();
            return new Expected(one.sensitivity(), one.specificity(), all, place, true);
        }
    }
}
