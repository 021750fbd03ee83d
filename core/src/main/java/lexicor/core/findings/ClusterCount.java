package lexicor.core.findings;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;

/**
 * How far a cluster has been counted.
 *
 * @param positives components found positive
 * @param negatives components found negative
 * @param voided components done and not interpretable, so that they can no longer be counted
 * @param open components still to be done, in the cluster's order
 * @param level the level, once no outcome of what is uncounted can change it
 * @param barred why its figure may not be used in this visit; empty where it may
 */
public record ClusterCount(
        Cluster cluster,
        List<Cluster.Component> positives,
        List<Cluster.Component> negatives,
        List<Cluster.Component> voided,
        List<Cluster.Component> open,
        Optional<Cluster.Level> level,
        String barred) {

    /** Counts the components by their readings. */
    public static ClusterCount of(Cluster cluster, Function<Cluster.Component, Reading.Result> result) {
        Map<Cluster.Component, Reading.Result> results = new HashMap<>();
        cluster.components().forEach(component -> results.put(component, result.apply(component)));
        List<Cluster.Component> positives = those(cluster, results, Reading.Result.POSITIVE);
        List<Cluster.Component> voided = those(cluster, results, Reading.Result.NOT_INTERPRETABLE);
        List<Cluster.Component> open = those(cluster, results, Reading.Result.NOT_YET_KNOWN);
        int least = count(cluster, positives.stream());
        int most = count(cluster, Stream.of(positives, voided, open).flatMap(List::stream));
        Optional<Cluster.Level> level = cluster.levels().stream()
                .filter(candidate -> candidate.covers(least) && candidate.covers(most))
                .findFirst();
        return new ClusterCount(
                cluster, positives, those(cluster, results, Reading.Result.NEGATIVE), voided, open, level, "");
    }

    /** The count of these components, where each block counts up to its cap. */
    private static int count(Cluster cluster, Stream<Cluster.Component> components) {
        Map<String, Integer> byBlock = new HashMap<>();
        components.forEach(component -> byBlock.merge(component.block(), 1, Integer::sum));
        return byBlock.entrySet().stream()
                .mapToInt(block ->
                        Math.min(block.getValue(), cluster.atMost().getOrDefault(block.getKey(), Integer.MAX_VALUE)))
                .sum();
    }

    private static List<Cluster.Component> those(
            Cluster cluster, Map<Cluster.Component, Reading.Result> results, Reading.Result wanted) {
        return cluster.components().stream()
                .filter(component -> results.get(component) == wanted)
                .toList();
    }

    /** The same, its figure not to be used. */
    public ClusterCount barred(String because) {
        return new ClusterCount(cluster, positives, negatives, voided, open, level, because);
    }

    /** Whether the level is known though components are still open. */
    public boolean alreadyDecided() {
        return level.isPresent() && !open.isEmpty();
    }

    /** Whether too many components could not be read for the level ever to be known. */
    public boolean outOfReach() {
        return level.isEmpty() && open.isEmpty();
    }

    /** Whether anything of it was counted. */
    public boolean begun() {
        return counted() > 0;
    }

    /** Components that count, positive or negative. */
    public int counted() {
        return positives.size() + negatives.size();
    }

    /** Positives as the set counts them, where a block has a cap. */
    public int count() {
        return count(cluster, positives.stream());
    }

    /** Tests behind what was counted. */
    List<TestId> tests() {
        return Stream.of(positives, negatives)
                .flatMap(List::stream)
                .flatMap(component -> component.anyOf().stream())
                .map(Cluster.Finding::test)
                .distinct()
                .toList();
    }
}
