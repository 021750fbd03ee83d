package lexicor.core.posttest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class PostTestTest {

    @Test
    void a_published_worked_value_is_met() {
        assertThat(PostTest.of(0.3, List.of(new SingleTest(0.8, 0.8, true))).chance())
                .isCloseTo(0.631579, within(5e-7));
        assertThat(PostTest.of(0.3, List.of(new SingleTest(0.8, 0.8, true), new SingleTest(0.7, 0.75, true)))
                        .chance())
                .isCloseTo(0.827586, within(5e-7));
        assertThat(PostTest.of(0.3, List.of(new SingleTest(0.8, 0.8, true), new SingleTest(0.7, 0.75, false)))
                        .chance())
                .isCloseTo(0.406780, within(5e-7));
        assertThat(PostTest.of(
                                0.2,
                                List.of(
                                        new SingleTest(0.8, 0.8, true),
                                        new SingleTest(0.7, 0.75, true),
                                        new SingleTest(0.75, 0.7, true),
                                        new SingleTest(0.6, 0.9, true)))
                        .likelihoodRatio())
                .isCloseTo(4 * 2.8 * 2.5 * 6, within(1e-9));
    }

    @Test
    void no_test_leaves_the_chance_as_it_was() {
        assertThat(PostTest.of(0.65, List.of())).isEqualTo(new PostTest(0.65, 1));
    }

    @Property(tries = 300)
    void bayes_over_all_four_kinds_of_people_gives_the_same(
            @ForAll @DoubleRange(min = 0.01, max = 0.99) double prior,
            @ForAll @DoubleRange(min = 0.01, max = 0.99) double sensitivity,
            @ForAll @DoubleRange(min = 0.01, max = 0.99) double specificity,
            @ForAll boolean positive) {
        double have = prior * (positive ? sensitivity : 1 - sensitivity);
        double haveNot = (1 - prior) * (positive ? 1 - specificity : specificity);
        assertThat(PostTest.of(prior, List.of(new SingleTest(sensitivity, specificity, positive)))
                        .chance())
                .isCloseTo(have / (have + haveNot), within(1e-12));
    }

    @Property(tries = 200)
    void the_order_of_tests_does_not_matter(
            @ForAll @Size(min = 2, max = 6) List<@DoubleRange(min = 0.05, max = 0.95) Double> figures) {
        List<SingleTest> tests = new ArrayList<>(figures.stream()
                .map(figure -> new SingleTest(figure, 0.7, figure > 0.5))
                .toList());
        double forwards = PostTest.of(0.3, tests).chance();
        Collections.reverse(tests);
        assertThat(PostTest.of(0.3, tests).chance()).isCloseTo(forwards, within(1e-12));
    }

    @Test
    void certainty_is_refused_by_name() {
        assertThatThrownBy(() -> PostTest.of(1, List.of()))
                .hasMessage("prior is 1.0; allowed: between 0 and 1, not 0 or 1 themselves");
        assertThatThrownBy(() -> PostTest.of(Double.NaN, List.of())).hasMessageStartingWith("prior is NaN");
        assertThatThrownBy(() -> new SingleTest(0.8, 1, true)).hasMessageStartingWith("specificity is 1");
        assertThatThrownBy(() -> new SingleTest(1.2, 0.5, true)).hasMessage("sensitivity is 1.2; allowed: 0 to 1");
        assertThat(new SingleTest(1, 0.5, false).likelihoodRatio()).isZero();
    }

    @Test
    void extreme_odds_keep_their_digits() {
        assertThat(LogOdds.ofChance(1e-12).times(1e6).chance()).isCloseTo(1e-6 / (1 + 1e-6), within(1e-15));
        assertThat(new LogOdds(-800).chance()).isNotNegative();
        assertThat(new LogOdds(800).chance()).isEqualTo(1);
    }

    @Test
    void natural_frequencies_count_people() {
        NaturalFrequencies people = NaturalFrequencies.of(0.65, 0.735, 0.8, true);
        assertThat(people).isEqualTo(new NaturalFrequencies(650, 478, 70));
        assertThat(people.answer()).isEqualTo(548);
        assertThat(NaturalFrequencies.of(0.65, 0.735, 0.8, false)).isEqualTo(new NaturalFrequencies(650, 172, 280));
    }
}
