package lexicor.core.weighing;

import java.util.List;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.TestId;

/** What a test that is still to be done would change. */
public record Outlook(TestId test, List<Change> changes) {

    public Outlook {
        changes = List.copyOf(changes);
    }

    /** Where a condition stands now and would stand after either answer, each a chance 0..1. */
    public record Change(Condition condition, double now, double ifPositive, double ifNegative) {

        /** How far apart the two answers would leave it. */
        public double spread() {
            return Math.abs(ifPositive - ifNegative);
        }
    }
}
