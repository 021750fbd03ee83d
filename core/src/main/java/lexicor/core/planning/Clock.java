package lexicor.core.planning;

import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * What a set of tests takes.
 *
 * @param changeSeconds for a change of position
 * @param position      in which the patient is; empty where it is not known
 */
record Clock(double changeSeconds, Optional<String> position) {

    double seconds(Collection<Selection.Candidate> set) {
        return set.stream().mapToDouble(Selection.Candidate::seconds).sum() + changeSeconds * moves(set);
    }

    /** The least number of moves: positions that are needed so that every test can be done, beside the one at hand. */
    private int moves(Collection<Selection.Candidate> set) {
        List<String> all = set.stream().flatMap(each -> each.positions().stream()).distinct().sorted().toList();
        int least = Integer.MAX_VALUE;
        for (int chosen = 0; chosen < 1 << all.size(); chosen++) {
            int used = chosen;
            boolean covers = set.stream().allMatch(each -> each.positions().stream().anyMatch(where -> (used >> all.indexOf(where) & 1) == 1));
            if (covers) {
                int at = position.isPresent() && all.contains(position.get()) ? chosen >> all.indexOf(position.get()) & 1 : 0;
                least = Math.min(least, Integer.bitCount(chosen) - (position.isPresent() ? at : Math.min(1, Integer.bitCount(chosen))));
            }
        }
        return least;
    }
}
