package lexicor.core.weighing;

import lexicor.core.catalogue.ConditionId;
import org.assertj.core.api.AbstractAssert;

/** Says of a ranking what a therapist would look for. */
final class RankingAssert extends AbstractAssert<RankingAssert, Ranking> {

    private RankingAssert(Ranking actual) {
        super(actual, RankingAssert.class);
    }

    static RankingAssert assertThat(Ranking ranking) {
        return new RankingAssert(ranking);
    }

    /** Stands at a chance, to nine digits. */
    RankingAssert puts(String condition, double expected) {
        double now = actual.of(ConditionId.of(condition)).now();
        if (Math.abs(now - expected) > 1e-9) {
            failWithMessage(
                    "Expected %s to stand at <%s> but it stands at <%s>, by %s",
                    condition, expected, now, weights(condition));
        }
        return this;
    }

    RankingAssert hasRaised(String condition) {
        Standing standing = actual.of(ConditionId.of(condition));
        if (!(standing.now() > standing.before())) {
            failWithMessage(
                    "Expected %s to be raised from <%s> but it stands at <%s>, by %s",
                    condition, standing.before(), standing.now(), weights(condition));
        }
        return this;
    }

    RankingAssert hasLowered(String condition) {
        Standing standing = actual.of(ConditionId.of(condition));
        if (!(standing.now() < standing.before())) {
            failWithMessage(
                    "Expected %s to be lowered from <%s> but it stands at <%s>, by %s",
                    condition, standing.before(), standing.now(), weights(condition));
        }
        return this;
    }

    RankingAssert leavesAlone(String condition) {
        Standing standing = actual.of(ConditionId.of(condition));
        if (standing.informed() || standing.now() != standing.before()) {
            failWithMessage(
                    "Expected %s to be left at <%s> but it stands at <%s>, by %s",
                    condition, standing.before(), standing.now(), weights(condition));
        }
        return this;
    }

    /** No finding speaks about it itself; it may have moved by way of another condition. */
    RankingAssert weighsNothingFor(String condition) {
        if (!actual.of(ConditionId.of(condition)).loads().isEmpty()) {
            failWithMessage("Expected nothing to be weighed for %s but there is %s", condition, weights(condition));
        }
        return this;
    }

    private String weights(String condition) {
        return actual.of(ConditionId.of(condition)).loads().stream()
                .map(load -> load.phrase() + " x " + load.likelihoodRatio() + " (" + load.source() + ")")
                .toList()
                .toString();
    }
}
