package lexicor.core.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What may be wrong.
 *
 * @param everyday what it is in words that a patient knows, as it stands within a sentence; drafted, not reviewed
 * @param scope what the name covers, in a line; may be empty
 * @param start working estimate of the chance before any finding, by setting, each within (0, 1)
 * @param onlyIf stories of which one is needed, such as a fall; empty where it can always be
 * @param within the wider condition that this one is a part of
 * @param serious why it must not be missed, and when; empty where it is not of that kind
 */
public record Condition(
        ConditionId id,
        String name,
        String shortName,
        String everyday,
        String region,
        String scope,
        Map<CareSetting, Double> start,
        List<Pattern.Clue> onlyIf,
        Optional<ConditionId> within,
        Optional<String> serious) {
    public Condition {
        start = Map.copyOf(start);
        onlyIf = List.copyOf(onlyIf);
    }
}
