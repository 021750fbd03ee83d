package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Stage;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WorkItemsTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    private static List<TestId> everything(String region) {
        Set<TestId> tests = new LinkedHashSet<>(CATALOGUE.routine(region).order());
        tests.addAll(CATALOGUE.beyondRoutine(region));
        return List.copyOf(tests);
    }

    @ParameterizedTest
    @ValueSource(strings = {"shoulder", "elbow", "wrist", "hand"})
    void everything_that_a_region_has_is_put_in_order_with_fewer_moves_than_the_routine(String region) {
        List<TestId> all = everything(region);
        WorkOrder order = WorkOrder.of(WorkItems.of(CATALOGUE, region, all), Optional.empty());
        assertThat(order.steps()).extracting(WorkOrder.Step::test).containsExactlyInAnyOrderElementsOf(all);
        assertThat(order.moves()).isLessThanOrEqualTo(moves(all));
    }

    /** How often the patient moves where each test is done in its usual position, in turn. */
    private static int moves(List<TestId> order) {
        int moves = 0;
        for (int i = 1; i < order.size(); i++) {
            moves += CATALOGUE
                            .test(order.get(i))
                            .position()
                            .equals(CATALOGUE.test(order.get(i - 1)).position())
                    ? 0
                    : 1;
        }
        return moves;
    }

    @Test
    void looking_and_grip_come_before_provocation_and_instability_comes_last() {
        List<TestId> tests = List.of(
                TestId.of("sh-relocation"), TestId.of("sh-apprehension"), TestId.of("sh-neer"), TestId.of("sh-look"));
        assertThat(WorkOrder.of(WorkItems.of(CATALOGUE, "shoulder", tests), Optional.empty())
                        .steps())
                .extracting(WorkOrder.Step::test)
                .containsExactly(
                        TestId.of("sh-look"),
                        TestId.of("sh-neer"),
                        TestId.of("sh-apprehension"),
                        TestId.of("sh-relocation"));
        List<WorkItem> hand = WorkItems.of(CATALOGUE, "hand", List.of(TestId.of("wr-phalen"), TestId.of("ha-grip")));
        assertThat(hand).extracting(WorkItem::level).containsExactly(WorkItems.BETWEEN, WorkItems.FIRST);
        assertThat(WorkItems.of(CATALOGUE, "shoulder", List.of(TestId.of("sh-sulcus"))))
                .singleElement()
                .satisfies(item -> {
                    assertThat(item.stage()).isEqualTo(Stage.INSTABILITY);
                    assertThat(item.level()).isEqualTo(WorkItems.LAST);
                });
    }
}
