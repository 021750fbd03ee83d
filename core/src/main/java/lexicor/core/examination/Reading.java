package lexicor.core.examination;

import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;

/**
 * What a response means for one condition by one criterion.
 *
 * @param phrase why, in plain words without a full stop
 */
public record Reading(TestId test, ConditionId condition, CriterionId criterion, Result result, String phrase) {

    /** {@code NOT_YET_KNOWN} is for what is still missing; it never means "none". */
    public enum Result {
        POSITIVE,
        NEGATIVE,
        NOT_INTERPRETABLE,
        NOT_YET_KNOWN
    }

    /** Whether the response has a meaning, so that it can be weighed. */
    public boolean definite() {
        return result == Result.POSITIVE || result == Result.NEGATIVE;
    }
}
