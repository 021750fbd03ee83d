package lexicor.core.draws;

import lexicor.core.evidence.Belief;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.posttest.LogOdds;
import lexicor.core.posttest.NaturalFrequencies;
import lexicor.core.posttest.Range;

/** What either answer of one test does to a chance that somebody has chosen, and so holds without doubt. */
public record SingleEffect(double before, Answer positive, Answer negative) {

    /**
     * One answer.
     *
     * @param likelihoodRatio at the means of the belief
     * @param after the chance after it
     * @param range where figures of other places would leave it
     * @param frequencies among 1000 people like this one
     */
    public record Answer(double likelihoodRatio, double after, Range range, NaturalFrequencies frequencies) {}

    /**
     * @param before strictly between 0 and 1
     * @param seed the same seed gives the same ranges
     */
    public static SingleEffect of(double before, Belief belief, WeighingSettings settings, long seed) {
        return new SingleEffect(
                before, answer(before, belief, true, settings, seed), answer(before, belief, false, settings, seed));
    }

    private static Answer answer(double before, Belief belief, boolean positive, WeighingSettings settings, long seed) {
        LogOdds start = LogOdds.ofChance(before);
        double ratio = belief.likelihoodRatio(positive);
        double[] draws = Draws.logLikelihoodRatios(belief, positive, settings, seed);
        for (int i = 0; i < draws.length; i++) {
            draws[i] += start.value();
        }
        return new Answer(
                ratio,
                start.times(ratio).chance(),
                Range.ofLogOdds(draws),
                NaturalFrequencies.of(before, belief.sensitivity(), belief.specificity(), positive));
    }
}
