package lexicor.core.weighing;

import static lexicor.core.Responses.answered;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Assumptions;
import lexicor.core.findings.ClusterCount;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.findings.Weight;
import lexicor.core.findings.WeightedFinding;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LensesTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final Visit USUAL = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
    private static final ConditionId AC = ConditionId.of("acj");
    private static final ConditionId TEAR = ConditionId.of("cuff-tear-any");
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final List<String> CUFF_TESTS = List.of(
            "sh-arc", "sh-drop-arm", "sh-er-resist", "sh-empty-can", "sh-neer", "sh-er-lag-90", "sh-belly-press");
    private static final List<TestReading> CUFF = CUFF_TESTS.stream()
            .map(test -> answered(test, test.compareTo("sh-e") > 0))
            .toList();

    @ParameterizedTest
    @CsvSource({"chained, CHAIN", "set, CLUSTER", "strongest, STRONGEST_SINGLE", "tally, TALLY"})
    void a_school_looks_through_its_lens(String school, Lens lens) {
        assertThat(Lens.of(CATALOGUE.usualSchools().with(Lens.QUESTION, school)))
                .isEqualTo(lens);
    }

    /** The set of three for the AC joint, taken apart by counts: 2 of 3 exactly. */
    @Test
    void a_set_published_as_at_least_weighs_for_exactly_the_count_that_was_found() {
        Visit visit = USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, "set"));
        Standing standing = WEIGHING.weigh(
                        visit,
                        List.of(
                                answered("sh-cross-body", true),
                                answered("sh-ac-resisted-extension", true),
                                answered("sh-active-compression", false)),
                        1)
                .of(AC);
        double exactlyTwo = (35 * (0.81 - 0.25) + 0.5) / (35 + 1.5) / ((580 * (0.11 - 0.03) + 0.5) / (580 + 1.5));
        assertThat(standing.loads()).hasSize(1);
        assertThat(standing.likelihoodRatio())
                .as("what its derivers are believed of it")
                .isCloseTo(Math.pow(exactlyTwo, 0.4), within(1e-6));
    }

    @Test
    void what_shares_a_group_with_a_decided_set_is_held_and_what_does_not_is_added() {
        Visit visit = USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, "set"));
        List<TestReading> tests = new ArrayList<>(List.of(
                answered("sh-arc", true),
                answered("sh-hawkins", true),
                answered("sh-er-resist", true),
                answered("sh-full-can", true)));
        Standing standing = WEIGHING.weigh(visit, tests, 1).of(ConditionId.of("subacromial-pain"));
        assertThat(standing.held())
                .allMatch(load ->
                        CATALOGUE.groups().get(0).tests().contains(load.tests().get(0)));
        assertThat(standing.loads())
                .noneMatch(load -> load.tests().size() == 1
                        && CATALOGUE
                                .groups()
                                .get(0)
                                .tests()
                                .contains(load.tests().get(0)));
    }

    @Test
    void every_lens_agrees_where_there_is_but_one_finding() {
        Ranking ranking = WEIGHING.weigh(USUAL, List.of(answered("sh-paxinos", true)), 1);
        assertThat(ranking.byLens().apply(AC))
                .hasSize(3)
                .extracting(LensResult::chance)
                .allSatisfy(
                        chance -> assertThat(chance).isCloseTo(ranking.of(AC).now(), within(1e-12)));
        assertThat(ranking.byLens().apply(ConditionId.of("frozen-shoulder")))
                .as("of a family of which nothing is weighed")
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"chained", "set", "strongest", "tally"})
    void the_lens_in_force_stands_among_the_lenses_as_the_ranking_says(String school) {
        Visit visit = USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, school));
        Ranking ranking = WEIGHING.weigh(visit, CUFF, 1);
        Lens inForce = Lens.of(visit.schools()).forChance();
        for (Standing standing : ranking.standings()) {
            assertThat(ranking.byLens().apply(standing.condition().id()).stream()
                            .filter(each -> each.lens() == inForce))
                    .allSatisfy(each -> assertThat(each.chance()).isCloseTo(standing.now(), within(1e-12)));
        }
    }

    /** By every lens a wider condition stands at or above what lies within it, whatever was found. */
    @ParameterizedTest
    @ValueSource(ints = {0, 7, 21, 42, 63, 85, 127})
    void every_lens_fits_together(int answers) {
        List<TestReading> tests = new ArrayList<>();
        for (int t = 0; t < CUFF_TESTS.size(); t++) {
            tests.add(answered(CUFF_TESTS.get(t), (answers >> t & 1) == 1));
        }
        Ranking ranking = WEIGHING.weigh(USUAL, tests, 1);
        Map<Lens, Map<ConditionId, Double>> chances = new EnumMap<>(Lens.class);
        ranking.standings()
                .forEach(standing -> ranking.byLens()
                        .apply(standing.condition().id())
                        .forEach(each -> chances.computeIfAbsent(each.lens(), lens -> new HashMap<>())
                                .put(standing.condition().id(), each.chance())));
        assertThat(chances).containsOnlyKeys(Lens.CHAIN, Lens.CLUSTER, Lens.STRONGEST_SINGLE);
        chances.forEach((lens, byCondition) -> byCondition.forEach((condition, chance) -> CATALOGUE
                .widerThan(condition)
                .forEach(wider -> assertThat(byCondition.get(wider))
                        .as("%s by %s", wider, lens)
                        .isGreaterThanOrEqualTo(chance))));
    }

    @Test
    void the_strongest_finding_stands_for_its_whole_family() {
        Visit visit = USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, "strongest"));
        Ranking ranking = WEIGHING.weigh(visit, CUFF, 1);
        assertThat(ranking.standings().stream()
                        .filter(each ->
                                CATALOGUE.widerThan(each.condition().id()).contains(SUBACROMIAL)
                                        || each.condition().id().equals(SUBACROMIAL))
                        .flatMap(each -> each.loads().stream())
                        .map(WeightedFinding::tests)
                        .distinct())
                .as("one test in all")
                .hasSize(1);
    }

    @ParameterizedTest
    @CsvSource({"three, Subacromial set of three", "five, Subacromial set of five"})
    void the_set_that_is_meant_speaks(String choice, String name) {
        Visit visit =
                USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, "set").with("subacromial-set", choice));
        List<TestReading> both = List.of(
                answered("sh-hawkins", true),
                answered("sh-neer", true),
                answered("sh-arc", true),
                answered("sh-empty-can", false),
                answered("sh-er-resist", false));
        Ranking ranking = WEIGHING.weigh(visit, both, 1);
        assertThat(by(ranking, SUBACROMIAL)).startsWith(name + ": ");
        assertThat(by(ranking, ConditionId.of("cuff-tear-full")))
                .as("a condition without a set that speaks says whose set it is")
                .startsWith("by its family, " + name + ": ");
    }

    @Test
    void a_set_that_is_not_meant_does_not_stand_in_for_the_one_that_is() {
        List<TestReading> tests =
                List.of(answered("sh-hawkins", true), answered("sh-neer", true), answered("sh-arc", true));
        Visit any = USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, "set"));
        Visit three = any.with(any.schools().with("subacromial-set", "three"));
        Ranking five = WEIGHING.weigh(any, tests, 1);
        assertThat(by(five, SUBACROMIAL)).startsWith("Subacromial set of five");
        assertThat(five.of(SUBACROMIAL).now())
                .as("the set as its derivers are believed, and nothing else")
                .isCloseTo(0.737118829678, within(1e-9));
        assertThat(by(WEIGHING.weigh(three, tests, 1), SUBACROMIAL)).startsWith("no set is decided");
    }

    /** Three of three for a full tear, while a set for any tear is short of its level by what was told alone. */
    @Test
    void a_set_that_is_less_specific_does_not_lower_what_a_complete_one_speaks_for() {
        Visit visit = new Visit(
                "shoulder",
                CareSetting.FIRST_CONTACT,
                USUAL.starts(),
                Map.of("age-65", false, "night-pain", true),
                CATALOGUE.usualSchools().with(Lens.QUESTION, "set"),
                USUAL.assumptions());
        List<TestReading> full =
                List.of(answered("sh-arc", true), answered("sh-drop-arm", true), answered("sh-er-resist", true));
        Ranking ranking = WEIGHING.weigh(visit, full, 1);
        assertThat(by(ranking, TEAR)).contains("Full-tear set of three").doesNotContain("Age, night pain");
        assertThat(ranking.of(TEAR).now()).isGreaterThan(ranking.of(TEAR).before());
    }

    private static String by(Ranking ranking, ConditionId condition) {
        return ranking.byLens().apply(condition).stream()
                .filter(each -> each.lens() == Lens.CLUSTER)
                .findFirst()
                .orElseThrow()
                .by();
    }

    /** Hurting without weakness: a positive for those who count pain, with no figure that could weigh the set. */
    @Test
    void a_set_in_which_pain_counts_is_counted_so_and_weighs_nothing_as_a_set() {
        Visit pain = USUAL.with(CATALOGUE.usualSchools().with("subacromial-count", "pain-too"));
        lexicor.core.examination.TestReading sore = new lexicor.core.examination.ResponseReader(
                        CATALOGUE.test(TestId.of("sh-er-resist")), CATALOGUE.usualSchools())
                .read(
                        lexicor.core.Responses.history(lexicor.core.Responses.attempt(
                                "sh-er-resist",
                                lexicor.core.examination.Side.RIGHT,
                                lexicor.core.Responses.chosen("pain", "familiar"),
                                lexicor.core.Responses.chosen("strength", "full"))),
                        lexicor.core.examination.Side.RIGHT);
        List<TestReading> tests = List.of(answered("sh-arc", true), answered("sh-hawkins", true), sore);
        ClusterCount usual = set(USUAL, tests);
        ClusterCount counted = set(pain, tests);
        assertThat(usual.positives()).hasSize(2);
        assertThat(usual.barred()).isEmpty();
        assertThat(counted.positives()).hasSize(3);
        assertThat(counted.barred()).contains("nobody has measured");
    }

    private static ClusterCount set(Visit visit, List<TestReading> tests) {
        return WEIGHING.weigh(visit, tests, 1).clusters().stream()
                .filter(count -> count.cluster().id().value().equals("cl-subacromial-3"))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(doubles = {-0.01, 0.96, Double.NaN})
    void an_assumption_out_of_range_is_named(double rho) {
        assertThatThrownBy(() -> USUAL.assumptions().with(Map.of("ac-loading", rho)))
                .hasMessageContaining("rho of ac-loading")
                .hasMessageContaining("allowed: 0 to 0.95");
        assertThatThrownBy(() -> new Assumptions(
                        rho == 0.96 ? 0.6 : rho, 0.8, Map.of(), CATALOGUE.thresholds(), List.of(), true))
                .hasMessageContaining("link is")
                .hasMessageContaining("allowed: 0 to 0.5");
        assertThatThrownBy(() -> new Assumptions(
                        0.1, rho == 0.96 ? 2.1 : rho, Map.of(), CATALOGUE.thresholds(), List.of(), true))
                .hasMessageContaining("betweenStudies is");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -1, Double.POSITIVE_INFINITY})
    void a_ratio_that_would_be_proof_is_refused(double ratio) {
        assertThatThrownBy(() -> new Weight.Ratio(ratio, 1))
                .hasMessageContaining("likelihoodRatio is")
                .hasMessageContaining("allowed: above 0 and finite");
    }
}
