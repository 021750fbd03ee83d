package lexicor.core.weighing;

import static lexicor.core.Responses.answered;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.posttest.Range;
import org.junit.jupiter.api.Test;

class RankingOrderTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), WeighingSettings.USUAL);
    private static final Visit VISIT = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final ConditionId AC = ConditionId.of("acj");

    @Test
    void the_informed_come_first_each_shelf_by_its_chance() {
        List<Standing> standings = weigh(answered("sh-arc", true), answered("sh-cross-body", false))
                .standings();
        List<Standing> informed = standings.stream().filter(Standing::informed).toList();
        assertThat(standings.subList(0, informed.size())).isEqualTo(informed);
        assertThat(informed).extracting(Standing::now).isSortedAccordingTo((a, b) -> Double.compare(b, a));
        List<Standing> waiting = standings.stream()
                .filter(standing -> !standing.informed() && standing.measured())
                .toList();
        assertThat(waiting).extracting(Standing::now).isSortedAccordingTo((a, b) -> Double.compare(b, a));
    }

    @Test
    void unmeasured_conditions_go_by_what_fits_them() {
        List<Standing> unmeasured = weigh(answered("sh-arc", true), answered("sh-er-resist", true)).standings().stream()
                .filter(standing -> !standing.measured() && !standing.informed())
                .toList();
        assertThat(unmeasured)
                .extracting(standing -> standing.pattern().balance())
                .isSortedAccordingTo((a, b) -> Integer.compare(b, a));
    }

    @Test
    void how_often_one_stands_above_another_follows_the_evidence() {
        Ranking before = weigh();
        Ranking after = weigh(
                answered("sh-cross-body", true),
                answered("sh-ac-resisted-extension", true),
                answered("sh-arc", false),
                answered("sh-hawkins", false));
        assertThat(after.ahead(AC, SUBACROMIAL)).isGreaterThan(before.ahead(AC, SUBACROMIAL));
        Ranking painful = weigh(answered("sh-arc", true), answered("sh-hawkins", true));
        assertThat(after.of(SUBACROMIAL).leads())
                .isLessThan(painful.of(SUBACROMIAL).leads());
    }

    @Test
    void without_draws_the_points_decide() {
        Ranking points = WEIGHING.withoutRanges().weigh(VISIT, List.of(answered("sh-arc", true)), 1);
        assertThat(points.ahead(SUBACROMIAL, AC)).isEqualTo(1);
        assertThat(points.ahead(AC, SUBACROMIAL)).isZero();
        assertThat(points.ahead(AC, AC)).isEqualTo(0.5);
        assertThat(points.of(SUBACROMIAL).range())
                .isEqualTo(new Range(
                        points.of(SUBACROMIAL).now(), points.of(SUBACROMIAL).now()));
    }

    /**
     * A patient whose story moved the starts and one without: for a condition by itself the same findings multiply the
     * same odds.
     */
    @Test
    void findings_multiply_the_odds_whatever_the_start() {
        List<TestReading> tests = List.of(answered("sh-ac-resisted-extension", true), answered("sh-paxinos", false));
        Standing first = WEIGHING.weigh(VISIT, tests, 1).of(AC);
        Standing specialist = WEIGHING.weigh(Visit.usual(CATALOGUE, "shoulder", CareSetting.SPECIALIST), tests, 1)
                .of(AC);
        assertThat(specialist.likelihoodRatio())
                .isCloseTo(first.likelihoodRatio(), within(1e-9 * first.likelihoodRatio()));
    }

    @Test
    void a_condition_that_is_not_ranked_is_named() {
        assertThatThrownBy(() -> weigh().of(ConditionId.of("tfcc")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("'tfcc' is not ranked");
    }

    private static Ranking weigh(TestReading... tests) {
        return WEIGHING.weigh(VISIT, List.of(tests), 1);
    }
}
