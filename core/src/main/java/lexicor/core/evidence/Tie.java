package lexicor.core.evidence;

import lexicor.core.catalogue.ClusterId;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;

/** What an accuracy record speaks for. */
public sealed interface Tie {

    RecordId record();

    /** It speaks for a test, judged by a criterion, about a condition. */
    record ToTest(RecordId record, TestId test, CriterionId criterion, ConditionId condition, Series series) implements Tie {
    }

    /** It speaks for count levels of a cluster. */
    record ToCluster(RecordId record, ClusterId cluster, Series series) implements Tie {
    }

    /** It is shown and not used. */
    record Unused(RecordId record, String because) implements Tie {
    }
}
