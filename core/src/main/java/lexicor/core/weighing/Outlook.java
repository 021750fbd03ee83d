package lexicor.core.weighing;

import java.util.List;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.TestId;

/** What a test that is still to be done would change. */
public record Outlook(TestId test, List<Change> changes) {

    public Outlook {
        changes = List.copyOf(changes);
    }

    /**
     * Where a condition stands now and would stand after either answer, each a chance 0..1.
     *
     * @param positiveDecides whether a positive would decide the condition's cluster, whose own figure then counts in
     *                        place of its strongest finding: the chance may then fall on a positive
     * @param negativeDecides whether a negative would
     */
    public record Change(Condition condition, double now, double ifPositive, double ifNegative, boolean positiveDecides,
            boolean negativeDecides) {

        static Change of(Standing now, Standing positive, Standing negative) {
            return new Change(now.condition(), now.now(), positive.now(), negative.now(), decides(now, positive), decides(now, negative));
        }

        private static boolean decides(Standing now, Standing after) {
            return after.lens() == Lens.CLUSTER && now.lens() != Lens.CLUSTER;
        }

        /** How far apart the two answers would leave it. */
        public double spread() {
            return Math.abs(ifPositive - ifNegative);
        }
    }
}
