package lexicor.core.weighing;

import java.util.List;

/** A chance after tests that are taken to be independent given the condition. */
public record PostTest(double chance, double likelihoodRatio) {

    /**
     * @param prior strictly between 0 and 1
     * @throws IllegalArgumentException if the prior is not
     */
    public static PostTest of(double prior, List<SingleTest> tests) {
        LogOdds before = LogOdds.ofChance(prior);
        double ratio = tests.stream().mapToDouble(SingleTest::likelihoodRatio).reduce(1, (a, b) -> a * b);
        return new PostTest(before.times(ratio).chance(), ratio);
    }
}
