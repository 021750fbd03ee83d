package lexicor.core.evidence;

/**
 * What a study lets one believe of a test: sensitivity ~ Beta(tp + 1/2, fn + 1/2), specificity ~ Beta(tn + 1/2, fp + 1/2)
 * (Jeffreys priors). Point values are the means, so that no likelihood ratio is ever 0 or infinite.
 */
public record Belief(double sensitivityAlpha, double sensitivityBeta, double specificityAlpha, double specificityBeta) {

    public static Belief of(TwoByTwo counts) {
        return new Belief(counts.tp() + 0.5, counts.fn() + 0.5, counts.tn() + 0.5, counts.fp() + 0.5);
    }

    /** Mean of the sensitivity, within (0, 1). */
    public double sensitivity() {
        return sensitivityAlpha / (sensitivityAlpha + sensitivityBeta);
    }

    /** Mean of the specificity, within (0, 1). */
    public double specificity() {
        return specificityAlpha / (specificityAlpha + specificityBeta);
    }

    public double likelihoodRatioPositive() {
        return sensitivity() / (1 - specificity());
    }

    public double likelihoodRatioNegative() {
        return (1 - sensitivity()) / specificity();
    }

    public double likelihoodRatio(boolean positive) {
        return positive ? likelihoodRatioPositive() : likelihoodRatioNegative();
    }
}
