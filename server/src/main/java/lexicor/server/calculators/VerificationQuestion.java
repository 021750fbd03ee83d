package lexicor.server.calculators;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import lexicor.core.outcomes.PartialVerification;

/** Patients who were followed up to the truth, and patients who were not. */
record VerificationQuestion(
        @NotNull(message = "allowed: {tp, fp, fn, tn}") @Valid
        Verified verified,

        @NotNull(message = "allowed: {positive, negative}") @Valid
        Unverified unverified) {

    static final String COUNT = "allowed: a whole number from 0 to 1000000";

    /** Counts of those followed up. */
    @Schema(name = "VerifiedQuestion")
    record Verified(
            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            Integer tp,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            Integer fp,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            Integer fn,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            Integer tn) {}

    /** Counts of the others, by the answer of the test. */
    @Schema(name = "UnverifiedQuestion")
    record Unverified(
            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            Integer positive,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            Integer negative) {}

    PartialVerification read() {
        return new PartialVerification(
                verified.tp, verified.fp, verified.fn, verified.tn, unverified.positive, unverified.negative);
    }
}
