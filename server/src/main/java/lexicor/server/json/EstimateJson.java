package lexicor.server.json;

import io.swagger.v3.oas.annotations.media.Schema;
import lexicor.core.evidence.Estimate;

/** A figure with its 95 % limits. */
@Schema(name = "OutcomeEstimateJson")
public record EstimateJson(double estimate, double lower, double upper) {

    public static EstimateJson of(Estimate estimate) {
        return new EstimateJson(estimate.estimate(), estimate.lower(), estimate.upper());
    }

    /** The same; null where the figure is none. */
    public static EstimateJson orNull(Estimate estimate) {
        return Double.isNaN(estimate.estimate()) ? null : of(estimate);
    }
}
