package lexicor.core.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * A hands-on test: its names, its card, what is recorded and how the response is read.
 *
 * @param names what the field calls it; {@code aliases} has those of them that are right
 * @param positions the patient's positions, the usual one first
 * @param seconds usual time for one side
 * @param provocation 0 (none) to 3 (likely to hurt or frighten)
 * @param review who has checked the card
 * @param fingerprint of everything that the content says of it
 * @param parts what is recorded, in order
 * @param wellSideParts keys of the parts asked of the uninvolved side too
 * @param nothing the choices that "Nothing" stands for, by part
 * @param usual whole answers that come up most, each given with one tap; by part
 * @param gates reasons that hold for every condition
 * @param alsoIn rivals in which it is provoked too
 * @param pose the figure; empty where a figure would mislead
 * @param hand the figure of wrist and hand; empty where a figure would mislead
 * @param place where it lies on a drawing; empty where it is no landmark
 */
public record ExaminationTest(
        TestId id,
        String name,
        String shortName,
        List<String> aliases,
        Names names,
        String region,
        Stage stage,
        List<String> positions,
        int seconds,
        int provocation,
        String review,
        String fingerprint,
        CueCard card,
        Conduct conduct,
        List<PartDefinition> parts,
        List<String> wellSideParts,
        Map<String, String> nothing,
        List<Map<String, String>> usual,
        List<Criterion> criteria,
        List<Gate> gates,
        List<ConditionReading> reads,
        List<AlsoIn> alsoIn,
        Optional<Pose> pose,
        Optional<HandPose> hand,
        Optional<DrawnPlace> place) {

    public ExaminationTest {
        aliases = List.copyOf(aliases);
        positions = List.copyOf(positions);
        parts = List.copyOf(parts);
        wellSideParts = List.copyOf(wellSideParts);
        nothing = Map.copyOf(nothing);
        usual = List.copyOf(usual);
        criteria = List.copyOf(criteria);
        gates = List.copyOf(gates);
        reads = List.copyOf(reads);
        alsoIn = List.copyOf(alsoIn);
    }

    /** The patient's usual position. */
    public String position() {
        return positions.get(0);
    }

    public Optional<PartDefinition> part(String key) {
        return parts.stream().filter(part -> part.key().equals(key)).findFirst();
    }

    public Optional<Criterion> criterion(CriterionId id) {
        return criteria.stream().filter(criterion -> criterion.id().equals(id)).findFirst();
    }

    /**
     * What studies of several criteria recorded alike, where a condition is read by one of them: the criterion that
     * names it. Empty where every criterion is an observation of its own.
     */
    public Optional<CriterionId> sharedObservation(ConditionId condition, Schools schools) {
        return readingFor(condition)
                .map(reading -> reading.by(schools).get(0))
                .flatMap(own -> criterion(own)
                        .flatMap(Criterion::sameAs)
                        .or(() -> criteria.stream()
                                .flatMap(each -> each.sameAs().stream())
                                .filter(own::equals)
                                .findFirst()));
    }

    /** The way of doing it that the schools ask for; empty where it is the usual one. */
    public Optional<Conduct.Variant> variant(Schools schools) {
        return conduct.variants().stream()
                .filter(variant -> variant.school().inForce(schools))
                .findFirst();
    }

    /** Whether a criterion is about parts alone that are recorded only on demand. */
    public boolean onDemand(Criterion criterion) {
        return criterion.positive().parts().stream()
                .allMatch(key -> part(key).map(part -> part.taken().onDemand()).orElse(false));
    }

    /** What a full range of a part comes to; empty where it is not judged by eye. */
    public OptionalDouble fullRange(String part) {
        return part(part).orElse(null) instanceof PartDefinition.Measure measure
                ? measure.usual()
                : OptionalDouble.empty();
    }

    /** A way that an attempt names; empty for the usual one. */
    public Optional<Way> way(String variant) {
        return conduct.ways().stream()
                .skip(1)
                .filter(way -> way.value().equals(variant))
                .findFirst();
    }

    /** What an attempt calls the way it was done, in words; empty for the usual one. */
    public Optional<String> wayInWords(String variant) {
        return way(variant)
                .map(Way::label)
                .or(() -> conduct.variants().stream()
                        .filter(each -> each.value().equals(variant))
                        .findFirst()
                        .map(Conduct.Variant::label));
    }

    /** The names that an attempt may give to the way it was done. */
    public List<String> variants() {
        return Stream.of(
                        Stream.of(Way.USUAL),
                        conduct.ways().stream().map(Way::value),
                        conduct.variants().stream().map(Conduct.Variant::value))
                .flatMap(each -> each)
                .distinct()
                .toList();
    }

    /** How far it takes the upper arm; empty where the content does not say. */
    public Optional<Reach> reach() {
        return conduct.reach().or(() -> pose.map(Reach::of));
    }

    /** The windows in which a measure makes some criterion positive, in the order of the criteria. */
    public List<Rule.Window> positiveWindows(String part) {
        return criteria.stream()
                .flatMap(criterion -> criterion.positive().leaves())
                .filter(Rule.Window.class::isInstance)
                .map(Rule.Window.class::cast)
                .filter(window -> window.part().equals(part) && window.side() == Answers.Asked.THIS)
                .distinct()
                .toList();
    }

    public Optional<ConditionReading> readingFor(ConditionId condition) {
        return reads.stream()
                .filter(reading -> reading.condition().equals(condition))
                .findFirst();
    }
}
