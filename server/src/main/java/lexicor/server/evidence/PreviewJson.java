package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a change of the ledger would do.
 *
 * @param faults what keeps it out; empty where it can be made
 * @param notes what to know of the record as it would be
 * @param moved how many weights of tests would move
 * @param moves the furthest of them
 * @param open examinations that would be offered the new figures
 */
public record PreviewJson(List<FaultJson> faults, List<String> notes, int moved, List<MoveJson> moves, long open) {

    /** One field and what is allowed. */
    @Schema(name = "LedgerFaultJson")
    public record FaultJson(String field, String message) {}

    /** A test's weight for a condition before and after; absent where nothing weighs it. */
    @Schema(name = "LedgerMoveJson")
    public record MoveJson(
            String testId,
            String testName,
            String conditionId,
            String conditionName,
            @Schema(nullable = true) @Nullable WeightJson before,
            @Schema(nullable = true) @Nullable WeightJson after) {}

    /** Likelihood ratios expected of an independent clinic, and what they are worth in words. */
    @Schema(name = "LedgerWeightJson")
    public record WeightJson(double lrPositive, double lrNegative, String plainly) {}
}
