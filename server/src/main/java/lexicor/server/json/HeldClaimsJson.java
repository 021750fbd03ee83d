package lexicor.server.json;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.outcomes.Calibration;

/**
 * How chances of one kind held.
 *
 * @param claims with a result
 * @param present of them came true
 * @param line absent while too few claims came true or did not
 */
public record HeldClaimsJson(
        int claims,
        int present,
        double brier,
        double brierOfStart,
        double logLoss,
        double logLossOfStart,
        List<GroupJson> groups,
        @Schema(nullable = true) LineJson line) {

    /** Claims of nearly the same chance. */
    @Schema(name = "HeldGroupJson")
    public record GroupJson(double stated, int claims, int present, EstimateJson share) {}

    /** 0 and 1 where claims hold. */
    @Schema(name = "HeldLineJson")
    public record LineJson(EstimateJson intercept, EstimateJson slope) {}

    /** Of claims with what turned out; null where there are none. */
    public static HeldClaimsJson of(List<Calibration.Claim> claims) {
        if (claims.isEmpty()) {
            return null;
        }
        Calibration calibration = new Calibration(claims);
        return new HeldClaimsJson(
                calibration.claims(),
                calibration.present(),
                calibration.brier(),
                calibration.brierOfStart(),
                calibration.logLoss(),
                calibration.logLossOfStart(),
                calibration.groups().stream()
                        .map(group -> new GroupJson(
                                group.stated(), group.claims(), group.present(), EstimateJson.of(group.share())))
                        .toList(),
                calibration
                        .line()
                        .map(line -> new LineJson(EstimateJson.of(line.intercept()), EstimateJson.of(line.slope())))
                        .orElse(null));
    }
}
