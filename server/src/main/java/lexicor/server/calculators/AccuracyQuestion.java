package lexicor.server.calculators;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import lexicor.core.evidence.TwoByTwo;

/** Counts of a 2x2 table. */
record AccuracyQuestion(
        @NotNull(message = AccuracyQuestion.ALLOWED)
        @Min(value = 0, message = AccuracyQuestion.ALLOWED)
        @Max(value = TwoByTwo.MOST, message = AccuracyQuestion.ALLOWED)
        Long tp,

        @NotNull(message = AccuracyQuestion.ALLOWED)
        @Min(value = 0, message = AccuracyQuestion.ALLOWED)
        @Max(value = TwoByTwo.MOST, message = AccuracyQuestion.ALLOWED)
        Long fp,

        @NotNull(message = AccuracyQuestion.ALLOWED)
        @Min(value = 0, message = AccuracyQuestion.ALLOWED)
        @Max(value = TwoByTwo.MOST, message = AccuracyQuestion.ALLOWED)
        Long fn,

        @NotNull(message = AccuracyQuestion.ALLOWED)
        @Min(value = 0, message = AccuracyQuestion.ALLOWED)
        @Max(value = TwoByTwo.MOST, message = AccuracyQuestion.ALLOWED)
        Long tn) {

    static final String ALLOWED = "allowed: a whole number from 0 to 1000000000";
}
