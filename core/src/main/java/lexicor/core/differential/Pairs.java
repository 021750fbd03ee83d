package lexicor.core.differential;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/** What a finding that is still open says between any two conditions, given what was answered. */
public final class Pairs {

    /** A chance below which nothing is asked of those in whom it holds. */
    private static final double NEVER = 1e-9;

    private final boolean[] spokenOf;
    private final double[] now;
    private final double positive;
    private final double[][] ifPositive;
    private final double[][] ifNegative;

    /**
     * @param spokenOf conditions of the families that the finding speaks about
     * @param now chance of each condition before it, 0..1
     * @param positive chance that it will be positive, 0..1
     * @param ifPositive chance of any two together once it is positive, of one on the diagonal
     * @param ifNegative the same once it is negative
     */
    Pairs(boolean[] spokenOf, double[] now, double positive, double[][] ifPositive, double[][] ifNegative) {
        this.spokenOf = spokenOf;
        this.now = now;
        this.positive = positive;
        this.ifPositive = ifPositive;
        this.ifNegative = ifNegative;
    }

    /**
     * How often the finding would be positive where one condition holds and another does not.
     *
     * @param ifOne where the first holds and the other does not, 0..1
     * @param ifOther where the other holds and the first does not, 0..1
     */
    public record Between(double ifOne, double ifOther) {}

    /** None where it says nothing of either, or where one of the two cannot hold without the other. */
    public Optional<Between> between(int one, int other) {
        if (!spokenOf[one] && !spokenOf[other]) {
            return Optional.empty();
        }
        double[] first = {positive * without(ifPositive, one, other), (1 - positive) * without(ifNegative, one, other)};
        double[] second = {positive * without(ifPositive, other, one), (1 - positive) * without(ifNegative, other, one)
        };
        return first[0] + first[1] < NEVER || second[0] + second[1] < NEVER
                ? Optional.empty()
                : Optional.of(new Between(first[0] / (first[0] + first[1]), second[0] / (second[0] + second[1])));
    }

    /** The chance that one condition holds and another does not; families that do not meet are independent. */
    private double without(double[][] both, int one, int other) {
        double holds = spokenOf[one] ? both[one][one] : now[one];
        double together = spokenOf[one] && spokenOf[other]
                ? both[one][other]
                : holds * (spokenOf[other] ? both[other][other] : now[other]);
        return Math.max(0, holds - together);
    }

    /**
     * The states of some families.
     *
     * @param weights chance of each state, 0..1
     * @param active conditions that a state says something of; another holds in its share of the one that it is within
     */
    record States(List<boolean[]> states, double[] weights, boolean[] active) {}

    /** The chance that two conditions hold, for any two of those spoken of; on the diagonal of one. */
    static double[][] both(States states, Forest forest, double[] shares, boolean[] spokenOf) {
        int size = forest.size();
        int[] conditions = IntStream.range(0, size).filter(c -> spokenOf[c]).toArray();
        int[][] around = new int[size][size];
        for (int one : conditions) {
            for (int other : conditions) {
                around[one][other] = around(forest, one, other);
            }
        }
        double[][] both = new double[size][size];
        double[] holds = new double[size];
        for (int s = 0; s < states.weights().length; s++) {
            for (int c : conditions) {
                holds[c] = holds(states.states().get(s), states.active(), forest, shares, c);
            }
            for (int one : conditions) {
                for (int other : conditions) {
                    double within = around[one][other] < 0 ? 1 : holds[around[one][other]];
                    both[one][other] += within == 0 ? 0 : states.weights()[s] * holds[one] * holds[other] / within;
                }
            }
        }
        return both;
    }

    /** The narrowest condition that two are both within, which may be one of them; below 0 where there is none. */
    private static int around(Forest forest, int one, int other) {
        Set<Integer> around = new LinkedHashSet<>();
        for (int each = one; each >= 0; each = forest.parent(each)) {
            around.add(each);
        }
        int shared = other;
        while (shared >= 0 && !around.contains(shared)) {
            shared = forest.parent(shared);
        }
        return shared;
    }

    private static double holds(boolean[] state, boolean[] active, Forest forest, double[] shares, int condition) {
        if (active[condition]) {
            return state[condition] ? 1 : 0;
        }
        return holds(state, active, forest, shares, forest.parent(condition)) * shares[condition];
    }
}
