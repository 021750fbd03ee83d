package lexicor.core.catalogue;

import java.util.Map;
import java.util.Optional;

/**
 * What may be wrong.
 *
 * @param scope  what the name covers, in a line; may be empty
 * @param start  working estimate of the chance before any finding, by setting, each within (0, 1)
 * @param within the wider condition that this one is a part of
 */
public record Condition(ConditionId id, String name, String shortName, String region, String scope, Map<Setting, Double> start,
        Optional<ConditionId> within) {
    public Condition {
        start = Map.copyOf(start);
    }
}
