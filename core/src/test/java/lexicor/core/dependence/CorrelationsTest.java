package lexicor.core.dependence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Medians and intervals were computed apart, in Python with SciPy, from the published levels and shares. */
class CorrelationsTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final Correlations CORRELATIONS = Correlations.of(CATALOGUE, EVIDENCE);

    @ParameterizedTest
    @CsvSource({
        "subacromial-provocation, cl-subacromial-3, 0.362, 0.195, 0.579, true",
        "cuff-loading, cl-cuff-tear-3, 0.093, 0.017, 0.231, false",
        "subacromial-provocation, cl-subacromial-5, 0.436, 0.114, 0.810, false"
    })
    void published_levels_teach_the_correlation(
            String group, String cluster, double median, double lower, double upper, boolean contradicts) {
        CorrelationFit lesson = CORRELATIONS.all().get(group).lessons().stream()
                .filter(each -> each.cluster().value().equals(cluster))
                .findFirst()
                .orElseThrow();
        assertThat(lesson.median()).isCloseTo(median, within(0.002));
        assertThat(lesson.lower()).isCloseTo(lower, within(0.002));
        assertThat(lesson.upper()).isCloseTo(upper, within(0.002));
        assertThat(lesson.contradicts()).isEqualTo(contradicts);
    }

    @Test
    void independence_would_promise_three_times_what_was_published_for_three_of_three() {
        CorrelationFit lesson =
                CORRELATIONS.all().get("subacromial-provocation").lessons().get(0);
        CorrelationFit.Level all = lesson.levels().get(0);
        assertThat(all.name()).isEqualTo("all 3");
        assertThat(all.published()).isEqualTo(10.56);
        assertThat(all.independent()).isCloseTo(34.7, within(0.05));
        assertThat(CountChances.of(new double[] {0.715, 0.735, 0.416}, 0.4)[3]
                        / CountChances.of(new double[] {0.337, 0.189, 0.099}, 0.4)[3])
                .isCloseTo(10.1, within(0.05));
    }

    @Test
    void at_least_three_of_five_is_overstated_by_independence_too() {
        CorrelationFit.Level met = CORRELATIONS
                .all()
                .get("subacromial-provocation")
                .lessons()
                .get(1)
                .levels()
                .get(0);
        assertThat(met.published()).isEqualTo(2.93);
        assertThat(met.independent()).isCloseTo(5.81, within(0.01));
        double[] with = CountChances.of(new double[] {0.63, 0.81, 0.75, 0.5, 0.56}, 0.4);
        double[] without = CountChances.of(new double[] {0.38, 0.46, 0.33, 0.13, 0.13}, 0.4);
        assertThat(CountChances.within(with, 3, 5) / CountChances.within(without, 3, 5))
                .isCloseTo(3.28, within(0.01));
    }

    @Test
    void two_sets_of_one_group_teach_it_together() {
        Correlation group = CORRELATIONS.all().get("subacromial-provocation");
        assertThat(group.origin()).isEqualTo(Correlation.Origin.LEARNT);
        assertThat(group.present())
                .isBetween(
                        group.lessons().get(0).median(), group.lessons().get(1).median());
        assertThat(group.interval().upper() - group.interval().lower())
                .isLessThan(
                        group.lessons().get(0).upper() - group.lessons().get(0).lower());
        assertThat(group.absent()).as("telling the two apart is not worth it").isEqualTo(group.present());
    }

    @Test
    void without_a_set_a_correlation_is_an_assumption_with_a_wide_belief() {
        Correlation lag = CORRELATIONS.all().get("posterosuperior-lag");
        assertThat(lag.origin()).isEqualTo(Correlation.Origin.ASSUMED);
        assertThat(lag.present()).isEqualTo(0.5);
        Correlation labral = CORRELATIONS.all().get("labral-load");
        assertThat(labral.interval().lower()).as("Beta(2, 3)").isCloseTo(0.0676, within(0.004));
        assertThat(labral.interval().upper()).isCloseTo(0.806, within(0.004));
    }

    @Test
    void a_hand_set_correlation_is_held_without_doubt_and_has_its_limits() {
        Correlation chosen = CORRELATIONS.with(Map.of("ac-loading", 0.8)).all().get("ac-loading");
        assertThat(chosen.origin()).isEqualTo(Correlation.Origin.CHOSEN);
        assertThat(chosen.interval()).isEqualTo(new Correlation.Interval(0.8, 0.8));
        assertThat(chosen.belief(true).median()).isCloseTo(0.8, within(1e-9));
        assertThatThrownBy(() -> CORRELATIONS.with(Map.of("ac-loading", 0.96)))
                .hasMessageContaining("ac-loading")
                .hasMessageContaining("allowed: 0 to 0.95");
        assertThatThrownBy(() -> CORRELATIONS.with(Map.of("nothing", 0.5)))
                .hasMessageContaining("'nothing' is not known");
    }
}
