package lexicor.core.weighing;

import static lexicor.core.Responses.answered;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ClusterId;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Reading.Result;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Assumptions;
import lexicor.core.findings.ClusterCount;
import lexicor.core.findings.OwnEstimate;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.findings.WeightedFinding;
import org.junit.jupiter.api.Test;

class PatternAndFamilyTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final Weighing WEIGHING = new Weighing(CATALOGUE, EVIDENCE, WeighingSettings.USUAL);
    private static final Visit VISIT = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);

    @Test
    void a_pattern_is_a_count_with_its_list() {
        PatternReading pattern = weigh(answered("sh-arc", true), answered("sh-hawkins", false))
                .of(ConditionId.of("subacromial-pain"))
                .pattern();
        assertThat(pattern.present())
                .extracting(Pattern.Expected::says)
                .containsExactly("Painful in the middle of the arc");
        assertThat(pattern.missing()).extracting(each -> each.test().value()).containsExactly("sh-hawkins");
        assertThat(pattern.notExamined()).hasSize(4);
    }

    /** Pain in resisted flexion is one sign in the studies of the biceps and of the labrum. */
    @Test
    void conditions_for_which_studies_recorded_one_sign_explain_each_other_away() {
        ConditionId biceps = ConditionId.of("long-biceps");
        Ranking speed = weigh(answered("sh-speed", true));
        assertThat(speed.together())
                .anySatisfy(
                        pair -> assertThat(List.of(pair.one(), pair.other())).contains(biceps));
        Ranking labral = weigh(answered("sh-speed", true), answered("sh-passive-distraction", true));
        assertThat(labral.of(biceps).now()).isLessThan(speed.of(biceps).now());
        assertThat(weigh(answered("sh-uppercut", true), answered("sh-passive-distraction", true))
                        .of(biceps)
                        .now())
                .as("a sign that was recorded for the biceps alone is not explained by the labrum")
                .isCloseTo(weigh(answered("sh-uppercut", true)).of(biceps).now(), within(1e-9));
    }

    /** A serious condition is never put aside by definition; the others are put at the foot and keep their chance. */
    @Test
    void a_defining_finding_that_is_clearly_absent_puts_a_condition_at_the_foot() {
        ConditionId defined = CATALOGUE.patterns().values().stream()
                .filter(pattern -> !pattern.defining().isEmpty()
                        && VISIT.starts().containsKey(pattern.condition())
                        && CATALOGUE.condition(pattern.condition()).serious().isEmpty())
                .findFirst()
                .orElseThrow()
                .condition();
        Pattern.Expected finding = CATALOGUE.patterns().get(defined).defining().get(0);
        Ranking ranking = weigh(answered(finding.test().value(), !finding.positive()));
        Standing standing = ranking.of(defined);
        assertThat(standing.pattern().unlikely()).isTrue();
        assertThat(ranking.standings()
                        .get(ranking.standings().size() - 1)
                        .pattern()
                        .unlikely())
                .isTrue();
        assertThat(weigh(answered(finding.test().value(), finding.positive()))
                        .of(defined)
                        .pattern()
                        .unlikely())
                .isFalse();
        CATALOGUE.patterns().values().stream()
                .filter(pattern ->
                        CATALOGUE.condition(pattern.condition()).serious().isPresent())
                .forEach(pattern -> assertThat(new PatternMatcher(Map.of())
                                .read(CATALOGUE.condition(pattern.condition()), pattern)
                                .unlikely())
                        .isFalse());
    }

    @Test
    void conditions_without_any_figure_stand_together_behind_the_others_by_their_pattern() {
        Ranking ranking =
                WEIGHING.weigh(VISIT.with(VISIT.assumptions().borrowing(false)), List.of(answered("sh-arc", true)), 1);
        List<Boolean> measured = ranking.standings().stream()
                .filter(standing -> !standing.informed())
                .map(Standing::measured)
                .toList();
        assertThat(measured.subList(measured.indexOf(false), measured.size())).containsOnly(false);
        assertThat(ranking.standings())
                .filteredOn(standing -> !standing.measured() && !standing.informed())
                .isNotEmpty()
                .allMatch(standing -> standing.leads() == 0);
    }

    @Test
    void a_condition_that_one_usable_study_speaks_about_is_not_called_unmeasured() {
        assertThat(WEIGHING.measured(ConditionId.of("de-quervain"))).isTrue();
        assertThat(WEIGHING.measured(ConditionId.of("ecu-instability")))
                .as("nobody has measured it")
                .isFalse();
    }

    @Test
    void the_shares_of_leading_sum_to_one_over_the_heads_of_families() {
        Ranking ranking = weigh(answered("sh-arc", true), answered("sh-empty-can", true));
        assertThat(ranking.standings().stream().mapToDouble(Standing::leads).sum())
                .isCloseTo(1, within(1e-9));
        assertThat(ranking.of(ConditionId.of("supraspinatus-tear")).leads())
                .as("represented by the wider one")
                .isZero();
    }

    @Test
    void a_narrower_condition_is_never_drawn_above_its_wider_one() {
        Ranking ranking =
                weigh(answered("sh-empty-can", true), answered("sh-arc", true), answered("sh-er-resist", true));
        assertThat(ranking.ahead(ConditionId.of("cuff-tear-full"), ConditionId.of("cuff-tear-any")))
                .isLessThanOrEqualTo(0.5);
        assertThat(ranking.ahead(ConditionId.of("acj"), ConditionId.of("subacromial-pain"))
                        + ranking.ahead(ConditionId.of("subacromial-pain"), ConditionId.of("acj")))
                .isCloseTo(1, within(1e-12));
    }

    @Test
    void a_set_with_alternatives_and_blocks_counts_as_published() {
        Cluster weakness = CATALOGUE.cluster(ClusterId.of("cl-cuff-weakness-3"));
        ClusterCount either =
                ClusterCount.of(weakness, component -> component.single() ? Result.NOT_YET_KNOWN : Result.POSITIVE);
        assertThat(either.count()).isEqualTo(1);
        Cluster labrum = CATALOGUE.cluster(ClusterId.of("cl-slap-3"));
        ClusterCount sensitive = ClusterCount.of(
                labrum, component -> component.block().equals("sensitive") ? Result.POSITIVE : Result.NEGATIVE);
        assertThat(sensitive.positives()).hasSize(3);
        assertThat(sensitive.count()).as("two of the sensitive block count").isEqualTo(2);
        assertThat(sensitive.level()).map(level -> level.covers(2)).contains(true);
    }

    @Test
    void a_set_whose_clue_has_moved_the_start_is_counted_and_not_weighed() {
        ConditionId condition =
                CATALOGUE.cluster(ClusterId.of("cl-cuff-age-night-er")).condition();
        assertThat(barred(VISIT.starts())).isEmpty();
        Map<ConditionId, Visit.Start> moved = new HashMap<>(VISIT.starts());
        moved.put(condition, new Visit.Start(0.3, 0.5, Set.of("age-65")));
        assertThat(barred(moved)).isEqualTo("“Aged 65 or over” has moved the start already and is not counted twice");
    }

    private static String barred(Map<ConditionId, Visit.Start> starts) {
        Visit told = new Visit(
                "shoulder",
                CareSetting.FIRST_CONTACT,
                starts,
                Map.of("age-65", true, "night-pain", true),
                VISIT.schools(),
                VISIT.assumptions());
        return WEIGHING.weigh(told, List.of(), 1).clusters().stream()
                .filter(count -> count.cluster().id().value().equals("cl-cuff-age-night-er"))
                .map(ClusterCount::barred)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void an_own_estimate_weighs_where_no_study_does_and_only_there() {
        OwnEstimate estimate =
                new OwnEstimate(TestId.of("sh-palp-acromion"), ConditionId.of("subacromial-pain"), 3, 0.5);
        OwnEstimate useless = new OwnEstimate(TestId.of("sh-arc"), ConditionId.of("subacromial-pain"), 50, 0.01);
        Assumptions usual = VISIT.assumptions();
        Visit visit = VISIT.with(new Assumptions(
                usual.link(), usual.betweenStudies(), Map.of(), usual.thresholds(), List.of(estimate, useless), false));
        Standing with = WEIGHING.weigh(visit, List.of(answered("sh-palp-acromion", true), answered("sh-arc", true)), 1)
                .of(ConditionId.of("subacromial-pain"));
        Standing without = WEIGHING.weigh(
                        VISIT.with(usual.borrowing(false)),
                        List.of(answered("sh-palp-acromion", true), answered("sh-arc", true)),
                        1)
                .of(ConditionId.of("subacromial-pain"));
        assertThat(with.likelihoodRatio() / without.likelihoodRatio()).isCloseTo(3, within(1e-9));
        assertThat(with.loads()).filteredOn(WeightedFinding::estimate).hasSize(1);
        assertThat(without.unweighed())
                .extracting(finding -> finding.test().value())
                .contains("sh-palp-acromion");
    }

    private static Ranking weigh(TestReading... tests) {
        return WEIGHING.weigh(VISIT, List.of(tests), 1);
    }
}
