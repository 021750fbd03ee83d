package lexicor.core.weighing;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;

/**
 * How far a cluster has been counted.
 *
 * @param positives components found positive
 * @param negatives components found negative
 * @param voided    components done and not interpretable, so that they can no longer be counted
 * @param open      components still to be done, in the cluster's order
 * @param level     the level, once no outcome of what is uncounted can change it
 */
public record ClusterCount(Cluster cluster, List<TestId> positives, List<TestId> negatives, List<TestId> voided, List<TestId> open,
        Optional<Cluster.Level> level) {

    /** Counts the components by their readings. */
    public static ClusterCount of(Cluster cluster, Function<Cluster.Component, Reading.Result> result) {
        List<TestId> positives = those(cluster, result, Reading.Result.POSITIVE);
        List<TestId> negatives = those(cluster, result, Reading.Result.NEGATIVE);
        int most = cluster.components().size() - negatives.size();
        Optional<Cluster.Level> level = cluster.levels().stream()
                .filter(candidate -> candidate.covers(positives.size()) && candidate.covers(most)).findFirst();
        return new ClusterCount(cluster, positives, negatives, those(cluster, result, Reading.Result.NOT_INTERPRETABLE),
                those(cluster, result, Reading.Result.NOT_YET_KNOWN), level);
    }

    private static List<TestId> those(Cluster cluster, Function<Cluster.Component, Reading.Result> result, Reading.Result wanted) {
        return cluster.components().stream().filter(component -> result.apply(component) == wanted).map(Cluster.Component::test).toList();
    }

    /** Whether the level is known though components are still open. */
    public boolean alreadyDecided() {
        return level.isPresent() && !open.isEmpty();
    }

    /** Whether too many components could not be read for the level ever to be known. */
    public boolean outOfReach() {
        return level.isEmpty() && open.isEmpty();
    }

    /** Components that count, positive or negative. */
    public int counted() {
        return positives.size() + negatives.size();
    }
}
