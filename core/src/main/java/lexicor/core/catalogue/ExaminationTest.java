package lexicor.core.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A hands-on test: its names, its card, what is recorded and how the response is read.
 *
 * @param seconds       usual time for one side
 * @param provocation   0 (none) to 3 (likely to hurt or frighten)
 * @param review        who has checked the card
 * @param parts         what is recorded, in order
 * @param wellSideParts keys of the parts asked of the uninvolved side too
 * @param nothing       the choices that "Nothing" stands for, by part
 * @param gates         reasons that hold for every condition
 */
public record ExaminationTest(TestId id, String name, String shortName, List<String> aliases, String region, String position,
        int seconds, int provocation, String review, CueCard card, List<PartDefinition> parts, List<String> wellSideParts,
        Map<String, String> nothing, List<Criterion> criteria, List<Gate> gates, List<ConditionReading> reads) {

    public ExaminationTest {
        aliases = List.copyOf(aliases);
        parts = List.copyOf(parts);
        wellSideParts = List.copyOf(wellSideParts);
        nothing = Map.copyOf(nothing);
        criteria = List.copyOf(criteria);
        gates = List.copyOf(gates);
        reads = List.copyOf(reads);
    }

    public Optional<PartDefinition> part(String key) {
        return parts.stream().filter(part -> part.key().equals(key)).findFirst();
    }

    public Optional<Criterion> criterion(CriterionId id) {
        return criteria.stream().filter(criterion -> criterion.id().equals(id)).findFirst();
    }

    /** The windows in which a measure makes some criterion positive, in the order of the criteria. */
    public List<Rule.Window> positiveWindows(String part) {
        return criteria.stream().flatMap(criterion -> criterion.positive().leaves()).filter(Rule.Window.class::isInstance)
                .map(Rule.Window.class::cast).filter(window -> window.part().equals(part) && window.side() == Answers.Asked.THIS).distinct().toList();
    }

    public Optional<ConditionReading> readingFor(ConditionId condition) {
        return reads.stream().filter(reading -> reading.condition().equals(condition)).findFirst();
    }
}
