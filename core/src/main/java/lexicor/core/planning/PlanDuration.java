package lexicor.core.planning;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** What a set of tests takes. */
final class PlanDuration {

    private final double changeSeconds;
    private final Optional<String> position;
    private final Map<Set<List<String>>, Integer> known = new ConcurrentHashMap<>();

    /**
     * @param changeSeconds for a change of position
     * @param position in which the patient is; empty where it is not known
     */
    PlanDuration(double changeSeconds, Optional<String> position) {
        this.changeSeconds = changeSeconds;
        this.position = position;
    }

    double seconds(Collection<Selection.Candidate> set) {
        double seconds = 0;
        Set<List<String>> positions = new HashSet<>();
        for (Selection.Candidate candidate : set) {
            seconds += candidate.seconds();
            positions.add(candidate.positions());
        }
        return seconds + changeSeconds * known.computeIfAbsent(positions, this::moves);
    }

    /** The least number of moves: positions that are needed so that every test can be done, beside the one at hand. */
    private int moves(Set<List<String>> set) {
        List<String> all =
                set.stream().flatMap(List::stream).distinct().sorted().toList();
        int least = Integer.MAX_VALUE;
        for (int chosen = 0; chosen < 1 << all.size(); chosen++) {
            int used = chosen;
            boolean covers = set.stream()
                    .allMatch(positions -> positions.stream().anyMatch(where -> (used >> all.indexOf(where) & 1) == 1));
            if (covers) {
                int at = position.isPresent() && all.contains(position.get())
                        ? chosen >> all.indexOf(position.get()) & 1
                        : 0;
                least = Math.min(
                        least,
                        Integer.bitCount(chosen) - (position.isPresent() ? at : Math.min(1, Integer.bitCount(chosen))));
            }
        }
        return least;
    }
}
