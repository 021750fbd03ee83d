package lexicor.core.planning;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;

/**
 * Of a table of ranges, the movements from which a condition in play is read, and those whose course is followed. The
 * others can be measured too, and tell nothing that is weighed here.
 *
 * @param asked in the order of the table; at least one
 * @param others those of the table that are left; at least one
 */
public record Movements(List<PartDefinition> asked, List<PartDefinition> others) {

    /** Ranges from which on they are a table. */
    private static final int TABLE = 4;

    private static final String DEGREES = "°";

    public Movements {
        asked = List.copyOf(asked);
        others = List.copyOf(others);
    }

    /** Empty where a test has no table, or all of its movements matter, or none of them. */
    public static Optional<Movements> of(ExaminationTest test, Collection<ConditionId> inPlay) {
        return of(test, inPlay, Set.of());
    }

    /**
     * The same at a visit that follows another one.
     *
     * @param followed keys of what was measured at the visit before
     */
    public static Optional<Movements> of(
            ExaminationTest test, Collection<ConditionId> inPlay, Collection<String> followed) {
        List<PartDefinition> table = test.parts().stream()
                .filter(part -> part instanceof PartDefinition.Measure measure
                        && measure.unit().equals(DEGREES)
                        && !measure.taken().onDemand())
                .toList();
        if (table.size() < TABLE) {
            return Optional.empty();
        }
        Set<String> read = test.reads().stream()
                .filter(reading -> inPlay.contains(reading.condition()))
                .flatMap(reading -> reading.by().stream())
                .flatMap(id -> test.criteria().stream()
                        .filter(criterion -> criterion.id().equals(id)))
                .flatMap(criterion ->
                        Stream.concat(criterion.positive().parts().stream(), criterion.negative().parts().stream()))
                .collect(Collectors.toCollection(HashSet::new));
        read.addAll(followed);
        Movements movements = new Movements(
                table.stream().filter(part -> read.contains(part.key())).toList(),
                table.stream().filter(part -> !read.contains(part.key())).toList());
        return movements.asked().isEmpty() || movements.others().isEmpty() ? Optional.empty() : Optional.of(movements);
    }

    /** Of the time that the whole table takes, above 0 and below 1. */
    double share() {
        return (double) asked.size() / (asked.size() + others.size());
    }
}
