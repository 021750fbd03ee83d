package lexicor.core.posttest;

import java.util.List;

/** A chance after tests, and the likelihood ratio of all of them. */
public record PostTest(double chance, double likelihoodRatio) {

    /**
     * After tests that are independent given the condition.
     *
     * @param prior strictly between 0 and 1
     * @throws IllegalArgumentException if the prior is not
     */
    public static PostTest of(double prior, List<SingleTest> tests) {
        return ofGroups(prior, List.of(TestGroup.of(0, tests)));
    }

    /** After groups that are independent of each other; within a group the answers are correlated. */
    public static PostTest ofGroups(double prior, List<TestGroup> groups) {
        LogOdds before = LogOdds.ofChance(prior);
        double logRatio =
                groups.stream().mapToDouble(TestGroup::logLikelihoodRatio).sum();
        return new PostTest(new LogOdds(before.value() + logRatio).chance(), Math.exp(logRatio));
    }
}
