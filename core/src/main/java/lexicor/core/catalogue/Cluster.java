package lexicor.core.catalogue;

import java.util.List;

/**
 * A published set of findings, counted together for one condition.
 *
 * @param components the findings that are counted
 * @param levels     bands of the count, together covering 0 to the number of components without gap or overlap
 */
public record Cluster(ClusterId id, String name, ConditionId condition, List<Component> components, List<Level> levels) {

    public Cluster {
        components = List.copyOf(components);
        levels = List.copyOf(levels);
    }

    /** One counted finding: a test read by a criterion. */
    public record Component(TestId test, CriterionId criterion) {
    }

    /** Which side of its record's accuracy a level stands for. */
    public enum Direction { POSITIVE, NEGATIVE }

    /** A band of the count, {@code from} to {@code to} positives, weighed by one accuracy record. */
    public record Level(String name, int from, int to, String record, Direction direction) {
        public boolean covers(int count) {
            return count >= from && count <= to;
        }
    }

    public boolean counts(TestId test) {
        return components.stream().anyMatch(component -> component.test().equals(test));
    }
}
