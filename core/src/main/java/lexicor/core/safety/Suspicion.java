package lexicor.core.safety;

import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;

/**
 * Something suspected that closes tests until it is cleared.
 *
 * @param label what is suspected
 * @param of the condition whose rule to image or refer it follows; empty where it has circumstances of its own
 * @param when when it is suspected
 * @param because what could happen, without a full stop
 * @param closes tests that are closed while it is suspected
 * @param waiting tests that wait, where the story points to the condition, until what is looked at first was done
 */
public record Suspicion(
        String id,
        String label,
        Optional<ConditionId> of,
        Circumstance when,
        String because,
        Set<TestId> closes,
        Set<TestId> waiting) {
    public Suspicion {
        closes = Set.copyOf(closes);
        waiting = Set.copyOf(waiting);
    }
}
