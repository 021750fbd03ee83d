package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import java.util.UUID;
import lexicor.core.evidence.Review;
import lexicor.core.evidence.Series;
import org.jspecify.annotations.Nullable;

/**
 * A change of the ledger that somebody asks for.
 *
 * @param id of the change, given by the page, so that what is sent twice is made once
 * @param record that is changed; absent for a new study
 * @param knows number of the last change of this record that the person has seen; 0 where there was none
 * @param draft what the record is to say; for a new study and a correction
 * @param review for a review
 * @param why in words; may be empty for a new study and a review
 */
public record LedgerRequest(
        @NotNull(message = "allowed: an id") UUID id,

        @NotNull(message = "allowed: ADD, CORRECT, WITHDRAW, RESTORE, AS_SHIPPED, REVIEW, DECLINE")
        What what,

        @Schema(nullable = true) @Nullable String record,
        @Min(value = 0, message = "allowed: 0 or more") long knows,
        @Schema(nullable = true) @Valid @Nullable Draft draft,
        @Schema(nullable = true) @Valid @Nullable ReviewDraft review,

        @NotNull(message = "allowed: text") @Size(max = 600, message = "allowed: at most 600 letters")
        String why) {

    /** What is asked for. */
    public enum What {
        ADD,
        CORRECT,
        WITHDRAW,
        RESTORE,
        AS_SHIPPED,
        REVIEW,
        DECLINE
    }

    /**
     * What a record is to say. Of a correction, what it is about stays as it is.
     *
     * @param test id of the test; empty where it is about something told
     * @param clue id of what was told; empty where it is about a test
     * @param criterion of the test by which positive was judged; empty for something told
     * @param positiveMeant when the study counted an answer as positive, in its own words
     * @param target what the study looked for, in its own words; may be empty
     * @param counts where the four are known; proportions and sizes then follow from them
     * @param unused why it is to be kept and not used; empty where it is used
     */
    public record Draft(
            @NotNull(message = TEXT) String test,
            @NotNull(message = TEXT) String clue,
            @NotNull(message = TEXT) String condition,
            @NotNull(message = TEXT) String criterion,
            @NotNull(message = TEXT) String positiveMeant,
            @NotNull(message = TEXT) String target,
            @Schema(nullable = true) @Valid @Nullable Counts counts,
            @Schema(nullable = true) @Nullable Double sensitivity,
            @Schema(nullable = true) @Nullable Double specificity,
            @Schema(nullable = true) @Nullable Double lrPositive,
            @Schema(nullable = true) @Nullable Double lrNegative,
            @Schema(nullable = true) @Nullable Integer with,
            @Schema(nullable = true) @Nullable Integer without,
            @Schema(nullable = true) @Nullable Integer total,
            @NotNull(message = TEXT) String design,
            boolean originator,
            @NotNull(message = TEXT) String referenceStandard,
            @NotNull(message = TEXT) String population,
            @NotNull(message = TEXT) String citation,

            @NotNull(message = "allowed: SURGICAL, SPECIALIST, FIRST_CONTACT, UNSTATED")
            Series series,

            @NotNull(message = TEXT) String tieNote,
            @NotNull(message = TEXT) String note,
            @NotNull(message = TEXT) String unused) {

        private static final String TEXT = "allowed: text, which may be empty";
    }

    /** Patients by condition and answer. */
    @Schema(name = "LedgerCounts")
    public record Counts(
            @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            int tp,

            @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            int fp,

            @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            int fn,

            @Min(value = 0, message = COUNT) @Max(value = 1_000_000, message = COUNT)
            int tn) {

        private static final String COUNT = "allowed: 0 to 1000000";
    }

    /**
     * A record compared with its original.
     *
     * @param words what else there is to say; may be empty
     * @param quality by domain; domains that nobody judged are absent
     */
    public record ReviewDraft(
            @NotNull(message = "allowed: CHECKED, DISPUTED, WRONG")
            Review.Verdict verdict,

            @NotNull(message = "allowed: text") @Size(max = 600, message = "allowed: at most 600 letters")
            String words,

            @NotNull(message = "allowed: judgements by domain")
            Map<Review.Domain, @Valid DomainDraft> quality) {}

    /** The judgement of one domain; {@code because} may be empty. */
    public record DomainDraft(
            @NotNull(message = "allowed: LOW, UNCLEAR, HIGH")
            Review.Risk bias,

            @NotNull(message = "allowed: LOW, UNCLEAR, HIGH")
            Review.Risk applies,

            @NotNull(message = "allowed: text") @Size(max = 300, message = "allowed: at most 300 letters")
            String because) {}
}
