package lexicor.core.findings;

import lexicor.core.evidence.Belief;

/** What one finding weighs for a condition. */
public sealed interface Weight {

    /** Point value of the likelihood ratio, above 0 and finite. */
    double likelihoodRatio();

    /**
     * Known by shares of positives with and without the condition, so that it can stand in a group.
     *
     * @param positive what was answered
     */
    record Proportions(Belief belief, boolean positive) implements Weight {
        @Override
        public double likelihoodRatio() {
            return belief.likelihoodRatio(positive);
        }

        /** Share of positives among those with ({@code true}) or without the condition, within (0, 1). */
        public double share(boolean withCondition) {
            return withCondition ? belief.sensitivity() : 1 - belief.specificity();
        }
    }

    /**
     * Known by a likelihood ratio alone: it stands outside the groups.
     *
     * @param logSd how unsure it is: standard deviation of its logarithm
     */
    record Ratio(double likelihoodRatio, double logSd) implements Weight {

        /** Where neither counts nor an interval were published. */
        public static final double UNKNOWN_SD = 1.0;

        public Ratio {
            if (!(likelihoodRatio > 0 && likelihoodRatio < Double.POSITIVE_INFINITY)) {
                throw new IllegalArgumentException(
                        "likelihoodRatio is " + likelihoodRatio + "; allowed: above 0 and finite");
            }
        }
    }
}
