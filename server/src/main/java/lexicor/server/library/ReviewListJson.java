package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What is left to review.
 *
 * @param first records to begin with
 * @param left how many nobody has found as published, of {@code all}
 * @param cards of tests to begin with, of {@code cardsLeft} that nobody has agreed to
 * @param leftInUse how many of those weigh, of {@code inUse}
 */
public record ReviewListJson(
        List<LeftJson> first, int left, int all, int leftInUse, int inUse, List<CardLeftJson> cards, int cardsLeft) {

    /**
     * A card that nobody has agreed to as it is.
     *
     * @param found how often the test has answered in signed examinations here
     */
    @Schema(name = "CardLeftToReviewJson")
    public record CardLeftJson(String testId, String testName, String region, CardState state, long found) {}

    /** @param found how often its test has answered about its condition in signed examinations here */
    @Schema(name = "LeftToReviewJson")
    public record LeftJson(RecordJson record, long found) {}
}
