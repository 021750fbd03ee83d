package lexicor.core.planning;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Command;

/**
 * How long tests took at the bench, both sides together, read off the times at which their answers came. The time from
 * one entry of a device to its next is that of the tests that the next one records, shared evenly among them, less the
 * change of position where they are done in another. A test that was left out, entered faster than it can be done, or
 * interrupted is not timed; what is entered again later, after other tests, is a correction and takes no time.
 */
public final class Laps {

    /** Seconds below which nothing was done between two entries: a record written afterwards. */
    private static final double SHORTEST = 3;

    /** Nothing takes longer: somebody was called away. */
    private static final Duration INTERRUPTED = Duration.ofMinutes(6);

    private final Catalogue catalogue;
    private final Map<TestId, Double> seconds = new LinkedHashMap<>();
    private final Set<TestId> untimed = new HashSet<>();

    private Laps(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** Seconds of each test of one examination that was timed. */
    public static Map<TestId, Double> of(Catalogue catalogue, List<Command> commands) {
        Laps laps = new Laps(catalogue);
        Map<UUID, List<Command>> devices = commands.stream()
                .collect(Collectors.groupingBy(Command::client, LinkedHashMap::new, Collectors.toList()));
        devices.values()
                .forEach(device -> laps.follow(device.stream()
                        .sorted(Comparator.comparingLong(Command::order))
                        .toList()));
        laps.seconds.keySet().removeAll(laps.untimed);
        laps.seconds.values().removeIf(lap -> lap < SHORTEST);
        return laps.seconds;
    }

    private void follow(List<Command> device) {
        Instant before = null;
        Set<TestId> last = Set.of();
        for (Command command : device) {
            if (command.action() instanceof Command.Recorded recorded) {
                Set<TestId> tests = recorded.attempts().stream()
                        .map(Attempt::test)
                        .collect(Collectors.toCollection(LinkedHashSet::new));
                if (before == null || recorded.attempts().stream().allMatch(Attempt::leftOut)) {
                    untimed.addAll(tests);
                } else {
                    lap(tests, last, Duration.between(before, command.at()));
                }
                last = tests;
            }
            before = command.at();
        }
    }

    private void lap(Set<TestId> tests, Set<TestId> last, Duration lap) {
        if (lap.isNegative() || lap.compareTo(INTERRUPTED) > 0) {
            untimed.addAll(tests);
            return;
        }
        double all = lap.toMillis() / 1000.0
                - (moved(last, tests) ? catalogue.effort().changePosition() : 0);
        for (TestId test : tests) {
            if (last.contains(test) || !seconds.containsKey(test)) {
                seconds.merge(test, Math.max(0, all / tests.size()), Double::sum);
            }
        }
    }

    private boolean moved(Set<TestId> from, Set<TestId> to) {
        return !from.isEmpty()
                && !catalogue
                        .test(from.iterator().next())
                        .position()
                        .equals(catalogue.test(to.iterator().next()).position());
    }
}
