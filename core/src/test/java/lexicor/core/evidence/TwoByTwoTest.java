package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.data.Offset;
import org.hipparchus.stat.interval.BinomialProportion;
import org.hipparchus.stat.interval.ConfidenceInterval;
import org.junit.jupiter.api.Test;

class TwoByTwoTest {

    private static final Offset<Double> EXACT = within(1e-12);

    @Test
    void ratios_follow_their_closed_forms() {
        TwoByTwo counts = new TwoByTwo(12, 10, 4, 29);
        assertThat(counts.likelihoodRatioPositive().orElseThrow().estimate()).isCloseTo(0.75 * 39 / 10, EXACT);
        assertThat(counts.likelihoodRatioNegative().orElseThrow().estimate()).isCloseTo(0.25 * 39 / 29, EXACT);
        assertThat(counts.diagnosticOddsRatio().orElseThrow().estimate()).isCloseTo(12.0 * 29 / 40, EXACT);
        assertThat(counts.youden().orElseThrow()).isCloseTo(0.75 + 29.0 / 39 - 1, EXACT);
        assertThat(counts.corrected()).isFalse();
    }

    /** 8 of 10 by Wilson: 0.4902 to 0.9433, the textbook example of Newcombe (Stat Med 1998) and others. */
    @Test
    void wilson_intervals_agree_with_print() {
        Estimate estimate = new TwoByTwo(8, 5, 2, 5).sensitivity().orElseThrow();
        assertThat(estimate.lower()).isCloseTo(0.4902, within(5e-5));
        assertThat(estimate.upper()).isCloseTo(0.9433, within(5e-5));
    }

    @Property(tries = 200)
    void wilson_intervals_agree_with_another_implementation(
            @ForAll @IntRange(max = 400) int hits, @ForAll @IntRange(max = 400) int misses) {
        if (hits + misses > 0) {
            ConfidenceInterval expected =
                    BinomialProportion.getWilsonScoreInterval(hits + misses, (double) hits / (hits + misses), 0.95);
            Estimate actual = new TwoByTwo(hits, 1, misses, 1).sensitivity().orElseThrow();
            assertThat(actual.lower()).isCloseTo(expected.getLowerBound(), within(1e-9));
            assertThat(actual.upper()).isCloseTo(expected.getUpperBound(), within(1e-9));
        }
    }

    @Test
    void an_empty_cell_adds_a_half_everywhere_but_leaves_proportions_raw() {
        TwoByTwo counts = new TwoByTwo(10, 0, 5, 20);
        assertThat(counts.corrected()).isTrue();
        assertThat(counts.specificity().orElseThrow().estimate()).isEqualTo(1);
        assertThat(counts.likelihoodRatioPositive().orElseThrow().estimate()).isCloseTo(10.5 / 16 / (0.5 / 21), EXACT);
        assertThat(counts.diagnosticOddsRatio().orElseThrow().estimate()).isCloseTo(10.5 * 20.5 / (0.5 * 5.5), EXACT);
    }

    @Test
    void an_empty_margin_leaves_unknown_what_rests_on_it() {
        TwoByTwo counts = new TwoByTwo(0, 3, 0, 7);
        assertThat(counts.sensitivity()).isEmpty();
        assertThat(counts.likelihoodRatioPositive()).isEmpty();
        assertThat(counts.youden()).isEmpty();
        assertThat(counts.specificity().orElseThrow().estimate()).isCloseTo(0.7, EXACT);
        assertThat(new TwoByTwo(0, 0, 4, 6).positivePredictiveValue()).isEmpty();
    }

    @Test
    void impossible_counts_are_refused_by_name() {
        assertThatThrownBy(() -> new TwoByTwo(-1, 0, 0, 3)).hasMessage("tp is -1; allowed: 0 to 1000000000");
        assertThatThrownBy(() -> new TwoByTwo(0, 0, 0, 0)).hasMessageContaining("at least one patient");
    }

    @Property(tries = 200)
    void swapping_the_groups_inverts_the_ratio(
            @ForAll @IntRange(max = 300) int tp,
            @ForAll @IntRange(max = 300) int fp,
            @ForAll @IntRange(min = 1, max = 300) int fn,
            @ForAll @IntRange(min = 1, max = 300) int tn) {
        double one = new TwoByTwo(tp, fp, fn, tn)
                .likelihoodRatioPositive()
                .orElseThrow()
                .estimate();
        double other = new TwoByTwo(fp, tp, tn, fn)
                .likelihoodRatioPositive()
                .orElseThrow()
                .estimate();
        assertThat(one * other).isCloseTo(1, within(1e-9));
    }
}
