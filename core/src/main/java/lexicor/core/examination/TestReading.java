package lexicor.core.examination;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Way;

/**
 * All readings of one test on the side in question.
 *
 * @param answered whether anything was recorded on that side
 * @param way how it was done last; empty where that was the usual way
 * @param onDemand criteria not yet known that are about parts alone which are recorded only when somebody wants to
 */
public record TestReading(
        TestId test, boolean answered, List<Reading> readings, Optional<Way> way, Set<CriterionId> onDemand) {

    public TestReading {
        readings = List.copyOf(readings);
        onDemand = Set.copyOf(onDemand);
    }

    /** Readings of a test done the usual way. */
    public TestReading(TestId test, boolean answered, List<Reading> readings) {
        this(test, answered, readings, Optional.empty(), Set.of());
    }

    /** The same with other readings in their place. */
    public TestReading with(List<Reading> others) {
        return new TestReading(test, answered, others, way, onDemand);
    }

    /** Whether nothing more is needed to read the response by every criterion that is always asked for. */
    public boolean complete() {
        return answered
                && readings.stream()
                        .filter(reading -> !onDemand.contains(reading.criterion()))
                        .noneMatch(reading -> reading.result() == Reading.Result.NOT_YET_KNOWN);
    }

    /** The reading for a condition by a criterion, or {@link IllegalArgumentException}. Never null. */
    public Reading reading(ConditionId condition, CriterionId criterion) {
        return readings.stream()
                .filter(reading -> reading.condition().equals(condition)
                        && reading.criterion().equals(criterion))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "test '" + test + "' does not read '" + condition + "' by '" + criterion + "'"));
    }
}
