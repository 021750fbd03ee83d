package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A paper kept with a record.
 *
 * @param size in bytes
 * @param removed who took it away; absent where it is there
 */
@Schema(name = "LedgerPaperJson")
public record PaperJson(
        UUID id,
        String name,
        int size,
        String by,
        Instant at,
        @Schema(nullable = true) @Nullable RemovedJson removed) {

    /** Who took it away, and when. */
    @Schema(name = "LedgerPaperRemovedJson")
    public record RemovedJson(String by, Instant at) {}
}
