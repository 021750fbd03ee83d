package lexicor.core.evidence;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * One published result, with every column of the ledger.
 *
 * @param sensitivity share of those with the condition who answer positive, 0..1
 * @param specificity share of those without who answer negative, 0..1
 * @param lrPositive published likelihood ratio of a positive, or of the count level a cluster record stands for
 * @param lrNegative published likelihood ratio of a negative
 * @param originator whether the study comes from those who proposed the test or derived the rule
 * @param line line in the ledger file, from 1
 */
public record AccuracyRecord(
        RecordId id,
        Kind kind,
        String subject,
        String subjectText,
        String criterion,
        String condition,
        String conditionText,
        OptionalDouble sensitivity,
        OptionalDouble specificity,
        OptionalDouble lrPositive,
        OptionalDouble lrNegative,
        OptionalInt with,
        OptionalInt without,
        OptionalInt total,
        String design,
        boolean originator,
        String referenceStandard,
        String population,
        String citation,
        String transcription,
        String reviewState,
        String note,
        int line) {

    /** What nobody has compared with its original. */
    public static final String UNREVIEWED = "unreviewed";

    /** What a record is about. */
    public enum Kind {
        TEST,
        CLUSTER,
        HISTORY
    }

    /**
     * Whether the record pools other studies; such records are shown and can be chosen, never pooled with primaries.
     */
    public boolean review() {
        return design.contains("meta-analysis") || design.contains("review");
    }

    /** Patients in the study; 0 where no size was published. */
    public int patients() {
        return sizesKnown() ? with.getAsInt() + without.getAsInt() : total.orElse(0);
    }

    /** Whether both group sizes were published. */
    public boolean sizesKnown() {
        return with.isPresent() && without.isPresent();
    }

    /** The same, with what is known of its being checked. */
    public AccuracyRecord withReviewState(String state) {
        return copy(originator, transcription, state, line);
    }

    /** The same at another place in the order of the ledger. */
    public AccuracyRecord withLine(int other) {
        return copy(originator, transcription, reviewState, other);
    }

    /** The same, with how it came into the ledger. */
    public AccuracyRecord withTranscription(String how) {
        return copy(originator, how, reviewState, line);
    }

    /** The same, by those who proposed the test or by others. */
    public AccuracyRecord withOriginator(boolean proposed) {
        return copy(proposed, transcription, reviewState, line);
    }

    private AccuracyRecord copy(boolean originator, String transcription, String reviewState, int line) {
        return new AccuracyRecord(
                id,
                kind,
                subject,
                subjectText,
                criterion,
                condition,
                conditionText,
                sensitivity,
                specificity,
                lrPositive,
                lrNegative,
                with,
                without,
                total,
                design,
                originator,
                referenceStandard,
                population,
                citation,
                transcription,
                reviewState,
                note,
                line);
    }
}
