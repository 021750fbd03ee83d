package lexicor.core.weighing;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.findings.ClusterCount;

/**
 * All conditions of a visit: the informed ones by chance, then those that nothing has informed yet, then those for
 * which nothing is measured by their pattern, and at the foot those that are unlikely by definition.
 *
 * @param plausible plausible log odds of each condition, one per draw, the narrower never above the wider; empty where
 *     nothing was drawn
 * @param together widest conditions whose findings speak about each other, in pairs
 * @param byLens where a condition stands by every way of adding up that gives a chance, worked out when it is asked
 *     for; none while nothing about its family was weighed
 */
public record Ranking(
        List<Standing> standings,
        List<ClusterCount> clusters,
        Map<ConditionId, double[]> plausible,
        List<Together> together,
        Function<ConditionId, List<LensResult>> byLens) {

    /** Two conditions that findings have joined, and the chance that both are there. */
    public record Together(ConditionId one, ConditionId other, double both) {}

    public Ranking {
        standings = standings.stream()
                .sorted(Comparator.comparing(Ranking::shelf)
                        .thenComparing(Comparator.comparingInt(
                                        (Standing standing) -> standing.measured() || standing.informed()
                                                ? 0
                                                : standing.pattern().balance())
                                .reversed())
                        .thenComparing(Comparator.comparingDouble(Standing::now).reversed()))
                .toList();
        clusters = List.copyOf(clusters);
        plausible = Map.copyOf(plausible);
    }

    private static int shelf(Standing standing) {
        if (standing.pattern().unlikely()) {
            return 3;
        }
        return standing.informed() ? 0 : standing.measured() ? 1 : 2;
    }

    /** The standing of a condition, or {@link IllegalArgumentException}. Never null. */
    public Standing of(ConditionId condition) {
        return standings.stream()
                .filter(standing -> standing.condition().id().equals(condition))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("condition '" + condition + "' is not ranked"));
    }

    /** Conditions that are neither set aside nor unlikely by definition; from a chance of {@code least} on, 0..1. */
    public Set<ConditionId> inPlay(double least) {
        return standings.stream()
                .filter(standing -> standing.inPlay(least))
                .map(standing -> standing.condition().id())
                .collect(Collectors.toUnmodifiableSet());
    }

    /**
     * The condition that stands highest by what the hands have found and is not set aside; empty where there is none.
     */
    public Optional<Standing> first(Thresholds thresholds) {
        return standings.stream()
                .filter(standing -> standing.byHands() && standing.inPlay(thresholds.setAside()))
                .findFirst();
    }

    /**
     * Share of plausible readings of the evidence in which one condition stands above another, 0..1; half of the ties.
     */
    public double ahead(ConditionId one, ConditionId other) {
        double[] first = plausible.get(one);
        double[] second = plausible.get(other);
        if (first == null || second == null) {
            double difference = of(one).now() - of(other).now();
            return difference > 0 ? 1 : difference < 0 ? 0 : 0.5;
        }
        double ahead = 0;
        for (int i = 0; i < first.length; i++) {
            ahead += first[i] > second[i] ? 1 : first[i] == second[i] ? 0.5 : 0;
        }
        return ahead / first.length;
    }
}
