package lexicor.core.conclusion;

import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;

/** Where the therapist's working diagnosis and the ranking part. Neither is corrected by the other. */
public final class Difference {

    private Difference() {}

    /**
     * What the ranking puts first instead; empty where nothing is concluded, nothing is weighed, or both say the same.
     */
    public static Optional<Standing> between(
            Conclusion conclusion, Ranking ranking, Thresholds thresholds, Catalogue catalogue) {
        return conclusion
                .working()
                .flatMap(working -> ranking.first(thresholds)
                        .filter(standing -> !same(standing.condition().id(), working, catalogue)));
    }

    /** A narrower or wider name of the same thing is no difference. */
    private static boolean same(ConditionId one, ConditionId other, Catalogue catalogue) {
        return one.equals(other) || catalogue.related(one, other);
    }
}
