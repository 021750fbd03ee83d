package lexicor.core.outcomes;

import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.evidence.Estimate;

/**
 * How two examiners of the same patients agree on a finding that is positive or negative.
 *
 * @param bothPositive patients in whom both found it
 * @param firstOnly patients in whom the first examiner alone found it
 * @param secondOnly patients in whom the second alone found it
 * @param bothNegative patients in whom neither found it
 */
public record Agreement(int bothPositive, int firstOnly, int secondOnly, int bothNegative) {

    /** @throws IllegalArgumentException if a count is negative, or there is no patient */
    public Agreement {
        if (Math.min(Math.min(bothPositive, firstOnly), Math.min(secondOnly, bothNegative)) < 0) {
            throw new IllegalArgumentException("a count is negative; allowed: from 0");
        }
        if ((long) bothPositive + firstOnly + secondOnly + bothNegative == 0) {
            throw new IllegalArgumentException("all four counts are 0; allowed: at least one patient");
        }
    }

    /** Number of patients. */
    public double patients() {
        return (double) bothPositive + firstOnly + secondOnly + bothNegative;
    }

    /** Share of patients on whom both agree, 0..1. */
    public double observed() {
        return (bothPositive + bothNegative) / patients();
    }

    /** Share on whom they would agree by chance, given how often each finds it, 0..1. */
    public double expected() {
        return firstPositive() * secondPositive() + (1 - firstPositive()) * (1 - secondPositive());
    }

    /**
     * Agreement beyond chance (Cohen 1960), -1..1, with 95 % limits by the large-sample variance of Fleiss, Cohen and
     * Everitt (1969), cut at -1 and 1. Empty where chance alone gives full agreement: both examiners gave one answer
     * throughout.
     */
    public Optional<Estimate> kappa() {
        double expected = expected();
        if (expected >= 1) {
            return Optional.empty();
        }
        double kappa = (observed() - expected) / (1 - expected);
        double half = Estimate.Z * Math.sqrt(variance(kappa));
        return Optional.of(new Estimate(kappa, Math.max(-1, kappa - half), Math.min(1, kappa + half)));
    }

    /** Kappa adjusted for prevalence and bias (Byrt, Bishop and Carlin 1993): twice the observed agreement less 1. */
    public double adjustedKappa() {
        return 2 * observed() - 1;
    }

    /** Of the positive answers, the share that both gave (Cicchetti and Feinstein 1990); empty where there is none. */
    public OptionalDouble positiveAgreement() {
        return share(bothPositive);
    }

    /** Of the negative answers, the share that both gave; empty where there is none. */
    public OptionalDouble negativeAgreement() {
        return share(bothNegative);
    }

    private OptionalDouble share(double both) {
        double answers = 2 * both + firstOnly + secondOnly;
        return answers == 0 ? OptionalDouble.empty() : OptionalDouble.of(2 * both / answers);
    }

    private double firstPositive() {
        return (bothPositive + firstOnly) / patients();
    }

    private double secondPositive() {
        return (bothPositive + secondOnly) / patients();
    }

    private double variance(double kappa) {
        double first = firstPositive();
        double second = secondPositive();
        double apart = 1 - kappa;
        double agreed = bothPositive / patients() * square(1 - (first + second) * apart)
                + bothNegative / patients() * square(1 - (2 - first - second) * apart);
        double parted = firstOnly / patients() * square(second + 1 - first)
                + secondOnly / patients() * square(1 - second + first);
        double expected = expected();
        double sum = agreed + square(apart) * parted - square(kappa - expected * apart);
        return Math.max(0, sum) / (patients() * square(1 - expected));
    }

    private static double square(double value) {
        return value * value;
    }
}
