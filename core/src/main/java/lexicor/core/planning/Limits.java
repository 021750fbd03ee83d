package lexicor.core.planning;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.nexttest.JointInformation;

/**
 * What a plan cannot settle. A condition is open from the chance for further tests up to that of a working diagnosis, a
 * serious one already from that for imaging or referral. Of a family the condition counts that is likeliest to stay
 * open.
 */
final class Limits {

    /** Chance to stay open from which a condition is named. */
    private static final double NAMED = 0.2;

    /** How many are named at most. */
    private static final int MOST = 5;

    private final Catalogue catalogue;
    private final Situation situation;
    private final JointInformation nothing;
    private final JointInformation planned;
    private final JointInformation everything;

    private Limits(Catalogue catalogue, Situation situation, JointInformation nothing, Collection<TestId> tests) {
        this.catalogue = catalogue;
        this.situation = situation;
        this.nothing = nothing;
        planned = nothing.with(tests);
        everything = planned.with(situation.doable().stream()
                .filter(test -> !tests.contains(test))
                .toList());
    }

    /** What tests leave open, the likeliest to stay open first. */
    static List<Limit> of(
            Catalogue catalogue, Situation situation, JointInformation nothing, Collection<TestId> tests) {
        return new Limits(catalogue, situation, nothing, tests).all();
    }

    private List<Limit> all() {
        Map<ConditionId, Limit> byFamily = new HashMap<>();
        situation.ranking().standings().stream()
                .filter(standing -> !standing.pattern().unlikely())
                .map(standing -> standing.condition().id())
                .filter(nothing.inPlay()::contains)
                .map(this::limit)
                .filter(limit -> limit.open() >= NAMED)
                .forEach(limit -> byFamily.merge(
                        nothing.family(limit.condition()),
                        limit,
                        (one, other) -> one.open() >= other.open() ? one : other));
        return byFamily.values().stream()
                .sorted(Comparator.comparingDouble(Limit::open)
                        .reversed()
                        .thenComparing(limit -> limit.condition().value()))
                .limit(MOST)
                .toList();
    }

    private Limit limit(ConditionId condition) {
        double open = open(planned, condition);
        return new Limit(condition, nothing.now(condition), open, Math.min(open, open(everything, condition)));
    }

    private double open(JointInformation of, ConditionId condition) {
        Thresholds thresholds = situation.visit().assumptions().thresholds();
        double from = catalogue.condition(condition).serious().isPresent()
                ? Math.min(thresholds.test(), thresholds.serious())
                : thresholds.test();
        return of.between(condition, from, thresholds.act());
    }
}
