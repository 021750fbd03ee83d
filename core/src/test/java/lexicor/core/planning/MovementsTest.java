package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;

class MovementsTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final ExaminationTest SHOULDER = CATALOGUE.test(TestId.of("sh-rom"));

    private static Movements of(String... inPlay) {
        return Movements.of(
                        SHOULDER, List.of(inPlay).stream().map(ConditionId::of).toList())
                .orElseThrow();
    }

    private static List<String> keys(List<PartDefinition> parts) {
        return parts.stream().map(PartDefinition::key).toList();
    }

    @Test
    void those_matter_from_which_a_condition_in_play_is_read() {
        Movements stiff = of("frozen-shoulder");
        assertThat(keys(stiff.asked())).containsExactly("flexion-passive", "external-rotation");
        assertThat(keys(stiff.others()))
                .contains("flexion", "abduction", "extension")
                .doesNotContainAnyElementsOf(keys(stiff.asked()))
                .as("what is taken on demand is no part of the table")
                .doesNotContain("er-90", "ir-90");
        assertThat(stiff.share()).isEqualTo(2.0 / 7);
        assertThat(keys(of("cuff-tear-full").asked())).containsExactly("flexion", "flexion-passive");
        assertThat(keys(of("cuff-tear-full", "frozen-shoulder").asked()))
                .containsExactly("flexion", "flexion-passive", "external-rotation");
    }

    @Test
    void what_was_measured_at_the_visit_before_is_measured_again() {
        Movements again = Movements.of(
                        SHOULDER, Set.of(ConditionId.of("cuff-tear-full")), Set.of("abduction", "held-for"))
                .orElseThrow();
        assertThat(keys(again.asked())).containsExactly("flexion", "flexion-passive", "abduction");
        assertThat(keys(Movements.of(SHOULDER, Set.of(), Set.of("extension"))
                        .orElseThrow()
                        .asked()))
                .as("where nothing else calls for the table")
                .containsExactly("extension");
    }

    @Test
    void without_a_condition_that_is_read_from_it_and_without_a_table_it_is_asked_whole() {
        assertThat(Movements.of(SHOULDER, Set.of(ConditionId.of("acj")))).isEmpty();
        assertThat(Movements.of(SHOULDER, Set.of())).isEmpty();
        assertThat(Movements.of(
                        CATALOGUE.test(TestId.of("sh-arc")),
                        CATALOGUE.conditions().keySet()))
                .isEmpty();
    }
}
