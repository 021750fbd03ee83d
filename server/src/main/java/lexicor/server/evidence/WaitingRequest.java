package lexicor.server.evidence;

import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;

/**
 * A second person agrees to what waits.
 *
 * @param id of the agreement, given by the page, so that what is sent twice is made once
 * @param numbers of the changes that are agreed to
 */
public record WaitingRequest(
        @NotNull(message = "allowed: an id") UUID id,

        @NotEmpty(message = "allowed: 1 to 5000 changes") @Size(max = 5000, message = "allowed: 1 to 5000 changes")
        List<@NotNull(message = "allowed: a number") Long> numbers) {}
