package lexicor.server.examinations.sending;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * Where an examination can go, and what became of what was asked for.
 *
 * @param receiver absent where none is named
 * @param holds what a document would hold, in lines; empty where none can be asked for any more
 * @param nameStored whether the patient's name could go too
 * @param sent the last asked for first
 */
record SendingJson(
        @Schema(nullable = true) ReceiverJson receiver, List<String> holds, boolean nameStored, List<OneJson> sent) {

    /** Who receives signed examinations; both are empty where nobody does. */
    @Schema(name = "ReceiverJson")
    record ReceiverJson(
            @NotNull(message = "allowed: at most 80 characters")
            @Size(max = 80, message = "allowed: at most 80 characters")
            String called,

            @NotNull(message = Receiver.ALLOWED) @Size(max = 300, message = "allowed: at most 300 characters")
            String address) {}

    /**
     * One that was asked for; see {@link Sending}. {@code mayBeTried} says whether a person may let it be tried now.
     */
    @Schema(name = "SendingOneJson")
    record OneJson(
            UUID id,
            int version,
            String to,
            boolean withName,
            String author,
            Instant askedAt,
            Sending.State state,
            int tries,
            @Schema(nullable = true) Instant nextAt,
            @Schema(nullable = true) Instant doneAt,
            String said,
            boolean mayBeTried) {}

    /** @param withName whether the patient's name goes too */
    @Schema(name = "SendingRequest")
    record Ask(@NotNull(message = "allowed: true, false") Boolean withName) {}
}
