package lexicor.server.calculators;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import lexicor.core.evidence.TwoByTwo;

/** A chance before, and independent tests by the counts of a study each, with their results. */
record IntervalQuestion(
        @NotNull(message = PostTestQuestion.PRIOR)
        @DecimalMin(value = "0", inclusive = false, message = PostTestQuestion.PRIOR)
        @DecimalMax(value = "1", inclusive = false, message = PostTestQuestion.PRIOR)
        Double prior,

        @NotNull(message = IntervalQuestion.DRAWS)
        @Min(value = 100, message = IntervalQuestion.DRAWS)
        @Max(value = 200_000, message = IntervalQuestion.DRAWS)
        Integer draws,

        @NotNull(message = "allowed: a whole number") Long seed,

        @NotNull(message = "allowed: a list of tests") @Size(max = 20, message = "allowed: at most 20 tests")
        List<@NotNull(message = "allowed: a test") @Valid Counted> tests) {

    static final String DRAWS = "allowed: a whole number from 100 to 200000";
    /** Draws times tests: what one question may cost. */
    static final long MOST_WORK = 1_000_000;

    static final String COUNT = AccuracyQuestion.ALLOWED;

    /** Counts of one study and the result of the test. */
    record Counted(
            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = TwoByTwo.MOST, message = COUNT)
            Long tp,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = TwoByTwo.MOST, message = COUNT)
            Long fp,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = TwoByTwo.MOST, message = COUNT)
            Long fn,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = TwoByTwo.MOST, message = COUNT)
            Long tn,

            @NotNull(message = "allowed: true or false") Boolean positive) {}
}
