package lexicor.core.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.TestId;

/** Tests that stand together wherever they stand. */
final class Alike {

    final List<String> positions;
    final int rank;
    final int level;
    final List<WorkItem> items = new ArrayList<>();
    final Set<TestId> after = new HashSet<>();

    private Alike(List<String> positions, int rank, int level) {
        this.positions = positions;
        this.rank = rank;
        this.level = level;
    }

    /** Gathers what is alike; a test that another follows on stands by itself. */
    static List<Alike> of(Map<TestId, WorkItem> known) {
        Set<TestId> followed = known.values().stream()
                .flatMap(item -> item.after().stream())
                .filter(known::containsKey)
                .collect(Collectors.toSet());
        Map<List<Object>, Alike> gathered = new LinkedHashMap<>();
        for (WorkItem item : known.values()) {
            Depth depth = Depth.of(item, known, new LinkedHashSet<>());
            Set<String> where = Set.copyOf(item.positions());
            Set<TestId> triggers =
                    item.after().stream().filter(known::containsKey).collect(Collectors.toSet());
            List<Object> key = followed.contains(item.test())
                    ? List.of(item.test())
                    : List.of(where, depth.rank(), depth.level(), triggers);
            Alike alike =
                    gathered.computeIfAbsent(key, each -> new Alike(item.positions(), depth.rank(), depth.level()));
            alike.items.add(item);
            item.after().stream().filter(known::containsKey).forEach(alike.after::add);
        }
        return List.copyOf(gathered.values());
    }

    /** Those with the same equipment together, what needs none first. */
    List<WorkItem> inOrder() {
        return items.stream()
                .sorted(Comparator.comparing((WorkItem item) ->
                        String.join(",", item.equipment().stream().sorted().toList())))
                .toList();
    }

    /** The stage and level at which a test can come at the earliest: those of what it follows on, and no earlier. */
    private record Depth(int rank, int level) {

        static Depth of(WorkItem item, Map<TestId, WorkItem> known, Set<TestId> above) {
            if (!above.add(item.test())) {
                throw new IllegalArgumentException("tests follow on each other in a circle: " + above);
            }
            int rank = item.stage().ordinal();
            int level = item.level();
            for (TestId earlier : item.after()) {
                if (known.containsKey(earlier)) {
                    Depth before = of(known.get(earlier), known, above);
                    rank = Math.max(rank, before.rank());
                    level = Math.max(level, before.level());
                }
            }
            above.remove(item.test());
            return new Depth(rank, level);
        }
    }
}
