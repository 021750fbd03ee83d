package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import lexicor.core.evidence.CountLevels.AtLeast;
import lexicor.core.evidence.CountLevels.Exact;
import org.junit.jupiter.api.Test;

class CountLevelsTest {

    /**
     * Worked by hand from >= 2, 3, 4, 5 of 5 in 28 and 54 patients: sensitivities .98 .98 .77 .18, specificities .14
     * .54 .83 .99.
     */
    @Test
    void at_least_becomes_exactly_and_an_empty_level_joins_its_neighbour() {
        List<Exact> levels = CountLevels.exact(
                5,
                List.of(
                        new AtLeast(2, 0.98, 0.86),
                        new AtLeast(3, 0.98, 0.46),
                        new AtLeast(4, 0.77, 0.17),
                        new AtLeast(5, 0.18, 0.01)),
                28,
                54);
        assertThat(levels).extracting(Exact::from).containsExactly(0, 3, 4, 5);
        assertThat(levels).extracting(Exact::to).containsExactly(2, 3, 4, 5);
        double[] expected = {0.0667116, 0.736964, 3.47600, 9.94359};
        for (int i = 0; i < expected.length; i++) {
            assertThat(levels.get(i).likelihoodRatio()).isCloseTo(expected[i], within(1e-5));
        }
    }

    @Test
    void exact_levels_share_out_everybody() {
        List<Exact> levels =
                CountLevels.exact(3, List.of(new AtLeast(2, 0.81, 0.11), new AtLeast(3, 0.25, 0.03)), 35, 580);
        assertThat(levels).extracting(Exact::from).containsExactly(0, 2, 3);
        assertThat(levels.get(0).likelihoodRatio())
                .isCloseTo((35 * 0.19 + 0.5) / 36.5 / ((580 * 0.89 + 0.5) / 581.5), within(1e-12));
    }

    @Test
    void levels_that_contradict_their_components_are_found_out() {
        List<AtLeast> levels = List.of(new AtLeast(2, 0.81, 0.11), new AtLeast(3, 0.25, 0.03));
        assertThat(CountLevels.fits(List.of(0.77, 0.72, 0.41), levels, true, 3)).isTrue();
        assertThat(CountLevels.fits(List.of(0.21, 0.15, 0.05), levels, false, 3))
                .isTrue();
        assertThat(CountLevels.fits(List.of(0.2, 0.2, 0.2), levels, true, 3)).isFalse();
    }

    @Test
    void nothing_published_is_refused() {
        assertThatThrownBy(() -> CountLevels.exact(3, List.of(), 10, 10))
                .hasMessageContaining("published has 0 levels");
    }
}
