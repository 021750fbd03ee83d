package lexicor.core.safety;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;

/**
 * When a condition is imaged or referred, to consider, per local pathway.
 *
 * @param soon how soon, in words
 * @param lookFor the start from which it is worth looking for, 0..1
 * @param lookFirst what is looked at before all else where the story points to it
 */
public record Referral(
        ConditionId condition, Circumstance when, String soon, double lookFor, Optional<LookFirst> lookFirst) {

    /** Where nothing else is said. */
    public static final double USUAL_LOOK_FOR = 0.05;

    /** Tests that come first once the story points to the condition. */
    public record LookFirst(Circumstance when, List<TestId> tests) {
        public LookFirst {
            tests = List.copyOf(tests);
        }
    }
}
