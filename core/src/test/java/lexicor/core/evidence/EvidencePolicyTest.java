package lexicor.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.synthesis.Pooling;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.synthesis.StudyRecord;
import lexicor.core.synthesis.StudyRecord.Counts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class EvidencePolicyTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence SHIPPED = EvidenceReader.shipped(CATALOGUE);

    private static final Map<StudyRecord.Criterion, List<StudyRecord>> STUDIES =
            SHIPPED.studies().stream().collect(Collectors.groupingBy(StudyRecord::criterion));

    /** The criterion that most has been published of. */
    private static final StudyRecord.Criterion MOST_STUDIED = STUDIES.entrySet().stream()
            .max(Comparator.comparing(each -> each.getValue().size()))
            .orElseThrow()
            .getKey();

    private static final Counts MANY = new Counts(240, 160, 380, 20);

    private static PredictedAccuracy.Of of(Evidence evidence, StudyRecord.Criterion criterion) {
        PredictedAccuracy all = evidence.expected(ConditionId.of(criterion.condition()));
        return all.at(all.criteria().indexOf(criterion));
    }

    private static double logit(double chance) {
        return Math.log(chance / (1 - chance));
    }

    private static EvidencePolicy by(EvidencePolicy.Method method) {
        return new EvidencePolicy(method, Map.of());
    }

    private static EvidencePolicy own(StudyRecord.Criterion criterion, Counts counts) {
        return new EvidencePolicy(EvidencePolicy.Method.SYNTHESIS, Map.of(criterion, counts));
    }

    @Test
    void pooling_says_what_the_studies_of_the_criterion_say_by_themselves() {
        List<Counts> counts =
                STUDIES.get(MOST_STUDIED).stream().map(StudyRecord::counts).toList();

        PredictedAccuracy.Of pooled = of(SHIPPED.by(by(EvidencePolicy.Method.POOLED)), MOST_STUDIED);

        assertThat(counts).hasSizeGreaterThan(3);
        assertThat(pooled.mean()[0])
                .isCloseTo(logit(Pooling.pool(counts).sensitivity().estimate()), within(1e-9));
        assertThat(pooled.mean()[1])
                .isCloseTo(logit(Pooling.pool(counts).specificity().estimate()), within(1e-9));
        assertThat(Math.sqrt(pooled.between()[0][0]))
                .isCloseTo(Pooling.pool(counts).between().orElseThrow().sdSensitivity(), within(1e-9));
    }

    @Test
    void the_best_study_is_the_largest_independent_one_and_differs_elsewhere_as_studies_do() {
        StudyRecord best = STUDIES.get(MOST_STUDIED).stream()
                .filter(study -> !study.originator())
                .max(Comparator.comparing(study -> study.counts().tp()
                        + study.counts().fn()
                        + study.counts().tn()
                        + study.counts().fp()))
                .orElseThrow();

        PredictedAccuracy.Of expected = of(SHIPPED.by(by(EvidencePolicy.Method.BEST_STUDY)), MOST_STUDIED);

        Counts counts = best.counts();
        assertThat(expected.mean()[0]).isCloseTo(Math.log((counts.tp() + 0.5) / (counts.fn() + 0.5)), within(1e-12));
        assertThat(expected.predictive()[1][1])
                .isCloseTo(0.64 + 1 / (counts.tn() + 0.5) + 1 / (counts.fp() + 0.5), within(1e-12));
    }

    @ParameterizedTest
    @EnumSource(EvidencePolicy.Method.class)
    void every_criterion_of_every_condition_can_be_drawn(EvidencePolicy.Method method) {
        Evidence evidence = SHIPPED.by(by(method));
        CATALOGUE.conditions().keySet().forEach(condition -> {
            PredictedAccuracy all = evidence.expected(condition);
            assertThat(Arrays.stream(all.factor()).flatMapToDouble(Arrays::stream))
                    .as(condition.value())
                    .allMatch(Double::isFinite);
            all.each()
                    .forEach(one -> assertThat(one.sensitivity() * one.specificity())
                            .as(one.criterion().toString())
                            .isBetween(0.0001, 0.9999));
        });
    }

    @Test
    void what_nobody_has_studied_stays_what_is_known_of_tests_in_general() {
        Evidence best = SHIPPED.by(by(EvidencePolicy.Method.BEST_STUDY));
        StudyRecord.Criterion unstudied = SHIPPED.expected(ConditionId.of(MOST_STUDIED.condition())).criteria().stream()
                .filter(criterion -> !STUDIES.containsKey(criterion))
                .findFirst()
                .orElseThrow();

        assertThat(of(best, unstudied).mean()).isEqualTo(of(SHIPPED, unstudied).mean());
        assertThat(of(best, unstudied).predictive())
                .isDeepEqualTo(of(SHIPPED, unstudied).predictive());
    }

    @Test
    void many_own_results_outweigh_what_others_found_and_narrow_the_range() {
        PredictedAccuracy.Of before = of(SHIPPED, MOST_STUDIED);
        PredictedAccuracy.Of after = of(SHIPPED.by(own(MOST_STUDIED, MANY)), MOST_STUDIED);

        assertThat(after.sensitivity()).isBetween(0.55, 0.65);
        assertThat(after.specificity()).isBetween(0.90, 0.97);
        assertThat(after.range(true)[1] / after.range(true)[0])
                .isLessThan(before.range(true)[1] / before.range(true)[0]);
        assertThat(after.between()).as("how clinics differ stays what it was").isDeepEqualTo(before.between());
    }

    @Test
    void own_results_move_other_tests_of_the_condition_less_than_their_own() {
        Evidence after = SHIPPED.by(own(MOST_STUDIED, MANY));
        double own = Math.abs(
                of(after, MOST_STUDIED).mean()[1] - of(SHIPPED, MOST_STUDIED).mean()[1]);

        assertThat(after.expected(ConditionId.of(MOST_STUDIED.condition())).each().stream()
                        .filter(one -> !one.criterion().equals(MOST_STUDIED))
                        .mapToDouble(one -> Math.abs(
                                one.mean()[1] - of(SHIPPED, one.criterion()).mean()[1])))
                .isNotEmpty()
                .allMatch(moved -> moved > 0)
                .allMatch(moved -> moved < own);
    }

    @Test
    void where_clinics_differ_more_own_results_weigh_more() {
        Counts few = new Counts(3, 7, 10, 0);
        PredictedAccuracy expected =
                SHIPPED.by(own(MOST_STUDIED, few)).expected(ConditionId.of(MOST_STUDIED.condition()));
        int row = 2 * expected.criteria().indexOf(MOST_STUDIED);
        double others =
                SHIPPED.expected(ConditionId.of(MOST_STUDIED.condition())).mean()[row];

        double alike = Math.abs(expected.in(0.25).mean()[row] - others);
        double usual = Math.abs(expected.mean()[row] - others);
        double unlike = Math.abs(expected.in(4).mean()[row] - others);

        assertThat(alike).isLessThan(usual);
        assertThat(usual).isLessThan(unlike);
        assertThat(expected.in(1)).isSameAs(expected);
    }

    @Test
    void a_policy_has_a_revision_of_its_own_which_the_usual_one_has_not() {
        Evidence best = SHIPPED.by(by(EvidencePolicy.Method.BEST_STUDY));

        assertThat(SHIPPED.by(EvidencePolicy.USUAL)).isSameAs(SHIPPED);
        assertThat(best.revision()).isNotEqualTo(SHIPPED.revision());
        assertThat(best.by(by(EvidencePolicy.Method.BEST_STUDY)).revision()).isEqualTo(best.revision());
        assertThat(SHIPPED.by(own(MOST_STUDIED, MANY)).revision())
                .isNotEqualTo(SHIPPED.by(own(MOST_STUDIED, new Counts(241, 160, 380, 20)))
                        .revision());
        assertThat(best.asPublished()).isSameAs(SHIPPED);
        assertThat(best.weighsAs(SHIPPED)).isFalse();
    }

    @Test
    void a_clinics_policy_stays_when_its_ledger_changes() {
        LedgerChange.Policy pooled = new LedgerChange.Policy(by(EvidencePolicy.Method.POOLED));
        LedgerChange study = new LedgerChange.Entered(ClinicLedgerTest.own(0.9, 0.9, 50, 50), "");
        ClinicLedger ledger =
                ClinicLedger.of(SHIPPED, CATALOGUE, List.of(pooled)).and(List.of(study));

        assertThat(ledger.policy().method()).isEqualTo(EvidencePolicy.Method.POOLED);
        assertThat(ledger.evidence().policy()).isEqualTo(pooled.policy());
        assertThat(ledger.evidence().revision())
                .isEqualTo(ClinicLedger.of(SHIPPED, CATALOGUE, List.of(study, pooled))
                        .evidence()
                        .revision());
        assertThat(ledger.and(List.of(new LedgerChange.Policy(EvidencePolicy.USUAL)))
                        .evidence()
                        .revision())
                .isEqualTo(ClinicLedger.of(SHIPPED, CATALOGUE, List.of(study))
                        .evidence()
                        .revision());
    }
}
