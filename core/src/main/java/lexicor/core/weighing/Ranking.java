package lexicor.core.weighing;

import java.util.Comparator;
import java.util.List;
import lexicor.core.catalogue.ConditionId;

/** All conditions of a region: the informed ones by chance, then those that nothing has informed yet. */
public record Ranking(List<Standing> standings, List<ClusterCount> clusters) {

    public Ranking {
        standings = standings.stream().sorted(Comparator.comparing(Standing::informed).reversed()
                .thenComparing(Comparator.comparingDouble(Standing::now).reversed())).toList();
        clusters = List.copyOf(clusters);
    }

    /** The standing of a condition, or {@link IllegalArgumentException}. Never null. */
    public Standing of(ConditionId condition) {
        return standings.stream().filter(standing -> standing.condition().id().equals(condition)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("condition '" + condition + "' is not ranked"));
    }
}
