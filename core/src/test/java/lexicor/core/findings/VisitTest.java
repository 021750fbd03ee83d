package lexicor.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class VisitTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final Weighing WEIGHING = new Weighing(CATALOGUE, EVIDENCE, WeighingSettings.USUAL);
    private static final ConditionId ANY_TEAR = ConditionId.of("cuff-tear-any");
    private static final ConditionId AC = ConditionId.of("acj");

    private static Visit visit(Map<ConditionId, Visit.Start> changed, Map<String, Boolean> clues) {
        Visit usual = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        Map<ConditionId, Visit.Start> starts = new LinkedHashMap<>(usual.starts());
        starts.putAll(changed);
        return new Visit("shoulder", CareSetting.FIRST_CONTACT, starts, clues, usual.schools(), usual.assumptions());
    }

    @Test
    void a_clue_with_published_accuracy_weighs_by_its_own_ratio_both_ways() {
        Standing with = WEIGHING.weigh(visit(Map.of(), Map.of("night-pain", true)), List.of(), 1)
                .of(ANY_TEAR);
        Standing without = WEIGHING.weigh(visit(Map.of(), Map.of("night-pain", false)), List.of(), 1)
                .of(ANY_TEAR);
        assertThat(with.now()).isGreaterThan(with.before());
        assertThat(without.now()).isLessThan(without.before());
        assertThat(with.loads()).singleElement().satisfies(load -> {
            assertThat(load.tests()).isEmpty();
            assertThat(load.phrase()).isEqualTo("Pain at night");
        });
    }

    @Test
    void a_clue_without_published_accuracy_weighs_nothing() {
        assertThat(WEIGHING.weigh(visit(Map.of(), Map.of("diabetes", true)), List.of(), 1)
                        .standings())
                .isEqualTo(
                        WEIGHING.weigh(visit(Map.of(), Map.of()), List.of(), 1).standings());
    }

    @Test
    void a_firm_start_has_a_narrower_range_than_a_vague_one_about_the_same_chance() {
        Standing firm = WEIGHING.weigh(visit(Map.of(AC, new Visit.Start(0.25, 0.25)), Map.of()), List.of(), 1)
                .of(AC);
        Standing vague = WEIGHING.weigh(visit(Map.of(AC, new Visit.Start(0.25, 1.0)), Map.of()), List.of(), 1)
                .of(AC);
        assertThat(firm.now()).isEqualTo(vague.now());
        assertThat(firm.range().lower()).isGreaterThan(vague.range().lower());
        assertThat(firm.range().upper()).isLessThan(vague.range().upper());
        double halfWidth = 1.959963984540054 * 0.25;
        assertThat(firm.range().lower())
                .as("the normal's own quantile")
                .isCloseTo(chance(Math.exp(Math.log(0.25 / 0.75) - halfWidth)), within(0.01));
    }

    @Test
    void a_condition_without_a_start_is_not_ranked() {
        Visit usual = Visit.usual(CATALOGUE, "wrist", CareSetting.FIRST_CONTACT);
        assertThat(WEIGHING.weigh(usual, List.of(), 1).standings())
                .extracting(standing -> standing.condition().id().value())
                .contains("tfcc")
                .doesNotContain("scaphoid-fracture", "distal-radius-fracture");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 1, -0.1, Double.NaN})
    void a_start_outside_its_range_is_refused(double chance) {
        assertThatThrownBy(() -> new Visit.Start(chance, 0.5)).hasMessageContaining("allowed: within 0 and 1");
        assertThatThrownBy(() -> new Visit.Start(0.5, chance == 1 ? 0 : -1)).hasMessageContaining("allowed: above 0");
    }

    private static double chance(double odds) {
        return odds / (1 + odds);
    }
}
