package lexicor.server.examinations.signing;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import lexicor.server.examinations.record.AmendmentRow;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.SignatureRow;
import lexicor.server.examinations.record.Versions;

/**
 * Whether an examination is signed.
 *
 * @param closed signed, and not opened again since: nothing can be added
 * @param versions signed versions, the first first
 * @param amending who opened it again and why; absent while it is closed or was never signed
 */
public record SigningJson(
        boolean closed,
        List<VersionJson> versions,
        @Schema(nullable = true) AmendingJson amending) {

    public static SigningJson of(Versions versions) {
        return new SigningJson(
                versions.closed(),
                versions.signed().stream()
                        .map(row -> VersionJson.of(row, versions))
                        .toList(),
                versions.opening(versions.next()).map(AmendingJson::of).orElse(null));
    }

    /**
     * A signed version.
     *
     * @param lastNumber number of the last command in it
     * @param seed of everything drawn for it; as text, for it is longer than a page can count
     * @param enteredBy names of everybody who entered findings
     * @param countersigned whether who signed entered none of them
     * @param amended why it was made after an earlier one; absent for the first
     */
    public record VersionJson(
            int version,
            String author,
            Instant at,
            long lastNumber,
            String catalogueRevision,
            String evidenceRevision,
            String settingsRevision,
            String seed,
            List<String> enteredBy,
            boolean countersigned,
            @Schema(nullable = true) AmendingJson amended) {
        public static VersionJson of(SignatureRow row, Versions versions) {
            ExaminationRow.Revisions revisions = row.revisions();
            return new VersionJson(
                    row.version(),
                    row.signedAs(),
                    row.at(),
                    row.lastNumber(),
                    revisions.catalogue(),
                    revisions.evidence(),
                    revisions.settings(),
                    String.valueOf(row.seed()),
                    row.enteredBy(),
                    row.countersigned(),
                    versions.opening(row.version()).map(AmendingJson::of).orElse(null));
        }
    }

    /** Who opened a signed examination again, when and why. */
    public record AmendingJson(String author, Instant at, String reason) {
        public static AmendingJson of(AmendmentRow row) {
            return new AmendingJson(row.signedAs(), row.at(), row.reason());
        }
    }

    /**
     * A wish to sign.
     *
     * @param knows number of the last command that the person has seen
     */
    @Schema(name = "SignRequest")
    public record Sign(
            @NotNull(message = "allowed: the number of the last command seen, 0 or more")
            @Min(value = 0, message = "allowed: 0 or more")
            Long knows) {}

    /** A wish to open a signed examination again. */
    @Schema(name = "AmendRequest")
    public record Amend(
            @NotBlank(message = "allowed: why it is amended, in words")
            @Size(min = 3, max = 1000, message = "allowed: 3 to 1000 characters")
            String reason) {}

    /**
     * What computing a signed version anew gives.
     *
     * @param same whether everything is as it was signed
     * @param because what has changed since; empty where it is the same
     * @param changes what is different; empty where it is the same
     */
    public record RecomputedJson(int version, boolean same, List<String> because, List<String> changes) {}
}
