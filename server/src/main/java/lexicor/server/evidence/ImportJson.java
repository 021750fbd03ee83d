package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a table of studies brings, or has brought.
 *
 * @param added studies that are not in the ledger
 * @param corrected records that say something else than the ledger's
 * @param same records that say the same
 * @param faulty lines with a fault; nothing is kept where there is one
 * @param faults the first of them
 * @param place what the faults count: lines of a table, or records of JSON
 * @param effect on the figures; absent where there are faults
 * @param kept whether it has been kept
 */
@Schema(name = "LedgerImportJson")
public record ImportJson(
        List<BroughtJson> added,
        List<BroughtJson> corrected,
        int same,
        int faulty,
        List<LineJson> faults,
        Place place,
        @Schema(nullable = true) @Nullable PreviewJson effect,
        boolean kept) {

    /** A record as the table has it. */
    @Schema(name = "LedgerBroughtJson")
    public record BroughtJson(String record, String subject, String condition, String citation) {}

    /** What a fault counts by. */
    @Schema(name = "LedgerPlace")
    public enum Place {
        LINE,
        RECORD
    }

    /** A line or record, from 1, and what is wrong with it; 0 is the whole file. */
    @Schema(name = "LedgerLineJson")
    public record LineJson(int line, String says) {}

    /**
     * A table to be brought in.
     *
     * @param id given by the page, so that what is sent twice is kept once
     * @param file its name
     * @param text what is in it: a table or JSON
     */
    @Schema(name = "LedgerImport")
    public record Table(
            @NotNull(message = "allowed: an id") UUID id,

            @NotBlank(message = "allowed: the name of a file")
            @Size(max = 200, message = "allowed: at most 200 letters")
            String file,

            @NotNull(message = "allowed: a table of text, or JSON")
            String text) {}
}
