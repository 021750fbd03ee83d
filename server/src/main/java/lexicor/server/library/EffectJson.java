package lexicor.server.library;

import lexicor.core.draws.SingleEffect;
import lexicor.core.posttest.NaturalFrequencies;

/**
 * What either answer does to a chosen chance. Chances are 0..1.
 *
 * @param record whose figures are used; empty for what is weighed
 */
public record EffectJson(String record, double before, AnswerJson positive, AnswerJson negative) {

    /** One answer: where it leaves the chance, where figures of other places would, and the same among 1000 people. */
    public record AnswerJson(
            double likelihoodRatio, double after, double lower, double upper, NaturalFrequencies people) {
        static AnswerJson of(SingleEffect.Answer answer) {
            return new AnswerJson(
                    answer.likelihoodRatio(),
                    answer.after(),
                    answer.range().lower(),
                    answer.range().upper(),
                    answer.frequencies());
        }
    }
}
