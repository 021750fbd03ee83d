package lexicor.server.calculators;

import static lexicor.server.json.OrNull.orNull;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import lexicor.core.evidence.Estimate;
import lexicor.core.evidence.TwoByTwo;

/** Statistics of a 2x2 table, each with its 95 % interval; null where an empty margin leaves it unknown. */
@JsonInclude(JsonInclude.Include.ALWAYS)
record AccuracyAnswer(
        @Schema(nullable = true) Estimate sensitivity,
        @Schema(nullable = true) Estimate specificity,
        @Schema(nullable = true) Estimate ppv,
        @Schema(nullable = true) Estimate npv,
        @Schema(nullable = true) Estimate lrPositive,
        @Schema(nullable = true) Estimate lrNegative,
        @Schema(nullable = true) Estimate diagnosticOddsRatio,
        @Schema(nullable = true) Double youden,
        boolean corrected) {

    static AccuracyAnswer of(TwoByTwo counts) {
        return new AccuracyAnswer(
                counts.sensitivity().orElse(null),
                counts.specificity().orElse(null),
                counts.positivePredictiveValue().orElse(null),
                counts.negativePredictiveValue().orElse(null),
                counts.likelihoodRatioPositive().orElse(null),
                counts.likelihoodRatioNegative().orElse(null),
                counts.diagnosticOddsRatio().orElse(null),
                orNull(counts.youden()),
                counts.corrected());
    }
}
