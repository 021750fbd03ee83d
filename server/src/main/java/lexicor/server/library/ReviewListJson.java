package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What is left to review.
 *
 * @param first records to begin with
 * @param left how many nobody has found as published, of {@code all}
 * @param leftInUse how many of those weigh, of {@code inUse}
 */
public record ReviewListJson(List<LeftJson> first, int left, int all, int leftInUse, int inUse) {

    /** @param found how often its test has answered about its condition in signed examinations here */
    @Schema(name = "LeftToReviewJson")
    public record LeftJson(RecordJson record, long found) {}
}
