package lexicor.core.planning;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import lexicor.core.catalogue.TestId;

/**
 * The order in which tests are done. Hard: levels one after the other, and every test after those it follows on. Then
 * the patient changes position as seldom as can be; among such orders, the work steps back to an earlier stage as
 * seldom as can be; among such, what looks before what provokes. All by dynamic programming over sets of alike tests
 * (M. Held and R. M. Karp, J. SIAM 10:196, 1962), so exactly. Of what is alike, tests with the same equipment stand
 * together.
 *
 * <p>Tests with the same positions, stage and level that follow on the same tests, and that no other follows on, are
 * alike: done one after the other they cost nothing, and taking one out from between others never costs more, so they
 * can always stand together.
 *
 * @param steps the tests in order, each with the position it is done in
 * @param moves how often the patient changes position
 * @param back how often the work steps back to an earlier stage
 */
public record WorkOrder(List<Step> steps, int moves, int back) {

    /** More sets of alike tests in one level than any region has. */
    static final int MOST_ALIKE = 20;

    private static final int BACK = 10_000;
    private static final int MOVE = 1000 * BACK;

    /** A test in its place. */
    public record Step(TestId test, String position) {}

    public WorkOrder {
        steps = List.copyOf(steps);
    }

    /**
     * The best order of some tests.
     *
     * @param position in which the patient is at the start; empty where it is not known, which costs nothing
     * @throws IllegalArgumentException where tests follow on each other in a circle
     */
    public static WorkOrder of(List<WorkItem> items, Optional<String> position) {
        Map<TestId, WorkItem> known = new LinkedHashMap<>();
        items.forEach(item -> known.put(item.test(), item));
        Map<Integer, List<Alike>> levels = new TreeMap<>();
        for (Alike alike : Alike.of(known)) {
            levels.computeIfAbsent(alike.level, level -> new ArrayList<>()).add(alike);
        }
        Map<Place, Way> ways = new LinkedHashMap<>();
        ways.put(new Place(position, -1), new Way(List.of(), 0));
        for (List<Alike> level : levels.values()) {
            ways = new Level(level, ways).ways();
        }
        Way best =
                ways.values().stream().min(Comparator.comparingInt(Way::cost)).orElseThrow();
        List<Step> steps = best.stops().stream()
                .flatMap(stop -> stop.alike().inOrder().stream().map(item -> new Step(item.test(), stop.position())))
                .toList();
        return new WorkOrder(steps, best.cost() / MOVE, best.cost() % MOVE / BACK);
    }

    /** Seconds of its tests with its moves. */
    double seconds(ToDoubleFunction<TestId> ofTest, double changePosition) {
        return steps.stream().map(Step::test).mapToDouble(ofTest).sum() + moves * changePosition;
    }

    /**
     * Tests in the order in which they are given, each in the position with which the patient moves least; stages are
     * not counted.
     */
    static WorkOrder asGiven(List<WorkItem> items, Optional<String> position) {
        Map<String, Given> ways = new LinkedHashMap<>();
        Given start = new Given(List.of(), position, 0);
        for (WorkItem item : items) {
            Collection<Given> before = ways.isEmpty() ? List.of(start) : List.copyOf(ways.values());
            ways = new LinkedHashMap<>();
            for (String where : item.positions()) {
                ways.put(
                        where,
                        before.stream()
                                .map(given -> given.with(item.test(), where))
                                .min(Comparator.comparingInt(Given::moves))
                                .orElseThrow());
            }
        }
        Given best = ways.values().stream()
                .min(Comparator.comparingInt(Given::moves))
                .orElse(start);
        return new WorkOrder(best.steps(), best.moves(), 0);
    }

    private record Given(List<Step> steps, Optional<String> position, int moves) {

        Given with(TestId test, String where) {
            return new Given(
                    Stream.concat(steps.stream(), Stream.of(new Step(test, where)))
                            .toList(),
                    Optional.of(where),
                    moves + (position.isEmpty() || position.get().equals(where) ? 0 : 1));
        }
    }

    /** Where an order has come to: the patient's position, and the rank of the stage at hand, -1 before the first. */
    private record Place(Optional<String> position, int rank) {

        int costTo(String next, int nextRank) {
            return (position.isEmpty() || position.get().equals(next) ? 0 : MOVE) + (nextRank < rank ? BACK : 0);
        }
    }

    private record Stop(Alike alike, String position) {}

    private record Way(List<Stop> stops, int cost) {}

    /**
     * One level: for every set of alikes done, the last of them and the position it was done in, the least cost from
     * wherever the level before could end.
     */
    private static final class Level {

        private static final int NEVER = Integer.MAX_VALUE;

        private final List<Alike> alikes;
        private final List<Way> before;
        private final List<Place> ends = new ArrayList<>();
        private final int[] firstEnd;
        private final int[] owner;
        private final int[][] between;
        private final int[] start;
        private final int[] startedFrom;
        private final int[] needs;
        private final int[] onlyPosition;
        private final int[] positionOf;

        Level(List<Alike> alikes, Map<Place, Way> before) {
            if (alikes.size() > MOST_ALIKE) {
                throw new IllegalArgumentException(
                        alikes.size() + " kinds of tests in one level; allowed: " + MOST_ALIKE);
            }
            this.alikes = alikes;
            this.before = List.copyOf(before.values());
            this.firstEnd = new int[alikes.size() + 1];
            List<Integer> owners = new ArrayList<>();
            for (int i = 0; i < alikes.size(); i++) {
                for (String position : alikes.get(i).positions) {
                    ends.add(new Place(Optional.of(position), alikes.get(i).rank));
                    owners.add(i);
                }
                firstEnd[i + 1] = ends.size();
            }
            this.owner = owners.stream().mapToInt(Integer::intValue).toArray();
            this.between = new int[ends.size()][ends.size()];
            this.start = new int[ends.size()];
            this.startedFrom = new int[ends.size()];
            List<Place> places = List.copyOf(before.keySet());
            for (int end = 0; end < ends.size(); end++) {
                for (int last = 0; last < ends.size(); last++) {
                    between[end][last] = step(ends.get(last), ends.get(end));
                }
                start[end] = NEVER;
                for (int from = 0; from < places.size(); from++) {
                    int cost = this.before.get(from).cost() + step(places.get(from), ends.get(end));
                    if (cost < start[end]) {
                        start[end] = cost;
                        startedFrom[end] = from;
                    }
                }
            }
            this.needs = needs();
            List<String> known = ends.stream()
                    .map(end -> end.position().orElseThrow())
                    .distinct()
                    .toList();
            this.positionOf = ends.stream()
                    .mapToInt(end -> 1 << known.indexOf(end.position().orElseThrow()))
                    .toArray();
            this.onlyPosition = alikes.stream()
                    .mapToInt(alike -> alike.positions.size() == 1 ? 1 << known.indexOf(alike.positions.get(0)) : 0)
                    .toArray();
        }

        private static int step(Place from, Place to) {
            return from.costTo(to.position().orElseThrow(), to.rank());
        }

        private int[] needs() {
            Map<TestId, Integer> where = new HashMap<>();
            for (int i = 0; i < alikes.size(); i++) {
                for (WorkItem item : alikes.get(i).items) {
                    where.put(item.test(), i);
                }
            }
            int[] bits = new int[alikes.size()];
            for (int i = 0; i < bits.length; i++) {
                for (TestId earlier : alikes.get(i).after) {
                    bits[i] |= where.containsKey(earlier) ? 1 << where.get(earlier) : 0;
                }
            }
            return bits;
        }

        /** The best ways through this level too, for each place that they can end in. */
        Map<Place, Way> ways() {
            int all = (1 << alikes.size()) - 1;
            int[] cost = new int[(all + 1) * ends.size()];
            byte[] cameFrom = new byte[cost.length];
            Arrays.fill(cost, NEVER);
            int[] lasts = new int[ends.size()];
            int most = nearest() + MOVE + 2 * BACK; // room for an end from which the next level may start the better
            for (int mask = 0; mask < all; mask++) {
                int count = worthGoingOn(mask, cost, lasts, most);
                for (int next = 0; next < alikes.size() && (mask == 0 || count > 0); next++) {
                    if ((mask >> next & 1) == 0 && (needs[next] & ~mask) == 0) {
                        go(mask, next, cost, cameFrom, lasts, count);
                    }
                }
            }
            Map<Place, Way> ways = new LinkedHashMap<>();
            for (int end = 0; end < ends.size(); end++) {
                int least = cost[all * ends.size() + end];
                if (least != NEVER) {
                    Way way = new Way(stops(all, end, cameFrom), least);
                    ways.merge(ends.get(end), way, (one, other) -> one.cost() <= other.cost() ? one : other);
                }
            }
            return ways;
        }

        /**
         * The ends of a set from which to go on. From any end the next step costs at most a move and a step back, so
         * one that is dearer than the cheapest by as much is worth nothing; nor is one from which the positions still
         * needed cost too much.
         */
        private int worthGoingOn(int mask, int[] cost, int[] lasts, int most) {
            int from = mask * ends.size();
            int least = NEVER;
            for (int end = 0; end < ends.size(); end++) {
                least = Math.min(least, cost[from + end]);
            }
            int needed = 0;
            for (int undone = 0; undone < alikes.size(); undone++) {
                needed |= (mask >> undone & 1) == 0 ? onlyPosition[undone] : 0;
            }
            int count = 0;
            for (int end = 0; end < ends.size() && least != NEVER; end++) {
                if (cost[from + end]
                        <= Math.min(least + MOVE + BACK, most - MOVE * Integer.bitCount(needed & ~positionOf[end]))) {
                    lasts[count++] = end;
                }
            }
            return count;
        }

        /** What it costs to do the nearest next each time, from the best beginning: never less than the least. */
        private int nearest() {
            int best = NEVER;
            for (int first = 0; first < ends.size(); first++) {
                if (needs[owner[first]] == 0) {
                    best = Math.min(best, start[first] + nearestFrom(first));
                }
            }
            return best;
        }

        private int nearestFrom(int first) {
            int cost = 0;
            int at = first;
            for (int mask = 1 << owner[first]; mask != (1 << alikes.size()) - 1; mask |= 1 << owner[at]) {
                int next = -1;
                for (int end = 0; end < ends.size(); end++) {
                    if ((mask >> owner[end] & 1) == 0
                            && (needs[owner[end]] & ~mask) == 0
                            && (next < 0 || between[end][at] < between[next][at])) {
                        next = end;
                    }
                }
                cost += between[next][at];
                at = next;
            }
            return cost;
        }

        private void go(int mask, int next, int[] cost, byte[] cameFrom, int[] lasts, int count) {
            int from = mask * ends.size();
            int late = (alikes.size() - Integer.bitCount(mask))
                    * alikes.get(next).rank; // the further on in the stages, the later it comes
            for (int end = firstEnd[next]; end < firstEnd[next + 1]; end++) {
                int to = (mask | 1 << next) * ends.size() + end;
                if (mask == 0) {
                    cost[to] = start[end] + late;
                    continue;
                }
                int[] steps = between[end];
                for (int i = 0; i < count; i++) {
                    int reached = cost[from + lasts[i]] + steps[lasts[i]] + late;
                    if (reached < cost[to]) {
                        cost[to] = reached;
                        cameFrom[to] = (byte) lasts[i];
                    }
                }
            }
        }

        private List<Stop> stops(int all, int end, byte[] cameFrom) {
            List<Stop> stops = new ArrayList<>();
            int left = all;
            int at = end;
            while (true) {
                stops.add(
                        0,
                        new Stop(alikes.get(owner[at]), ends.get(at).position().orElseThrow()));
                int without = left & ~(1 << owner[at]);
                if (without == 0) {
                    break;
                }
                at = cameFrom[left * ends.size() + at];
                left = without;
            }
            stops.addAll(0, before.get(startedFrom[at]).stops());
            return stops;
        }
    }
}
