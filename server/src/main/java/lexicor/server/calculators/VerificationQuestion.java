package lexicor.server.calculators;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import lexicor.core.outcomes.PartialVerification;
import lexicor.core.synthesis.StudyRecord;

/** Patients who were followed up to the truth, and patients who were not. */
record VerificationQuestion(
        @NotNull(message = "allowed: {tp, fp, fn, tn}") @Valid
        Verified verified,

        @NotNull(message = "allowed: {positive, negative}") @Valid
        Unverified unverified) {

    /** Counts of those followed up. */
    @Schema(name = "VerifiedQuestion")
    record Verified(
            @NotNull(message = PoolQuestion.COUNT)
            @Min(value = 0, message = PoolQuestion.COUNT)
            @Max(value = StudyRecord.MOST, message = PoolQuestion.COUNT)
            Integer tp,

            @NotNull(message = PoolQuestion.COUNT)
            @Min(value = 0, message = PoolQuestion.COUNT)
            @Max(value = StudyRecord.MOST, message = PoolQuestion.COUNT)
            Integer fp,

            @NotNull(message = PoolQuestion.COUNT)
            @Min(value = 0, message = PoolQuestion.COUNT)
            @Max(value = StudyRecord.MOST, message = PoolQuestion.COUNT)
            Integer fn,

            @NotNull(message = PoolQuestion.COUNT)
            @Min(value = 0, message = PoolQuestion.COUNT)
            @Max(value = StudyRecord.MOST, message = PoolQuestion.COUNT)
            Integer tn) {}

    /** Counts of the others, by the answer of the test. */
    @Schema(name = "UnverifiedQuestion")
    record Unverified(
            @NotNull(message = PoolQuestion.COUNT)
            @Min(value = 0, message = PoolQuestion.COUNT)
            @Max(value = StudyRecord.MOST, message = PoolQuestion.COUNT)
            Integer positive,

            @NotNull(message = PoolQuestion.COUNT)
            @Min(value = 0, message = PoolQuestion.COUNT)
            @Max(value = StudyRecord.MOST, message = PoolQuestion.COUNT)
            Integer negative) {}

    PartialVerification read() {
        return new PartialVerification(
                verified.tp, verified.fp, verified.fn, verified.tn, unverified.positive, unverified.negative);
    }
}
