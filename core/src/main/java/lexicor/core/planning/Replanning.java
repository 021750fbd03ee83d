package lexicor.core.planning;

import java.util.List;
import lexicor.core.catalogue.TestId;

/**
 * What results have changed for a plan that was taken.
 *
 * @param settled planned tests that are for nothing any more
 * @param ask such tests that the therapist put in or moved: not to be left out without asking
 * @param better tests outside the plan that for their time would tell more, beside what is left in it, than any of that
 *     does, the best first
 */
public record Replanning(List<TestId> settled, List<TestId> ask, List<TestId> better) {

    public Replanning {
        settled = List.copyOf(settled);
        ask = List.copyOf(ask);
        better = List.copyOf(better);
    }
}
