package lexicor.server.calculators;

import static lexicor.server.json.OrNull.orNull;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import lexicor.core.evidence.Estimate;
import lexicor.core.outcomes.PartialVerification;

/**
 * Accuracy corrected for those who were not followed up, beside what those followed up alone say; null where unknown.
 */
@JsonInclude(JsonInclude.Include.ALWAYS)
record VerificationAnswer(
        @Schema(nullable = true) Estimate sensitivity,
        @Schema(nullable = true) Estimate specificity,
        Uncorrected uncorrected,
        double prevalence) {

    /** What those followed up alone say. */
    @Schema(name = "UncorrectedAnswer")
    @JsonInclude(JsonInclude.Include.ALWAYS)
    record Uncorrected(
            @Schema(nullable = true) Double sensitivity,
            @Schema(nullable = true) Double specificity) {}

    static VerificationAnswer of(PartialVerification verification) {
        return new VerificationAnswer(
                orNull(verification.sensitivity()),
                orNull(verification.specificity()),
                new Uncorrected(
                        orNull(verification.uncorrectedSensitivity()), orNull(verification.uncorrectedSpecificity())),
                verification.prevalence());
    }
}
