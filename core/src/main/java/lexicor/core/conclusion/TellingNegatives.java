package lexicor.core.conclusion;

import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Stream;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;

/**
 * Negatives that are worth a word where little is written: those that weighed against a condition that was in play
 * before or is now, and those that a picture which has begun to fit would have expected otherwise.
 */
public final class TellingNegatives {

    private TellingNegatives() {}

    /** Tests; never null. A finding that tells next to nothing is not among them. */
    public static Set<TestId> of(Ranking ranking, Thresholds thresholds) {
        Set<TestId> tests = new LinkedHashSet<>();
        for (Standing standing : ranking.standings()) {
            if (Math.max(standing.before(), standing.now()) >= thresholds.setAside()) {
                Stream.concat(standing.loads().stream(), standing.held().stream())
                        .filter(load -> !load.positive() && !load.worthless())
                        .map(WeightedFinding::tests)
                        .forEach(tests::addAll);
            }
            if (!standing.pattern().present().isEmpty()) {
                Stream.concat(standing.pattern().missing().stream(), standing.pattern().against().stream())
                        .forEach(expected -> tests.add(expected.test()));
            }
        }
        return tests;
    }
}
