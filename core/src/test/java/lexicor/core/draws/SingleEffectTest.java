package lexicor.core.draws;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.evidence.TwoByTwo;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.nexttest.Separation;
import lexicor.core.nexttest.Usefulness;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SingleEffectTest {

    private static final Belief GOOD = Belief.of(new TwoByTwo(90, 5, 10, 95));
    private static final Belief POOR = Belief.of(new TwoByTwo(50, 48, 50, 52));

    @Test
    void odds_are_multiplied_by_the_ratio() {
        SingleEffect effect = SingleEffect.of(0.3, GOOD, WeighingSettings.USUAL, 7);
        double odds = 0.3 / 0.7 * (90.5 / 101) / (5.5 / 101);
        assertThat(effect.positive().after()).isCloseTo(odds / (1 + odds), within(1e-12));
        assertThat(effect.positive().range().lower())
                .isLessThan(effect.positive().after());
        assertThat(effect.negative().range().upper())
                .isGreaterThan(effect.negative().after());
        assertThat(SingleEffect.of(0.3, GOOD, WeighingSettings.USUAL, 7)).isEqualTo(effect);
    }

    @Test
    void a_start_without_doubt_is_needed() {
        assertThatThrownBy(() -> SingleEffect.of(1, GOOD, WeighingSettings.USUAL, 7))
                .hasMessageContaining("prior is 1.0");
    }

    @ParameterizedTest(name = "{0} {1} {2} {3}: {4}")
    @CsvSource(delimiter = '|', textBlock = """
            90 | 5  | 10 | 95 | A positive helps a lot, a negative helps
            50 | 48 | 50 | 52 | Neither answer tells much
            95 | 70 | 5  | 30 | A negative helps, a positive hardly does
            20 | 1  | 80 | 99 | A positive helps a lot, a negative hardly does
            75 | 25 | 25 | 75 | Either answer helps a little
            """)
    void the_direction_of_usefulness_is_said(int tp, int fp, int fn, int tn, String words) {
        assertThat(Usefulness.of(Belief.of(new TwoByTwo(tp, fp, fn, tn))).plainly())
                .isEqualTo(words);
    }

    @Test
    void a_test_that_speaks_alike_of_both_separates_nothing() {
        assertThat(Separation.between(GOOD, GOOD)).isZero();
        assertThat(Separation.between(GOOD, POOR)).isGreaterThan(5).isEqualTo(Separation.between(POOR, GOOD));
    }

    @Test
    void tests_with_figures_for_both_are_ordered_by_how_well_they_separate() {
        Catalogue catalogue = CatalogueReader.shipped();
        assertThat(Separation.between(
                        ConditionId.of("subacromial-pain"),
                        ConditionId.of("cuff-tear-full"),
                        catalogue,
                        EvidenceReader.shipped(catalogue)))
                .isSortedAccordingTo((a, b) -> Double.compare(b.decibans(), a.decibans()))
                .extracting(separation -> separation.test().value())
                .contains("sh-arc", "sh-drop-arm");
    }
}
