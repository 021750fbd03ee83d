package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lexicor.core.catalogue.Stage;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;

class WorkOrderTest {

    private static final List<String> POSITIONS = List.of("Standing", "Sitting", "Supine");
    private static final int MOVE = 1000;

    private static WorkItem item(String test, Stage stage, int level, List<String> positions, String... after) {
        return new WorkItem(
                TestId.of(test),
                positions,
                stage,
                Set.of(),
                level,
                Set.of(after).stream().map(TestId::of).collect(Collectors.toSet()));
    }

    @Test
    void the_patient_changes_position_as_seldom_as_can_be() {
        WorkOrder order = WorkOrder.of(
                List.of(
                        item("sh-a", Stage.SPECIAL, 0, List.of("Supine")),
                        item("sh-b", Stage.SPECIAL, 0, List.of("Sitting")),
                        item("sh-c", Stage.SPECIAL, 0, List.of("Supine", "Sitting")),
                        item("sh-d", Stage.SPECIAL, 0, List.of("Supine"))),
                Optional.of("Sitting"));
        assertThat(order.moves()).isEqualTo(1);
        assertThat(order.steps())
                .extracting(WorkOrder.Step::position)
                .startsWith("Sitting")
                .endsWith("Supine", "Supine");
    }

    @Test
    void levels_stand_above_moves_and_what_follows_on_another_comes_after_it() {
        WorkOrder order = WorkOrder.of(
                List.of(
                        item("sh-relocation", Stage.INSTABILITY, 2, List.of("Supine"), "sh-apprehension"),
                        item("sh-apprehension", Stage.INSTABILITY, 2, List.of("Supine")),
                        item("sh-grip", Stage.STRENGTH, 0, List.of("Sitting")),
                        item("sh-supine", Stage.SPECIAL, 1, List.of("Supine"))),
                Optional.of("Supine"));
        assertThat(order.steps())
                .extracting(WorkOrder.Step::test)
                .containsExactly(
                        TestId.of("sh-grip"),
                        TestId.of("sh-supine"),
                        TestId.of("sh-apprehension"),
                        TestId.of("sh-relocation"));
        assertThat(order.moves()).as("down from supine for the grip, and back").isEqualTo(2);
    }

    @Test
    void what_needs_the_same_instrument_stands_together() {
        WorkItem first =
                new WorkItem(TestId.of("sh-a"), List.of("Sitting"), Stage.STRENGTH, Set.of("gauge"), 0, Set.of());
        WorkItem second = new WorkItem(TestId.of("sh-b"), List.of("Sitting"), Stage.STRENGTH, Set.of(), 0, Set.of());
        WorkItem third =
                new WorkItem(TestId.of("sh-c"), List.of("Sitting"), Stage.STRENGTH, Set.of("gauge"), 0, Set.of());
        assertThat(WorkOrder.of(List.of(first, second, third), Optional.empty()).steps())
                .extracting(WorkOrder.Step::test)
                .containsExactly(second.test(), first.test(), third.test());
    }

    @Test
    void a_circle_is_refused_and_nothing_is_an_order_of_nothing() {
        assertThatThrownBy(() -> WorkOrder.of(
                        List.of(
                                item("sh-a", Stage.MOVE, 0, POSITIONS, "sh-b"),
                                item("sh-b", Stage.MOVE, 0, POSITIONS, "sh-a")),
                        Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("circle");
        assertThat(WorkOrder.of(List.of(), Optional.empty()).steps()).isEmpty();
    }

    /** 400 random cases of up to seven tests, some alike, some bound, against every permutation in every position. */
    @Test
    void no_other_order_is_better() {
        SplittableRandom random = new SplittableRandom(20261126);
        for (int round = 0; round < 400; round++) {
            List<WorkItem> items = random(random, 1 + random.nextInt(7));
            Optional<String> start =
                    random.nextInt(3) == 0 ? Optional.empty() : Optional.of(POSITIONS.get(random.nextInt(3)));
            WorkOrder order = WorkOrder.of(items, start);
            assertThat(order.steps())
                    .extracting(WorkOrder.Step::test)
                    .containsExactlyInAnyOrderElementsOf(
                            items.stream().map(WorkItem::test).toList());
            assertThat(MOVE * order.moves() + order.back())
                    .as("round %d: %s", round, items)
                    .isEqualTo(cost(items, order, start))
                    .isEqualTo(bruteForce(items, start));
        }
    }

    private static List<WorkItem> random(SplittableRandom random, int size) {
        List<WorkItem> items = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            List<String> positions =
                    POSITIONS.stream().filter(each -> random.nextInt(2) == 0).toList();
            String earlier = i > 0 && random.nextInt(4) == 0 ? "sh-" + (char) ('a' + random.nextInt(i)) : "";
            items.add(item(
                    "sh-" + (char) ('a' + i),
                    Stage.values()[2 + random.nextInt(3)],
                    random.nextInt(2),
                    positions.isEmpty() ? List.of("Supine") : positions,
                    earlier.isEmpty() ? new String[0] : new String[] {earlier}));
        }
        return items;
    }

    /** What an order costs by its definition, and that it keeps the hard rules. */
    private static int cost(List<WorkItem> items, WorkOrder order, Optional<String> start) {
        Map<TestId, WorkItem> known = items.stream().collect(Collectors.toMap(WorkItem::test, Function.identity()));
        int cost = 0;
        Optional<String> at = start;
        int rank = -1;
        int level = Integer.MIN_VALUE;
        Set<TestId> done = new HashSet<>();
        for (WorkOrder.Step step : order.steps()) {
            WorkItem item = known.get(step.test());
            assertThat(item.positions()).contains(step.position());
            assertThat(done).containsAll(item.after());
            assertThat(level(item, known)).isGreaterThanOrEqualTo(level);
            cost += (at.isPresent() && !at.get().equals(step.position()) ? MOVE : 0)
                    + (rank(item, known) < rank ? 1 : 0);
            at = Optional.of(step.position());
            rank = rank(item, known);
            level = level(item, known);
            done.add(item.test());
        }
        return cost;
    }

    private static int rank(WorkItem item, Map<TestId, WorkItem> known) {
        return item.after().stream()
                .mapToInt(earlier -> rank(known.get(earlier), known))
                .reduce(item.stage().ordinal(), Math::max);
    }

    private static int level(WorkItem item, Map<TestId, WorkItem> known) {
        return item.after().stream()
                .mapToInt(earlier -> level(known.get(earlier), known))
                .reduce(item.level(), Math::max);
    }

    private static int bruteForce(List<WorkItem> items, Optional<String> start) {
        Map<TestId, WorkItem> known = items.stream().collect(Collectors.toMap(WorkItem::test, Function.identity()));
        return further(items, known, new HashSet<>(), start, -1, Integer.MAX_VALUE);
    }

    private static int further(
            List<WorkItem> items,
            Map<TestId, WorkItem> known,
            Set<TestId> done,
            Optional<String> at,
            int rank,
            int best) {
        if (done.size() == items.size()) {
            return 0;
        }
        int level = items.stream()
                .filter(item -> !done.contains(item.test()))
                .mapToInt(item -> level(item, known))
                .min()
                .orElseThrow();
        int least = best;
        for (WorkItem item : items) {
            if (done.contains(item.test()) || !done.containsAll(item.after()) || level(item, known) != level) {
                continue;
            }
            for (String position : item.positions()) {
                int step =
                        (at.isPresent() && !at.get().equals(position) ? MOVE : 0) + (rank(item, known) < rank ? 1 : 0);
                if (step < least) {
                    done.add(item.test());
                    int rest = further(items, known, done, Optional.of(position), rank(item, known), least - step);
                    done.remove(item.test());
                    least = Math.min(least, step + rest);
                }
            }
        }
        return least;
    }

    @Test
    void sixty_tests_of_many_kinds_are_ordered() {
        List<WorkItem> items = IntStream.range(0, 60)
                .mapToObj(i -> item(
                        "sh-t" + i,
                        Stage.values()[i % 6],
                        i % 3,
                        i % 4 == 3 ? List.of("Sitting", "Supine") : List.of(POSITIONS.get(i % 3))))
                .toList();
        WorkOrder order = WorkOrder.of(items, Optional.of("Standing"));
        assertThat(order.steps()).hasSize(60);
        assertThat(MOVE * order.moves() + order.back()).isEqualTo(cost(items, order, Optional.of("Standing")));
    }
}
