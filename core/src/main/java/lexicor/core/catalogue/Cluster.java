package lexicor.core.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.source.Place;

/**
 * A published set of findings, counted together for one condition.
 *
 * @param components the findings that are counted
 * @param atMost how many of a block's components count at most, by block; empty where all count
 * @param levels bands of the count, together covering 0 to the highest count without gap or overlap
 * @param note what to know of it; may be empty
 * @param chosenBy the question and the choice by which this set is meant among several of its condition; empty where it
 *     is not asked
 * @param asCounted how a school counts it that nobody has published figures for; empty where all count alike
 */
public record Cluster(
        ClusterId id,
        String name,
        ConditionId condition,
        List<Component> components,
        Map<String, Integer> atMost,
        List<Level> levels,
        String note,
        Optional<Conduct.SchoolChoice> chosenBy,
        Optional<AsCounted> asCounted) {

    /**
     * Another way of counting.
     *
     * @param school the question and the choice under which it is counted so
     * @param criteria what counts as positive then, by test
     */
    public record AsCounted(Conduct.SchoolChoice school, Map<TestId, CriterionId> criteria, String because) {
        public AsCounted {
            criteria = Map.copyOf(criteria);
        }
    }

    public Cluster {
        components = List.copyOf(components);
        atMost = Map.copyOf(atMost);
        levels = List.copyOf(levels);
    }

    /** A test read by a criterion. */
    public record Finding(TestId test, CriterionId criterion) {}

    /**
     * One counted item: it counts once any of its findings is positive, or its clue is present.
     *
     * @param block the block whose cap it falls under; empty where the cluster has no blocks
     */
    public record Component(String name, List<Finding> anyOf, Optional<Pattern.Clue> clue, String block) {
        public Component {
            anyOf = List.copyOf(anyOf);
        }

        /** The test of a component that is one finding. */
        public TestId test() {
            return anyOf.get(0).test();
        }

        public CriterionId criterion() {
            return anyOf.get(0).criterion();
        }

        /** Short name: the test's id, the clue's, or the alternatives joined. */
        public String key() {
            return clue.map(Pattern.Clue::id)
                    .orElseGet(() -> anyOf.stream()
                            .map(finding -> finding.test().value())
                            .distinct()
                            .collect(Collectors.joining("/")));
        }

        /** Whether it is a single finding, with neither alternatives nor history. */
        public boolean single() {
            return anyOf.size() == 1 && clue.isEmpty();
        }
    }

    /** What a level's record says of it. */
    public enum Direction {
        /** The record's positive result is this level. */
        POSITIVE,
        /** The record's negative result is this level. */
        NEGATIVE,
        /** The record's positive likelihood ratio is that of exactly this level. */
        LEVEL,
        /** The record speaks of this count or more. */
        AT_LEAST,
        /** No figure was published. */
        NONE
    }

    /**
     * A band of the count, {@code from} to {@code to} positives. {@code record} is empty where no figure was published.
     */
    public record Level(String name, int from, int to, String record, Direction direction, Place place) {
        public boolean covers(int count) {
            return count >= from && count <= to;
        }
    }

    /** The other way of counting, where these schools count so. */
    public Optional<AsCounted> asCounted(Schools schools) {
        return asCounted.filter(other -> other.school().inForce(schools));
    }

    /** Whether these schools mean this set, or none of those that the same question chooses among. */
    public boolean meant(Schools schools, Stream<Cluster> all) {
        return chosenBy.isEmpty()
                || chosenBy.get().inForce(schools)
                || all.noneMatch(other -> other.chosenBy
                        .filter(choice ->
                                choice.question().equals(chosenBy.get().question()))
                        .filter(choice -> choice.inForce(schools))
                        .isPresent());
    }

    public boolean counts(TestId test) {
        return components.stream()
                .flatMap(component -> component.anyOf().stream())
                .anyMatch(finding -> finding.test().equals(test));
    }
}
