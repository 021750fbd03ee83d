package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import lexicor.core.evidence.Review;
import org.jspecify.annotations.Nullable;

/**
 * How a record of the ledger stands here.
 *
 * @param knows number of its last change; 0 where nobody has changed it
 * @param own whether it is a study of the clinic's own
 * @param corrected whether a shipped record says something else here
 * @param conflict whether the product has since shipped another version of what was corrected
 * @param differences of a corrected record from the shipped one
 * @param withdrawn why it was withdrawn; empty where it was not
 * @param draft what it says, to be corrected
 * @param criteria by which its test is read for its condition; empty where it is not about a test
 * @param proposed a change that waits for a second person; absent where none does
 * @param history every change, the latest first
 */
@Schema(name = "LedgerStandingJson")
public record StandingJson(
        long knows,
        boolean own,
        boolean corrected,
        boolean conflict,
        List<DifferenceJson> differences,
        String withdrawn,
        LedgerRequest.Draft draft,
        List<CriterionJson> criteria,
        @Schema(nullable = true) @Nullable ReviewJson review,
        @Schema(nullable = true) @Nullable ChangeJson proposed,
        List<ChangeJson> history) {

    /** A field that says something else; empty where it says nothing. */
    @Schema(name = "LedgerDifferenceJson")
    public record DifferenceJson(String field, String before, String after) {}

    /** A criterion and when it counts as positive. */
    @Schema(name = "LedgerCriterionJson")
    public record CriterionJson(String id, String counts) {}

    /** The last comparison with the original; {@code state} also says when the record has changed since. */
    @Schema(name = "LedgerReviewJson")
    public record ReviewJson(
            Review.Verdict verdict,
            String state,
            String words,
            String by,
            Instant at,
            Map<Review.Domain, Review.Judgement> quality) {}

    /**
     * A change that was made.
     *
     * @param differences of a correction from what the record said before
     */
    @Schema(name = "LedgerChangeJson")
    public record ChangeJson(
            long number,
            String record,
            LedgerStore.Kind kind,
            String words,
            String why,
            String by,
            Instant at,
            List<DifferenceJson> differences) {}
}
