package lexicor.core.nexttest;

import static lexicor.core.Responses.answered;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.weighing.Lens;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;

class ExpectedInformationTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final Weighing WEIGHING = new Weighing(CATALOGUE, EVIDENCE, new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final Visit VISIT = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final List<TestId> ALL = new ArrayList<>(CATALOGUE.beyondRoutine("shoulder"));

    static {
        ALL.addAll(CATALOGUE.routine("shoulder").order());
    }

    @Test
    void a_test_whose_group_has_spoken_promises_less() {
        double fresh = bits(List.of(), "sh-neer");
        double after = bits(List.of(answered("sh-hawkins", true), answered("sh-arc", true)), "sh-neer");
        assertThat(after).isLessThan(fresh / 2).isGreaterThan(0);
    }

    /** By the definition, from the chances before and after alone. */
    @Test
    void information_is_the_expected_fall_of_entropy() {
        TestValue value =
                ExpectedInformation.of(WEIGHING, VISIT, List.of()).value(TestId.of("sh-arc"), Optional.empty());
        TestValue.Change change = value.changes().stream()
                .filter(each -> each.condition().id().equals(SUBACROMIAL))
                .findFirst()
                .orElseThrow();
        double after =
                WEIGHING.chances(VISIT, List.of(answered("sh-arc", true))).get(SUBACROMIAL);
        double otherwise =
                WEIGHING.chances(VISIT, List.of(answered("sh-arc", false))).get(SUBACROMIAL);
        double positive = (0.65 - otherwise) / (after - otherwise);
        assertThat(change.bits())
                .isCloseTo(
                        entropy(0.65) - positive * entropy(after) - (1 - positive) * entropy(otherwise), within(1e-9));
    }

    @Test
    void the_best_of_a_family_counts_and_serious_conditions_count_double() {
        TestValue value =
                ExpectedInformation.of(WEIGHING, VISIT, List.of()).value(TestId.of("sh-drop-arm"), Optional.empty());
        double best = value.changes().stream()
                .filter(TestValue.Change::live)
                .filter(change -> CATALOGUE.widerThan(change.condition().id()).contains(SUBACROMIAL)
                        || change.condition().id().equals(SUBACROMIAL))
                .mapToDouble(
                        change -> change.bits() * (change.condition().serious().isPresent() ? 2 : 1))
                .max()
                .orElseThrow();
        double others = value.changes().stream()
                .filter(TestValue.Change::live)
                .filter(change -> !CATALOGUE.widerThan(change.condition().id()).contains(SUBACROMIAL)
                        && !change.condition().id().equals(SUBACROMIAL))
                .mapToDouble(
                        change -> change.bits() * (change.condition().serious().isPresent() ? 2 : 1))
                .sum();
        assertThat(value.bits()).isCloseTo(best + others, within(1e-12));
    }

    @Test
    void a_change_of_position_costs_time() {
        TestId lying = ALL.stream()
                .filter(test -> !CATALOGUE.test(test).positions().contains("Standing"))
                .findFirst()
                .orElseThrow();
        TestValue here = ExpectedInformation.of(WEIGHING, VISIT, List.of())
                .value(lying, Optional.of(CATALOGUE.test(lying).position()));
        TestValue there = ExpectedInformation.of(WEIGHING, VISIT, List.of()).value(lying, Optional.of("Standing"));
        assertThat(there.moves()).isTrue();
        assertThat(there.seconds())
                .isEqualTo(here.seconds() + CATALOGUE.effort().changePosition());
        assertThat(there.bits()).isEqualTo(here.bits());
    }

    @Test
    void what_has_no_figures_promises_no_information() {
        TestValue value = ExpectedInformation.of(WEIGHING, VISIT, List.of())
                .value(TestId.of("sh-palp-scapula"), Optional.empty());
        assertThat(value.bits()).isZero();
        assertThat(value.worthDoing()).isFalse();
    }

    @Test
    void tests_separate_rivals_the_better_the_further_their_answers_lie_apart() {
        List<Separation> separations =
                ExpectedInformation.of(WEIGHING, VISIT, List.of()).separating(SUBACROMIAL, ConditionId.of("slap"), ALL);
        assertThat(separations)
                .isNotEmpty()
                .allMatch(each -> each.decibans() > 0)
                .isSortedAccordingTo((a, b) -> Double.compare(b.decibans(), a.decibans()));
    }

    @Test
    void a_test_whose_like_has_answered_separates_less() {
        TestId hawkins = TestId.of("sh-hawkins");
        ConditionId slap = ConditionId.of("slap");
        double before = ExpectedInformation.of(WEIGHING, VISIT, List.of())
                .separating(SUBACROMIAL, slap, List.of(hawkins))
                .get(0)
                .decibans();
        double after = ExpectedInformation.of(WEIGHING, VISIT, List.of(answered("sh-neer", true)))
                .separating(SUBACROMIAL, slap, List.of(hawkins))
                .get(0)
                .decibans();
        assertThat(after).isLessThan(before);
    }

    @Test
    void nothing_separates_a_condition_from_one_that_it_is_within() {
        assertThat(ExpectedInformation.of(WEIGHING, VISIT, List.of())
                        .separating(SUBACROMIAL, ConditionId.of("cuff-tear-full"), ALL))
                .isEmpty();
    }

    @Test
    void the_answer_on_which_the_conclusion_hangs_is_named() {
        List<TestReading> tests = List.of(answered("sh-arc", true));
        List<DecisiveFinding> reversals = DecisiveFinding.of(WEIGHING, VISIT, tests, WEIGHING.weigh(VISIT, tests, 1));
        assertThat(reversals).singleElement().satisfies(reversal -> {
            assertThat(reversal.test().value()).isEqualTo("sh-arc");
            assertThat(reversal.crossings())
                    .extracting(crossing -> crossing.condition().id())
                    .contains(SUBACROMIAL);
        });
    }

    @Test
    void the_leader_is_the_head_of_the_ranking() {
        for (List<TestReading> tests : List.of(
                List.of(answered("sh-arc", true), answered("sh-er-resist", false)),
                List.of(answered("sh-arc", false)))) {
            Standing head = WEIGHING.weigh(VISIT, tests, 1).standings().get(0);
            assertThat(WEIGHING.leader(VISIT, tests)).contains(new Weighing.Leader(head.condition(), head.now()));
        }
        assertThat(WEIGHING.leader(VISIT, List.of())).isEmpty();
    }

    @Test
    void the_quick_chances_are_those_of_the_ranking_by_every_school() {
        List<TestReading> tests = List.of(
                answered("sh-arc", true),
                answered("sh-hawkins", false),
                answered("sh-neer", true),
                answered("sh-cross-body", true));
        for (String school : List.of("chained", "set", "strongest", "tally")) {
            Visit visit = VISIT.with(VISIT.schools().with(Lens.QUESTION, school));
            Map<ConditionId, Double> quick = WEIGHING.chances(visit, tests);
            WEIGHING.weigh(visit, tests, 1)
                    .standings()
                    .forEach(standing -> assertThat(
                                    quick.get(standing.condition().id()))
                            .as(school)
                            .isCloseTo(standing.now(), within(1e-15)));
        }
    }

    @Test
    void a_correlation_set_by_hand_changes_only_conditions_of_that_group() {
        List<TestReading> tests = List.of(
                answered("sh-arc", true),
                answered("sh-hawkins", true),
                answered("sh-neer", true),
                answered("sh-paxinos", true));
        Ranking usual = WEIGHING.weigh(VISIT, tests, 1);
        Ranking dialled =
                WEIGHING.weigh(VISIT.with(VISIT.assumptions().with(Map.of("subacromial-provocation", 0.9))), tests, 1);
        assertThat(dialled.of(SUBACROMIAL).now())
                .isLessThan(usual.of(SUBACROMIAL).now());
        for (Standing standing : usual.standings()) {
            if (!standing.condition().id().equals(SUBACROMIAL)
                    && !CATALOGUE.widerThan(standing.condition().id()).contains(SUBACROMIAL)) {
                assertThat(dialled.of(standing.condition().id()).now()).isEqualTo(standing.now());
            }
        }
    }

    private static double bits(List<TestReading> done, String test) {
        return ExpectedInformation.of(WEIGHING, VISIT, done).value(TestId.of(test), Optional.empty()).changes().stream()
                .filter(change -> change.condition().id().equals(SUBACROMIAL))
                .mapToDouble(TestValue.Change::bits)
                .sum();
    }

    private static double entropy(double chance) {
        return -(chance * Math.log(chance) + (1 - chance) * Math.log(1 - chance)) / Math.log(2);
    }

    @Test
    void a_bit_about_what_nobody_expects_is_worth_less_and_one_about_what_is_serious_double() {
        Thresholds thresholds = CATALOGUE.thresholds();
        Condition acj = CATALOGUE.condition(ConditionId.of("acj"));
        Condition neck = CATALOGUE.condition(ConditionId.of("cervical-radiculopathy"));
        assertThat(ExpectedInformation.counts(acj, thresholds.test(), thresholds))
                .isEqualTo(1);
        assertThat(ExpectedInformation.counts(acj, 0.9, thresholds)).isEqualTo(1);
        assertThat(ExpectedInformation.counts(acj, thresholds.test() / 5, thresholds))
                .isCloseTo(0.2, within(1e-12));
        assertThat(ExpectedInformation.counts(neck, thresholds.serious(), thresholds))
                .isEqualTo(2);
        assertThat(ExpectedInformation.counts(neck, thresholds.serious() / 4, thresholds))
                .isEqualTo(1);
    }
}
