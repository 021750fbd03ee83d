package lexicor.core.planning;

import java.util.List;
import java.util.Set;
import lexicor.core.catalogue.Stage;
import lexicor.core.catalogue.TestId;

/**
 * A test that is to find its place in an order.
 *
 * @param positions the patient's positions in which it can be done, the usual one first; at least one
 * @param equipment what is needed besides the hands
 * @param level hard rank: everything of a lower level comes before it, such as measures before provocation
 * @param after tests that come before it wherever they are done too
 */
public record WorkItem(
        TestId test, List<String> positions, Stage stage, Set<String> equipment, int level, Set<TestId> after) {

    public WorkItem {
        if (positions.isEmpty()) {
            throw new IllegalArgumentException(test + " has no position; allowed: at least one");
        }
        positions = List.copyOf(positions);
        equipment = Set.copyOf(equipment);
        after = Set.copyOf(after);
    }
}
