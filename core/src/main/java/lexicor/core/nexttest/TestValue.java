package lexicor.core.nexttest;

import java.util.List;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.TestId;

/**
 * What a test that is still open could tell.
 *
 * @param bits expected information about the live conditions, the best of each family, each by what it is worth
 * @param seconds its own time and the time to change position
 * @param moves whether the patient has to change position
 * @param worthDoing whether it promises at least the least that is worth doing
 * @param changes what each answer would do to the conditions that it moves, the most telling first
 */
public record TestValue(
        TestId test, double bits, double seconds, boolean moves, boolean worthDoing, List<Change> changes) {

    public TestValue {
        changes = List.copyOf(changes);
    }

    /** Expected information for each minute, in bits. */
    public double bitsPerMinute() {
        return 60 * bits / Math.max(1, seconds);
    }

    /**
     * Where a condition stands now and would stand after either answer, each a chance 0..1.
     *
     * @param positiveWith chance of a positive with the condition, given what was found
     * @param positiveWithout chance of a positive without it
     * @param bits expected information about this condition
     * @param live whether it is still in play
     */
    public record Change(
            Condition condition,
            double now,
            double ifPositive,
            double ifNegative,
            double positiveWith,
            double positiveWithout,
            double bits,
            boolean live) {

        /** Chance of a positive, as far as this condition goes. */
        public double positive() {
            return now * positiveWith + (1 - now) * positiveWithout;
        }

        /** How far apart the two answers would leave it. */
        public double spread() {
            return Math.abs(ifPositive - ifNegative);
        }
    }
}
