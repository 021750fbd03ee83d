package lexicor.server.library;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.UUID;

/**
 * A card that was looked through.
 *
 * @param state as it stands now; changed since where the card has since been shipped otherwise
 */
public record CardReviewJson(CardState state, Verdict verdict, String words, String by, Instant at) {

    /** What a person finds of a card. */
    public enum Verdict {
        AGREED,
        DOUBTFUL,
        WRONG
    }

    /**
     * A review that somebody gives.
     *
     * @param id given by the page, so that what is sent twice is kept once
     * @param words what is doubtful or wrong; may be empty where the card is agreed to
     */
    public record CardReviewRequest(
            @NotNull(message = "allowed: an id") UUID id,

            @NotNull(message = "allowed: AGREED, DOUBTFUL, WRONG")
            Verdict verdict,

            @NotNull(message = "allowed: text") @Size(max = 600, message = "allowed: at most 600 letters")
            String words) {}
}
