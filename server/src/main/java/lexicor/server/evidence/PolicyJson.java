package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import lexicor.core.evidence.EvidencePolicy;
import org.jspecify.annotations.Nullable;

/**
 * How studies are put together.
 *
 * @param knows number of the last change of it; 0 where there was none
 * @param weigh the clinic's own results that weigh; absent where none do
 * @param ready those that could weigh today
 * @param more whether others could weigh today than do
 * @param history every change of it, the latest first
 */
@Schema(name = "LedgerPolicyJson")
public record PolicyJson(
        long knows,
        EvidencePolicy.Method method,
        @Schema(nullable = true) @Nullable WeighJson weigh,
        List<OwnJson> ready,
        boolean more,
        List<StandingJson.ChangeJson> history) {

    /** Own results that weigh, since when and by whom. */
    @Schema(name = "LedgerOwnWeighJson")
    public record WeighJson(List<OwnJson> results, String by, Instant at) {}

    /**
     * The clinic's own results of one test for one condition, corrected for those not known.
     *
     * @param with share of those with the condition who answer positive, 0..1; absent where there is nobody
     * @param without the same of those without it
     */
    @Schema(name = "LedgerOwnResultJson")
    public record OwnJson(
            String testId,
            String testName,
            String conditionId,
            String conditionName,
            @Schema(nullable = true) @Nullable Double with,
            @Schema(nullable = true) @Nullable Double without,
            double patients) {}
}
