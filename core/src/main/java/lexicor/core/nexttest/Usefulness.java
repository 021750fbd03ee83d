package lexicor.core.nexttest;

import lexicor.core.evidence.Belief;

/**
 * Which answer of a test is worth having. Sizes follow the usual reading of likelihood ratios (Jaeschke, Guyatt and
 * Sackett, JAMA 1994;271:703-707): above 10 or below 0.1 large, 5 to 10 or 0.1 to 0.2 moderate, 2 to 5 or 0.2 to 0.5
 * small, else hardly any.
 *
 * @param positive what a positive does
 * @param negative what a negative does
 */
public record Usefulness(Size positive, Size negative) {

    /** How far an answer moves the odds. */
    public enum Size {
        HARDLY,
        SMALL,
        MODERATE,
        LARGE;

        static Size of(double likelihoodRatio) {
            double factor = Math.max(likelihoodRatio, 1 / likelihoodRatio);
            return factor > 10 ? LARGE : factor >= 5 ? MODERATE : factor >= 2 ? SMALL : HARDLY;
        }
    }

    public static Usefulness of(Belief belief) {
        return new Usefulness(
                belief.likelihoodRatioPositive() > 1 ? Size.of(belief.likelihoodRatioPositive()) : Size.HARDLY,
                belief.likelihoodRatioNegative() < 1 ? Size.of(belief.likelihoodRatioNegative()) : Size.HARDLY);
    }

    /** In a sentence, such as "A positive helps, a negative hardly does". */
    public String plainly() {
        if (positive == Size.HARDLY && negative == Size.HARDLY) {
            return "Neither answer tells much";
        }
        if (negative == Size.HARDLY) {
            return "A positive " + helps(positive) + ", a negative hardly does";
        }
        if (positive == Size.HARDLY) {
            return "A negative " + helps(negative) + ", a positive hardly does";
        }
        return positive == negative
                ? "Either answer " + helps(positive)
                : "A positive " + helps(positive) + ", a negative " + helps(negative);
    }

    private static String helps(Size size) {
        return switch (size) {
            case LARGE -> "helps a lot";
            case MODERATE -> "helps";
            case SMALL -> "helps a little";
            case HARDLY -> "hardly helps";
        };
    }
}
