package lexicor.core.evidence;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Counts of a test against a reference standard.
 *
 * <p>Proportions carry Wilson score intervals (Wilson, J Am Stat Assoc 1927). Likelihood ratios carry intervals by the
 * log method (Simel, Samsa and Matchar, J Clin Epidemiol 1991). If any cell is 0, the ratios and the odds ratio use 0.5
 * more in every cell; the proportions stay raw. What an empty margin makes unknowable is empty.
 *
 * @param tp with the condition and positive
 * @param fp without the condition and positive
 * @param fn with the condition and negative
 * @param tn without the condition and negative
 */
public record TwoByTwo(long tp, long fp, long fn, long tn) {

    /** The largest count that is taken. */
    public static final long MOST = 1_000_000_000L;

    /** @throws IllegalArgumentException if a count is below 0 or above {@link #MOST}, or all four are 0 */
    public TwoByTwo {
        require("tp", tp);
        require("fp", fp);
        require("fn", fn);
        require("tn", tn);
        if (tp + fp + fn + tn == 0) {
            throw new IllegalArgumentException("all four counts are 0; allowed: at least one patient");
        }
    }

    /**
     * The counts behind published proportions, by rounding.
     *
     * @param sensitivity within 0..1
     * @param specificity within 0..1
     * @param with number with the condition
     * @param without number without
     */
    public static TwoByTwo of(double sensitivity, double specificity, int with, int without) {
        long tp = Math.round(sensitivity * with);
        long tn = Math.round(specificity * without);
        return new TwoByTwo(tp, without - tn, with - tp, tn);
    }

    public Optional<Estimate> sensitivity() {
        return wilson(tp, tp + fn);
    }

    public Optional<Estimate> specificity() {
        return wilson(tn, tn + fp);
    }

    public Optional<Estimate> positivePredictiveValue() {
        return wilson(tp, tp + fp);
    }

    public Optional<Estimate> negativePredictiveValue() {
        return wilson(tn, tn + fn);
    }

    /** Sensitivity / (1 - specificity); empty without patients of either kind. */
    public Optional<Estimate> likelihoodRatioPositive() {
        return ratio(cell(tp), cell(fn), cell(fp), cell(tn));
    }

    /** (1 - sensitivity) / specificity; empty without patients of either kind. */
    public Optional<Estimate> likelihoodRatioNegative() {
        return ratio(cell(fn), cell(tp), cell(tn), cell(fp));
    }

    /** (TP x TN) / (FP x FN), interval by Woolf's method; empty without patients of either kind. */
    public Optional<Estimate> diagnosticOddsRatio() {
        if (oneGroupMissing()) {
            return Optional.empty();
        }
        double estimate = cell(tp) * cell(tn) / (cell(fp) * cell(fn));
        double deviation = Math.sqrt(1 / cell(tp) + 1 / cell(tn) + 1 / cell(fp) + 1 / cell(fn));
        return Optional.of(onLogScale(estimate, deviation));
    }

    /** Sensitivity + specificity - 1, -1..1; empty without patients of either kind. */
    public OptionalDouble youden() {
        return oneGroupMissing()
                ? OptionalDouble.empty()
                : OptionalDouble.of((double) tp / (tp + fn) + (double) tn / (tn + fp) - 1);
    }

    /** Whether a cell is 0, so that the ratios were computed with 0.5 more in every cell. */
    public boolean corrected() {
        return tp == 0 || fp == 0 || fn == 0 || tn == 0;
    }

    private boolean oneGroupMissing() {
        return tp + fn == 0 || tn + fp == 0;
    }

    private double cell(long count) {
        return corrected() ? count + 0.5 : count;
    }

    private Optional<Estimate> ratio(double hitWith, double missWith, double hitWithout, double missWithout) {
        if (oneGroupMissing()) {
            return Optional.empty();
        }
        double with = hitWith + missWith;
        double without = hitWithout + missWithout;
        double deviation = Math.sqrt(1 / hitWith - 1 / with + 1 / hitWithout - 1 / without);
        return Optional.of(onLogScale(hitWith / with / (hitWithout / without), deviation));
    }

    private static Estimate onLogScale(double estimate, double deviation) {
        return new Estimate(
                estimate, estimate * Math.exp(-Estimate.Z * deviation), estimate * Math.exp(Estimate.Z * deviation));
    }

    private static Optional<Estimate> wilson(long hits, long all) {
        return all == 0 ? Optional.empty() : Optional.of(Estimate.ofShare(hits, all));
    }

    private static void require(String name, long count) {
        if (count < 0 || count > MOST) {
            throw new IllegalArgumentException(name + " is " + count + "; allowed: 0 to " + MOST);
        }
    }
}
