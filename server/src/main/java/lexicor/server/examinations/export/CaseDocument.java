package lexicor.server.examinations.export;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.examination.Side;
import lexicor.core.intake.Person;
import lexicor.core.outcomes.ReferenceResult;
import lexicor.server.cases.Affected;
import lexicor.server.cases.Dominance;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.VisitRequest;
import tools.jackson.databind.JsonNode;

/**
 * A case whole, as it leaves a clinic and comes into another: everything on record, and nothing that follows from it
 * and is worked out anew. A newer version of the format is read by newer versions of the product alone.
 *
 * @param format always {@link #FORMAT}
 * @param version of the format
 * @param people everybody named in it, the name that is shown by the sign-in name
 * @param complaints the first first
 * @param visits the first first
 */
public record CaseDocument(
        @NotNull(message = "allowed: " + FORMAT) @Pattern(regexp = FORMAT, message = "allowed: " + FORMAT)
        String format,

        @Min(value = VERSION, message = "allowed: 1") @Max(value = VERSION, message = "allowed: 1")
        int version,

        @NotNull(message = "allowed: the person") @Valid SubjectPart person,

        @NotNull(message = "allowed: names by sign-in name") @Size(max = 500, message = "allowed: at most 500")
        Map<String, @NotBlank(message = NAME) @Size(max = 80, message = NAME) String> people,

        @NotNull(message = "allowed: a list of complaints") @Size(max = 200, message = "allowed: at most 200")
        List<@NotNull(message = "allowed: a complaint") @Valid ComplaintPart> complaints,

        @NotNull(message = "allowed: a list of visits") @Size(max = 500, message = "allowed: at most 500")
        List<@NotNull(message = "allowed: a visit") @Valid VisitPart> visits) {

    public static final String FORMAT = "lexicor-case";
    static final int VERSION = 1;

    private static final String ID = "allowed: a UUID";
    private static final String TIME = "allowed: a time";
    private static final String NAME = "allowed: 1 to 80 characters";

    /** Whom the case is of. */
    public record SubjectPart(
            @NotNull(message = ID) UUID id,

            @NotNull(message = VisitRequest.NewCase.CODE)
            @Pattern(regexp = VisitRequest.NewCase.CODE_FORM, message = VisitRequest.NewCase.CODE)
            String code,

            @Schema(nullable = true) @Size(max = 80, message = "allowed: at most 80 characters")
            String name,

            @Schema(nullable = true) Integer birthYear,
            @Schema(nullable = true) Dominance dominance,
            @Schema(nullable = true) Person.Sex sex,

            @NotNull(message = "allowed: at most 120 characters")
            @Size(max = 120, message = "allowed: at most 120 characters")
            String occupation,

            @NotNull(message = TIME) Instant createdAt) {}

    /** A complaint with what turned out to be true, also what was withdrawn. */
    public record ComplaintPart(
            @NotNull(message = ID) UUID id,

            @NotBlank(message = "allowed: shoulder, elbow, wrist, hand")
            String region,

            @NotNull(message = "allowed: LEFT, RIGHT, BOTH") Affected side,

            @NotNull(message = TIME) Instant openedAt,

            @NotNull(message = "allowed: a list of results") @Size(max = 500, message = "allowed: at most 500")
            List<@NotNull(message = "allowed: a result") @Valid ResultPart> results) {}

    /** What imaging, surgery or time said of a condition. */
    public record ResultPart(
            @NotNull(message = ID) UUID id,

            @NotBlank(message = "allowed: the id of a condition")
            String conditionId,

            @NotNull(message = "allowed: PRESENT, ABSENT, UNCLEAR")
            ReferenceResult.Truth truth,

            @NotNull(message = "allowed: IMAGING, NERVE_STUDY, SURGERY, RESPONSE, FOLLOW_UP")
            ReferenceResult.Kind kind,

            @NotNull(message = "allowed: a day") LocalDate foundOn,

            @NotNull(message = "allowed: BLIND, KNEW, NOT_KNOWN")
            ReferenceResult.Reader reader,

            @NotNull(message = "allowed: at most 80 characters")
            @Size(max = 80, message = "allowed: at most 80 characters")
            String readBy,

            @NotNull(message = "allowed: at most 300 characters")
            @Size(max = 300, message = "allowed: at most 300 characters")
            String words,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String author,

            @NotNull(message = TIME) Instant at,

            @Schema(nullable = true) @Valid WithdrawnPart withdrawn) {}

    /** Who withdrew a result, and why. */
    public record WithdrawnPart(
            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String author,

            @NotNull(message = TIME) Instant at,

            @NotNull(message = "allowed: at most 300 characters")
            @Size(max = 300, message = "allowed: at most 300 characters")
            String why) {}

    /**
     * An examination.
     *
     * @param complaint id of its complaint
     * @param follows id of the visit that it was begun after
     * @param catalogueRevision of the content that it was begun with
     * @param evidenceRevision of the ledger that it is weighed by
     * @param settings the clinic's decisions by which it is weighed, where they are not those that ship
     * @param evidence when another ledger was taken, the first first
     * @param takeovers the first first
     * @param entries everything recorded and told, in its order, with what was taken back
     * @param signatures one of each version
     * @param amendments why a signed version was opened again
     */
    public record VisitPart(
            @NotNull(message = ID) UUID id,
            @NotNull(message = ID) UUID complaint,
            @Schema(nullable = true) UUID follows,

            @NotBlank(message = "allowed: shoulder, elbow, wrist, hand")
            String region,

            @NotNull(message = "allowed: LEFT, RIGHT") Side side,
            boolean otherSideInvolved,

            @NotNull(message = "allowed: FIRST_CONTACT, SPECIALIST")
            CareSetting setting,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String author,

            @NotNull(message = TIME) Instant startedAt,

            @NotNull(message = REVISION) @Size(max = 40, message = REVISION)
            String catalogueRevision,

            @NotNull(message = REVISION) @Size(max = 40, message = REVISION)
            String evidenceRevision,

            @NotNull(message = "allowed: decisions by name") Map<String, String> settings,

            @NotNull(message = "allowed: a list of changes of the ledger")
            @Size(max = 200, message = "allowed: at most 200")
            List<@NotNull(message = "allowed: a change") @Valid EvidencePart> evidence,

            @NotNull(message = "allowed: a list of takeovers") @Size(max = 200, message = "allowed: at most 200")
            List<@NotNull(message = "allowed: a takeover") @Valid TakeoverPart> takeovers,

            @NotNull(message = "allowed: a list of entries") @Size(max = 5000, message = "allowed: at most 5000")
            List<@NotNull(message = "allowed: an entry") @Valid EntryPart> entries,

            @NotNull(message = "allowed: a list of signatures") @Size(max = 200, message = "allowed: at most 200")
            List<@NotNull(message = "allowed: a signature") @Valid SignaturePart> signatures,

            @NotNull(message = "allowed: a list of amendments") @Size(max = 200, message = "allowed: at most 200")
            List<@NotNull(message = "allowed: an amendment") @Valid AmendmentPart> amendments) {

        private static final String REVISION = "allowed: at most 40 characters";

        /** Number of the last entry, 0 before the first. */
        int last() {
            return entries.size();
        }
    }

    /** Who took another ledger than before. */
    public record EvidencePart(
            @NotBlank(message = "allowed: 1 to 40 characters")
            @Size(max = 40, message = "allowed: at most 40 characters")
            String revision,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String author,

            @NotNull(message = TIME) Instant at) {}

    /**
     * Who took the examination over.
     *
     * @param takenAs how the person was called then
     * @param takenFrom sign-in name of who had it before
     */
    public record TakeoverPart(
            @NotNull(message = ID) UUID id,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String author,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String takenAs,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String takenFrom,

            @NotNull(message = TIME) Instant at) {}

    /** A command with the time at which the server had it. */
    public record EntryPart(
            @NotNull(message = TIME) Instant receivedAt,

            @NotNull(message = "allowed: a command") @Valid CommandJson command) {}

    /**
     * A signed version.
     *
     * @param last number of the last entry that was signed
     * @param seed of the draws
     * @param enteredBy who entered the findings, by the names they had then
     * @param countersigned whether who signed entered none of the findings
     * @param snapshot what went in and what came out, as it was kept when it was signed
     */
    public record SignaturePart(
            @NotNull(message = ID) UUID id,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String author,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String signedAs,

            @NotNull(message = TIME) Instant at,
            long last,

            @NotNull(message = "allowed: a revision") @Size(max = 40, message = "allowed: at most 40 characters")
            String catalogueRevision,

            @NotNull(message = "allowed: a revision") @Size(max = 40, message = "allowed: at most 40 characters")
            String evidenceRevision,

            long seed,

            @NotNull(message = "allowed: a list of names") List<@NotNull(message = NAME) String> enteredBy,

            boolean countersigned,

            @NotNull(message = "allowed: what went in and what came out") @Schema(implementation = Object.class)
            JsonNode snapshot) {}

    /** @param version that it leads to */
    public record AmendmentPart(
            @NotNull(message = ID) UUID id,
            int version,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String author,

            @NotBlank(message = NAME) @Size(max = 80, message = NAME)
            String signedAs,

            @NotNull(message = TIME) Instant at,

            @NotNull(message = "allowed: at most 1000 characters")
            @Size(max = 1000, message = "allowed: at most 1000 characters")
            String reason) {}
}
