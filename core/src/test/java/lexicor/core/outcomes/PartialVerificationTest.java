package lexicor.core.outcomes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import lexicor.core.evidence.Estimate;
import lexicor.core.synthesis.StudyRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PartialVerificationTest {

    private static double logitSensitivity(double[] p) {
        double present = p[0] / (p[0] + p[1]) * (p[0] + p[1] + p[4]);
        double missed = p[2] / (p[2] + p[3]) * (p[2] + p[3] + p[5]);
        return Math.log(present / missed);
    }

    private static double logitSpecificity(double[] p) {
        double right = p[3] / (p[2] + p[3]) * (p[2] + p[3] + p[5]);
        double wrong = p[1] / (p[0] + p[1]) * (p[0] + p[1] + p[4]);
        return Math.log(right / wrong);
    }

    private static double proportion(double logit) {
        return 1 / (1 + Math.exp(-logit));
    }

    @ParameterizedTest
    @CsvSource({"40, 10, 5, 60, 20, 90", "12, 30, 3, 7, 0, 0", "231, 54, 27, 32, 166, 141"})
    void estimates_and_limits_are_those_of_the_delta_method_on_the_logit(
            int tp, int fp, int fn, int tn, int positive, int negative) {
        PartialVerification verification = new PartialVerification(tp, fp, fn, tn, positive, negative);
        double n = tp + fp + fn + tn + positive + negative;
        double[] shares = {tp / n, fp / n, fn / n, tn / n, positive / n, negative / n};
        check(
                verification.sensitivity(),
                logitSensitivity(shares),
                AgreementTest.deltaVariance(shares, n, PartialVerificationTest::logitSensitivity));
        check(
                verification.specificity(),
                logitSpecificity(shares),
                AgreementTest.deltaVariance(shares, n, PartialVerificationTest::logitSpecificity));
    }

    private static void check(Estimate actual, double logit, double variance) {
        double half = 1.959963984540054 * Math.sqrt(variance);
        assertThat(actual.estimate()).isCloseTo(proportion(logit), within(1e-12));
        assertThat(actual.lower()).isCloseTo(proportion(logit - half), within(1e-7));
        assertThat(actual.upper()).isCloseTo(proportion(logit + half), within(1e-7));
    }

    @Test
    void with_everybody_followed_up_it_is_the_plain_accuracy() {
        PartialVerification all = new PartialVerification(30, 10, 5, 55, 0, 0);
        assertThat(all.sensitivity().estimate()).isCloseTo(all.uncorrectedSensitivity(), within(1e-12));
        assertThat(all.specificity().estimate()).isCloseTo(all.uncorrectedSpecificity(), within(1e-12));
        assertThat(all.prevalence()).isCloseTo(0.35, within(1e-12));
    }

    @Test
    void an_empty_cell_has_an_estimate_and_limits_that_reach_to_it() {
        Estimate sensitivity = new PartialVerification(20, 10, 0, 30, 5, 40).sensitivity();
        assertThat(sensitivity.estimate()).isEqualTo(1);
        assertThat(sensitivity.upper()).isEqualTo(1);
        assertThat(sensitivity.lower()).isBetween(0.3, 0.95);
        assertThat(new PartialVerification(0, 10, 0, 30, 5, 40).sensitivity().estimate())
                .isNaN();
    }

    /** Half a patient more in each count of those followed up; limits worked out by hand for both sides. */
    @ParameterizedTest
    @CsvSource({
        "20, 0, 3, 40, 0.7767341040, 0.4983615397, 0.8993031589, 1, 0.9085468656, 1",
        "0, 4, 3, 40, 0, 0, 0.6654584072, 0.9141335700, 0.8473064382, 0.9610716116"
    })
    void limits_of_an_empty_cell_are_those_of_half_a_patient_more(
            int tp,
            int fp,
            int fn,
            int tn,
            double sensitivity,
            double lower,
            double upper,
            double specificity,
            double lowerOfSpecificity,
            double upperOfSpecificity) {
        PartialVerification verification = new PartialVerification(tp, fp, fn, tn, 5, 60);
        close(verification.sensitivity(), sensitivity, lower, upper);
        close(verification.specificity(), specificity, lowerOfSpecificity, upperOfSpecificity);
    }

    private static void close(Estimate actual, double estimate, double lower, double upper) {
        assertThat(actual.estimate()).isCloseTo(estimate, within(1e-9));
        assertThat(actual.lower()).isCloseTo(lower, within(1e-9));
        assertThat(actual.upper()).isCloseTo(upper, within(1e-9));
    }

    /** Positives are followed up in nine of ten, negatives in two of ten: the plain sensitivity is far too high. */
    @Test
    void the_correction_recovers_the_truth_where_negatives_are_seldom_followed_up() {
        Random random = new Random(3);
        double corrected = 0;
        double plain = 0;
        int held = 0;
        int trials = 1500;
        for (int trial = 0; trial < trials; trial++) {
            int[] cells = new int[6];
            for (int patient = 0; patient < 400; patient++) {
                boolean present = random.nextDouble() < 0.3;
                boolean positive = random.nextDouble() < (present ? 0.7 : 0.2);
                boolean followed = random.nextDouble() < (positive ? 0.9 : 0.2);
                cells[followed ? (positive ? (present ? 0 : 1) : present ? 2 : 3) : positive ? 4 : 5]++;
            }
            PartialVerification found =
                    new PartialVerification(cells[0], cells[1], cells[2], cells[3], cells[4], cells[5]);
            corrected += found.sensitivity().estimate() / trials;
            plain += found.uncorrectedSensitivity() / trials;
            held += found.sensitivity().lower() <= 0.7
                            && 0.7 <= found.sensitivity().upper()
                    ? 1
                    : 0;
        }
        assertThat(plain).isGreaterThan(0.88);
        assertThat(corrected).isCloseTo(0.7, within(0.02));
        assertThat(held / (double) trials).isBetween(0.93, 0.985);
    }

    @Test
    void without_anybody_followed_up_of_one_answer_nothing_can_be_said() {
        assertThatThrownBy(() -> new PartialVerification(0, 0, 3, 4, 5, 6)).hasMessageContaining("positive test");
        assertThatThrownBy(() -> new PartialVerification(3, 4, 0, 0, 5, 6)).hasMessageContaining("negative test");
        assertThatThrownBy(() -> new PartialVerification(3, 4, 1, -1, 5, 6)).hasMessageContaining("negative");
    }

    @Test
    void what_all_followed_up_would_have_said_has_the_same_proportions_and_the_same_doubt() {
        PartialVerification partly = new PartialVerification(40, 10, 5, 60, 20, 90);
        StudyRecord.Counts counts = partly.asFullyVerified();
        PartialVerification whole = new PartialVerification(30, 10, 5, 55, 0, 0);
        assertThat(whole.asFullyVerified()).isEqualTo(new StudyRecord.Counts(30, 5, 55, 10));
        Estimate sensitivity = partly.sensitivity();
        assertThat(counts.tp() / (counts.tp() + counts.fn())).isCloseTo(sensitivity.estimate(), within(1e-12));
        double half = 1.959963984540054 * Math.sqrt(1 / counts.tp() + 1 / counts.fn());
        assertThat(proportion(Math.log(counts.tp() / counts.fn()) + half)).isCloseTo(sensitivity.upper(), within(1e-9));
        double specific = 1.959963984540054 * Math.sqrt(1 / counts.tn() + 1 / counts.fp());
        assertThat(proportion(Math.log(counts.tn() / counts.fp()) - specific))
                .isCloseTo(partly.specificity().lower(), within(1e-9));
    }

    @Test
    void a_side_that_nobody_followed_up_is_on_says_nothing() {
        StudyRecord.Counts noneHadIt = new PartialVerification(0, 6, 0, 9, 4, 5).asFullyVerified();
        assertThat(noneHadIt.tp() + noneHadIt.fn()).isZero();
        assertThat(noneHadIt.tn() + noneHadIt.fp()).isPositive();
        StudyRecord.Counts allHadIt = new PartialVerification(6, 0, 9, 0, 4, 5).asFullyVerified();
        assertThat(allHadIt.tn() + allHadIt.fp()).isZero();
    }
}
