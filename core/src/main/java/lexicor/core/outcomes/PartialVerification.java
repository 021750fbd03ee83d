package lexicor.core.outcomes;

import lexicor.core.evidence.Estimate;
import lexicor.core.synthesis.StudyRecord;

/**
 * Accuracy of a test where only some patients were followed up to the truth (Begg and Greenes 1983). Assumes that
 * within each answer of the test, whether a patient was followed up has nothing to do with the truth.
 *
 * @param truePositives followed up: positive, and the condition was there
 * @param falsePositives followed up: positive, and it was not
 * @param falseNegatives followed up: negative, and it was there
 * @param trueNegatives followed up: negative, and it was not
 * @param positives not followed up, positive
 * @param negatives not followed up, negative
 */
public record PartialVerification(
        int truePositives, int falsePositives, int falseNegatives, int trueNegatives, int positives, int negatives) {

    private static final double CORRECTION = 0.5;

    /** @throws IllegalArgumentException if a count is negative, or no positive or no negative was followed up */
    public PartialVerification {
        if (Math.min(
                        Math.min(Math.min(truePositives, falsePositives), Math.min(falseNegatives, trueNegatives)),
                        Math.min(positives, negatives))
                < 0) {
            throw new IllegalArgumentException("a count is negative; allowed: from 0");
        }
        if (truePositives + falsePositives == 0) {
            throw new IllegalArgumentException("nobody with a positive test was followed up; allowed: at least one");
        }
        if (falseNegatives + trueNegatives == 0) {
            throw new IllegalArgumentException("nobody with a negative test was followed up; allowed: at least one");
        }
    }

    /**
     * Share of those with the condition who answer positive, with limits by the delta method on the logit: the variance
     * of the logit of a positive answer, plus those of the two predictive values. NaN where nobody has the condition.
     */
    public Estimate sensitivity() {
        return limits(
                plain().sensitivity(), corrected().sensitivity(), corrected().varianceOfSensitivity());
    }

    /** Share of those without the condition who answer negative, with limits likewise. NaN where everybody has it. */
    public Estimate specificity() {
        return limits(
                plain().specificity(), corrected().specificity(), corrected().varianceOfSpecificity());
    }

    /** Share of all patients who have the condition. */
    public double prevalence() {
        return plain().prevalence();
    }

    /** What those followed up alone would say of the sensitivity; NaN where none of them has the condition. */
    public double uncorrectedSensitivity() {
        return (double) truePositives / (truePositives + falseNegatives);
    }

    /** What those followed up alone would say of the specificity; NaN where all of them have the condition. */
    public double uncorrectedSpecificity() {
        return (double) trueNegatives / (trueNegatives + falsePositives);
    }

    /**
     * Patients who would say as much if all had been followed up: for each side the corrected proportion, of so many
     * patients that its logit is as uncertain. Where all were followed up, the counts themselves. A side that nobody
     * followed up is on has no patients.
     */
    public StudyRecord.Counts asFullyVerified() {
        if (positives + negatives == 0) {
            return new StudyRecord.Counts(truePositives, falseNegatives, trueNegatives, falsePositives);
        }
        double[] with = truePositives + falseNegatives == 0
                ? new double[2]
                : worth(corrected().sensitivity(), corrected().varianceOfSensitivity());
        double[] without = trueNegatives + falsePositives == 0
                ? new double[2]
                : worth(corrected().specificity(), corrected().varianceOfSpecificity());
        return new StudyRecord.Counts(with[0], with[1], without[0], without[1]);
    }

    /** Patients right and wrong whose proportion has this variance of the logit: n p (1 - p) is its inverse. */
    private static double[] worth(double proportion, double variance) {
        double patients = 1 / (variance * proportion * (1 - proportion));
        return new double[] {patients * proportion, patients * (1 - proportion)};
    }

    private static Estimate limits(double estimate, double centre, double variance) {
        if (Double.isNaN(estimate)) {
            return new Estimate(estimate, Double.NaN, Double.NaN);
        }
        Estimate around = Limits.onLogit(centre, variance);
        return new Estimate(estimate, Math.min(estimate, around.lower()), Math.max(estimate, around.upper()));
    }

    private Verified plain() {
        return verified(0);
    }

    /** Half a patient more in each count of those followed up where one is 0, so that there are limits. */
    private Verified corrected() {
        boolean empty = truePositives == 0 || falsePositives == 0 || falseNegatives == 0 || trueNegatives == 0;
        return verified(empty ? CORRECTION : 0);
    }

    private Verified verified(double added) {
        return new Verified(
                truePositives + added,
                falsePositives + added,
                falseNegatives + added,
                trueNegatives + added,
                (double) truePositives + falsePositives + positives,
                (double) falseNegatives + trueNegatives + negatives);
    }

    /** Counts of those followed up, and of all by their answer. */
    private record Verified(double tp, double fp, double fn, double tn, double positive, double negative) {

        double presentPositive() {
            return tp / (tp + fp) * positive;
        }

        double presentNegative() {
            return fn / (fn + tn) * negative;
        }

        double prevalence() {
            return (presentPositive() + presentNegative()) / (positive + negative);
        }

        double sensitivity() {
            return presentPositive() / (presentPositive() + presentNegative());
        }

        double specificity() {
            double absentPositive = positive - presentPositive();
            double absentNegative = negative - presentNegative();
            return absentNegative / (absentNegative + absentPositive);
        }

        double varianceOfSensitivity() {
            return varianceOfAnswer() + fp / (tp * (tp + fp)) + tn / (fn * (fn + tn));
        }

        double varianceOfSpecificity() {
            return varianceOfAnswer() + tp / (fp * (tp + fp)) + fn / (tn * (fn + tn));
        }

        private double varianceOfAnswer() {
            return 1 / positive + 1 / negative;
        }
    }
}
