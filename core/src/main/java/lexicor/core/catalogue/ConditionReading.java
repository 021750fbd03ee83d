package lexicor.core.catalogue;

import java.util.List;

/**
 * That a test speaks about a condition.
 *
 * @param by    criteria by which it does, the field's usual one first
 * @param gates reasons that hold for this condition alone
 */
public record ConditionReading(ConditionId condition, List<CriterionId> by, List<Gate> gates) {
    public ConditionReading {
        by = List.copyOf(by);
        gates = List.copyOf(gates);
    }
}
