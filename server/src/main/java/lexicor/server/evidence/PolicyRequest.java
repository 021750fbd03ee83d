package lexicor.server.evidence;

import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import lexicor.core.evidence.EvidencePolicy;

/**
 * How studies are to be put together from now on.
 *
 * @param id of the change, given by the page, so that what is sent twice is made once
 * @param knows number of the last such change that the person has seen; 0 where there was none
 * @param why in words; not needed to see what it would change
 */
public record PolicyRequest(
        @NotNull(message = "allowed: an id") UUID id,
        @Min(value = 0, message = "allowed: 0 or more") long knows,

        @NotNull(message = "allowed: SYNTHESIS, POOLED, BEST_STUDY")
        EvidencePolicy.Method method,

        @NotNull(message = "allowed: NONE, AS_BEFORE, AS_NOW")
        Own own,

        @NotNull(message = "allowed: text") @Size(max = 600, message = "allowed: at most 600 letters")
        String why) {

    /** Which of the clinic's own results weigh. */
    public enum Own {
        NONE,
        AS_BEFORE,
        AS_NOW
    }
}
