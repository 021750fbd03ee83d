package lexicor.core.draws;

import java.util.Arrays;
import java.util.List;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.TwoByTwo;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.posttest.LogOdds;
import lexicor.core.posttest.Range;

/** A test known by the counts of one study, with its result. */
public record CountedTest(TwoByTwo counts, boolean positive) {

    /** Median and the middle 95 % of the chances that the counts allow. */
    public record Interval(double median, double lower, double upper) {}

    /**
     * The chance after independent tests, drawn from what their counts allow: sensitivity and specificity from their
     * Jeffreys beliefs, the start held without doubt, nothing added for other places.
     *
     * @param prior strictly between 0 and 1
     * @param draws at least 1
     */
    public static Interval interval(double prior, List<CountedTest> tests, int draws, long seed) {
        if (draws < 1) {
            throw new IllegalArgumentException("draws is " + draws + "; allowed: at least 1");
        }
        WeighingSettings bare = new WeighingSettings(draws, 0, 0, 0);
        double[] sums = new double[draws];
        Arrays.fill(sums, LogOdds.ofChance(prior).value());
        for (int test = 0; test < tests.size(); test++) {
            double[] ratios = Draws.logLikelihoodRatios(
                    Belief.of(tests.get(test).counts()),
                    tests.get(test).positive(),
                    bare,
                    Draws.seed(seed, "test " + test));
            for (int i = 0; i < draws; i++) {
                sums[i] += ratios[i];
            }
        }
        Range range = Range.ofLogOdds(sums);
        return new Interval(LogOdds.chance(Range.percentiles(sums).evaluate(50)), range.lower(), range.upper());
    }
}
