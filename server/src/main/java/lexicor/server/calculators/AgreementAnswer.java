package lexicor.server.calculators;

import static lexicor.server.json.OrNull.orNull;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import lexicor.core.evidence.Estimate;
import lexicor.core.outcomes.Agreement;

/** How two examiners agree; null where it cannot be said. */
@JsonInclude(JsonInclude.Include.ALWAYS)
record AgreementAnswer(
        double observed,
        double expected,
        @Schema(nullable = true) Estimate kappa,
        double pabak,
        @Schema(nullable = true) Double positiveAgreement,
        @Schema(nullable = true) Double negativeAgreement) {

    static AgreementAnswer of(Agreement agreement) {
        return new AgreementAnswer(
                agreement.observed(),
                agreement.expected(),
                agreement.kappa().orElse(null),
                agreement.adjustedKappa(),
                orNull(agreement.positiveAgreement()),
                orNull(agreement.negativeAgreement()));
    }
}
