package lexicor.core.planning;

import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;

/**
 * A test and why it belongs in a plan.
 *
 * @param about the condition that it is in for; empty where it is in for none in particular
 */
record Reason(TestId test, Why why, Optional<ConditionId> about) {

    static Reason of(TestId test, Why why) {
        return new Reason(test, why, Optional.empty());
    }

    static Reason of(TestId test, Why why, ConditionId about) {
        return new Reason(test, why, Optional.of(about));
    }
}
