package lexicor.server.examinations.record;

import java.util.UUID;

/**
 * That an examination is not as it was: published within the transaction that changed it.
 *
 * @param number of its last command
 */
public record ExaminationMoved(UUID examination, UUID caseFile, long number, What what) {

    /** What happened. */
    public enum What {
        BEGUN,
        ENTERED,
        SIGNED,
        AMENDED,
        TAKEN_OVER,
        WEIGHED_ANEW
    }
}
