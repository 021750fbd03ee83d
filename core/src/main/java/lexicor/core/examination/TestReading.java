package lexicor.core.examination;

import java.util.List;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;

/**
 * All readings of one test on the side in question.
 *
 * @param answered whether anything was recorded on that side
 */
public record TestReading(TestId test, boolean answered, List<Reading> readings) {

    public TestReading {
        readings = List.copyOf(readings);
    }

    /** Whether nothing more is needed to read the response by every criterion. */
    public boolean complete() {
        return answered && readings.stream().noneMatch(reading -> reading.result() == Reading.Result.NOT_YET_KNOWN);
    }

    /** The reading for a condition by a criterion, or {@link IllegalArgumentException}. Never null. */
    public Reading reading(ConditionId condition, CriterionId criterion) {
        return readings.stream().filter(reading -> reading.condition().equals(condition) && reading.criterion().equals(criterion)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("test '" + test + "' does not read '" + condition + "' by '" + criterion + "'"));
    }
}
