package lexicor.core.evidence;

import java.util.Optional;
import lexicor.core.catalogue.ClusterId;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;

/** What an accuracy record speaks for. */
public sealed interface Tie {

    RecordId record();

    /** What kind of patients were measured; empty where it is not used. */
    default Optional<Series> patients() {
        if (this instanceof ToTest test) {
            return Optional.of(test.series());
        }
        if (this instanceof ToClue clue) {
            return Optional.of(clue.series());
        }
        return this instanceof ToCluster cluster ? Optional.of(cluster.series()) : Optional.empty();
    }

    /**
     * It speaks for a test, judged by a criterion, about a condition.
     *
     * @param inventors whether the study is by those who proposed the test although the ledger's column does not say so
     * @param note what to know of the match; may be empty
     */
    record ToTest(
            RecordId record,
            TestId test,
            CriterionId criterion,
            ConditionId condition,
            Series series,
            boolean inventors,
            String note)
            implements Tie {

        /** The same without words. */
        ToTest without() {
            return new ToTest(record, test, criterion, condition, series, inventors, "");
        }
    }

    /** It speaks for count levels of a cluster. */
    record ToCluster(RecordId record, ClusterId cluster, Series series) implements Tie {}

    /** It speaks for something told or seen before the hands, about a condition. */
    record ToClue(RecordId record, String clue, ConditionId condition, Series series) implements Tie {}

    /** It is shown and not used. */
    record Unused(RecordId record, String because) implements Tie {}
}
