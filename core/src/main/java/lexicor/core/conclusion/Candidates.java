package lexicor.core.conclusion;

import java.util.Comparator;
import java.util.List;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;

/**
 * Conditions in the order in which a therapist looks for them when concluding: what was weighed and not set aside, by
 * chance; then what fits by its picture; then what nothing speaks about, by its start; last what is set aside or
 * unlikely.
 */
public final class Candidates {

    private Candidates() {}

    public static List<ConditionId> inOrder(Ranking ranking, Thresholds thresholds) {
        return ranking.standings().stream()
                .sorted(Comparator.comparingInt((Standing standing) -> shelf(standing, thresholds))
                        .thenComparing(Comparator.comparingInt((Standing standing) -> shelf(standing, thresholds) == 1
                                        ? standing.pattern().present().size()
                                                - standing.pattern().missing().size()
                                        : 0)
                                .reversed())
                        .thenComparing(Comparator.comparingDouble(Standing::now).reversed()))
                .map(standing -> standing.condition().id())
                .toList();
    }

    private static int shelf(Standing standing, Thresholds thresholds) {
        if (standing.pattern().unlikely()
                || standing.informed() && standing.zone(thresholds) == Thresholds.Zone.SET_ASIDE) {
            return 3;
        }
        if (standing.informed()) {
            return 0;
        }
        return standing.pattern().present().isEmpty() ? 2 : 1;
    }
}
