package lexicor.core.posttest;

import java.util.List;
import lexicor.core.dependence.SharedFactor;

/**
 * Tests that provoke the same tissue in the same way, so that their answers are correlated among those with the
 * condition and among those without it.
 *
 * @param rhoPresent latent correlation among those with the condition, 0..0.99 or 1
 * @param rhoAbsent the same among those without it, 0..1
 */
public record TestGroup(double rhoPresent, double rhoAbsent, List<SingleTest> tests) {

    /** @throws IllegalArgumentException if a correlation is outside that */
    public TestGroup {
        require("rho", rhoPresent);
        require("rhoAbsent", rhoAbsent);
        tests = List.copyOf(tests);
    }

    /** One correlation for both. */
    public static TestGroup of(double rho, List<SingleTest> tests) {
        return new TestGroup(rho, rho, tests);
    }

    /** What all answers of a group say together. */
    public record Answer(double givenPresent, double givenAbsent, double likelihoodRatio) {}

    /**
     * Chance of these answers with and without the condition, and their ratio; the ratio is exact where both underflow.
     */
    public Answer answer() {
        double present = SharedFactor.logChance(among(true), rhoPresent);
        double absent = SharedFactor.logChance(among(false), rhoAbsent);
        return new Answer(Math.exp(present), Math.exp(absent), Math.exp(present - absent));
    }

    /** log of the likelihood ratio of all answers together. */
    public double logLikelihoodRatio() {
        return SharedFactor.logChance(among(true), rhoPresent) - SharedFactor.logChance(among(false), rhoAbsent);
    }

    List<SharedFactor.Answer> among(boolean present) {
        return tests.stream()
                .map(test ->
                        new SharedFactor.Answer(present ? test.sensitivity() : 1 - test.specificity(), test.positive()))
                .toList();
    }

    double rho(boolean present) {
        return present ? rhoPresent : rhoAbsent;
    }

    private static void require(String name, double rho) {
        if (!(rho >= 0 && rho <= 0.99 || rho == 1)) {
            throw new IllegalArgumentException(name + " is " + rho + "; allowed: 0 to 0.99, or 1");
        }
    }
}
