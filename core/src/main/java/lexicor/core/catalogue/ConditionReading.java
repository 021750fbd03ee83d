package lexicor.core.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.source.Place;

/**
 * That a test speaks about a condition.
 *
 * @param by criteria by which it does, the field's usual one first
 * @param gates reasons that hold for this condition alone
 * @param school the question by which a school fixes the criterion; empty where the evidence does
 * @param absenceSaysNothing whether the sign is so rare even with the condition that its absence is noted only, unless
 *     somebody has measured it
 * @param place where it is written
 */
public record ConditionReading(
        ConditionId condition,
        List<CriterionId> by,
        List<Gate> gates,
        Optional<BySchool> school,
        boolean absenceSaysNothing,
        Place place) {

    /** The criterion that each answer to a question stands for. */
    public record BySchool(String question, Map<String, CriterionId> criteria) {
        public BySchool {
            criteria = Map.copyOf(criteria);
        }
    }

    public ConditionReading {
        by = List.copyOf(by);
        gates = List.copyOf(gates);
    }

    /** The criteria that may be weighed under these schools. */
    public List<CriterionId> by(Schools schools) {
        return school.map(fixed -> List.of(fixed.criteria().get(schools.choice(fixed.question()))))
                .orElse(by);
    }
}
