package lexicor.core.weighing;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
import static lexicor.core.Responses.history;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import lexicor.core.Responses;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.draws.Draws;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.evidence.TwoByTwo;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.History;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Assumptions;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighedGroup;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.posttest.LinkedGroups;
import lexicor.core.posttest.LogOdds;
import lexicor.core.posttest.Range;
import lexicor.core.posttest.SingleTest;
import lexicor.core.posttest.TestGroup;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/** Expected figures were computed apart, from the counts behind each record: (tp + 1/2) / (n + 1) and so on. */
class WeighingTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final Weighing WEIGHING = new Weighing(CATALOGUE, EVIDENCE, WeighingSettings.USUAL);
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final ConditionId FULL_TEAR = ConditionId.of("cuff-tear-full");
    private static final ConditionId ACJ = ConditionId.of("acj");

    private static final Visit USUAL = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
    /** Findings that nobody has measured noted only. */
    private static final Visit NOTED = USUAL.with(USUAL.assumptions().borrowing(false));

    private static final Attempt ARC = attempt(
            "sh-arc", Side.RIGHT, chosen("pain", "familiar"), degrees("angle-worst", 90), degrees("angle-end", 110));
    private static final Attempt ROTATION =
            attempt("sh-er-resist", Side.RIGHT, chosen("pain", "familiar"), chosen("strength", "weak"));
    private static final Attempt CAN =
            attempt("sh-empty-can", Side.RIGHT, chosen("pain", "familiar"), chosen("strength", "weak"));
    private static final Attempt NEER = attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar"));
    private static final Attempt HAWKINS = attempt("sh-hawkins", Side.RIGHT, chosen("pain", "familiar"));

    @Test
    void before_any_finding_everything_stands_where_it_began() {
        Ranking ranking = weigh();
        assertThat(ranking.standings())
                .hasSize(22)
                .noneMatch(Standing::informed)
                .allMatch(standing -> standing.now() == standing.before());
        assertThat(ranking.of(FULL_TEAR).before()).isEqualTo(0.12);
    }

    @Test
    void one_finding_moves_the_conditions_it_informs_and_what_lies_within_them() {
        Ranking ranking = weigh(NOTED, ARC);
        assertThat(ranking.of(SUBACROMIAL).now())
                .isGreaterThan(ranking.of(SUBACROMIAL).before());
        assertThat(ranking.of(FULL_TEAR).loads()).hasSize(1);
        assertThat(ranking.standings())
                .filteredOn(standing -> !standing.loads().isEmpty())
                .extracting(standing -> standing.condition().id())
                .containsExactlyInAnyOrder(SUBACROMIAL, FULL_TEAR);
        assertThat(ranking.standings())
                .filteredOn(standing -> standing.now() != standing.before())
                .as("nothing outside the family")
                .allMatch(standing -> standing.condition().id().equals(SUBACROMIAL)
                        || CATALOGUE.widerThan(standing.condition().id()).contains(SUBACROMIAL));
        assertThat(ranking.of(ConditionId.of("cuff-tear-any")).sum().byWay())
                .as("raised by way of what lies within it")
                .singleElement()
                .satisfies(part -> assertThat(part.decibans()).isPositive());
        assertThat(ranking.of(ACJ).unweighed())
                .singleElement()
                .satisfies(finding -> assertThat(finding.because()).isEqualTo("no accuracy study in the ledger"));
        assertThat(weigh(ARC).of(ACJ).loads())
                .as("or weighed like an average test")
                .singleElement()
                .satisfies(load -> assertThat(load.borrowed()).isTrue());
    }

    /**
     * A condition with tests of its own stands where its groups alone would put it: the nested double sum of
     * {@link LinkedGroups}.
     */
    @Test
    void tests_of_one_group_count_what_they_share_once() {
        Visit half = NOTED.with(NOTED.assumptions().with(Map.of("ac-loading", 0.5)));
        List<TestReading> both =
                List.of(Responses.answered("sh-ac-resisted-extension", true), Responses.answered("sh-paxinos", true));
        Standing standing = WEIGHING.weigh(half, both, 1).of(ACJ);
        TestGroup group = TestGroup.of(
                0.5, List.of(single("sh-ac-resisted-extension", ACJ, true), single("sh-paxinos", ACJ, true)));
        assertThat(standing.lens()).isEqualTo(Lens.CHAIN);
        assertThat(standing.likelihoodRatio())
                .isCloseTo(group.answer().likelihoodRatio(), within(1e-6))
                .isLessThan(single("sh-ac-resisted-extension", ACJ, true).likelihoodRatio()
                        * single("sh-paxinos", ACJ, true).likelihoodRatio());
        assertThat(standing.held()).isEmpty();
    }

    @Test
    void groups_are_weakly_linked() {
        Visit half = NOTED.with(NOTED.assumptions().with(Map.of("ac-loading", 0.5)));
        List<TestReading> tests =
                List.of(Responses.answered("sh-ac-resisted-extension", true), Responses.answered("sh-paxinos", true));
        double linked = WEIGHING.weigh(half, tests, 1).of(ACJ).likelihoodRatio();
        Assumptions apart = new Assumptions(
                0,
                half.assumptions().betweenStudies(),
                Map.of("ac-loading", 0.0),
                half.assumptions().thresholds(),
                List.of(),
                false);
        assertThat(WEIGHING.weigh(half.with(apart), tests, 1).of(ACJ).likelihoodRatio())
                .as("each as news")
                .isGreaterThan(linked);
    }

    @Test
    void the_parts_of_a_sum_make_up_the_whole() {
        Standing standing = weigh(ARC, HAWKINS, NEER, CAN, ROTATION).of(FULL_TEAR);
        assertThat(standing.sum().decibans()).isCloseTo(10 * Math.log10(standing.likelihoodRatio()), within(1e-9));
        LogOdds before = LogOdds.ofChance(standing.before());
        assertThat(before.times(standing.likelihoodRatio()).chance()).isCloseTo(standing.now(), within(1e-12));
        assertThat(standing.sum().groups())
                .allSatisfy(group -> assertThat(group.members().stream()
                                .mapToDouble(WeighedGroup.Member::decibans)
                                .sum())
                        .isCloseTo(group.decibans(), within(1e-9)));
    }

    @Test
    void three_positives_put_the_set_in_place_of_its_components_where_that_is_the_school() {
        Visit visit = USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, "set"));
        Standing standing = weigh(visit, ARC, HAWKINS, NEER).of(SUBACROMIAL);
        assertThat(standing.sum().groups().get(0).members().get(0).load().likelihoodRatio())
                .as("what is assumed of a set that its derivers alone have published")
                .isCloseTo(Math.pow(2.8, 0.4), within(0.2));
        assertThat(standing.loads())
                .singleElement()
                .satisfies(load -> assertThat(load.phrase()).isEqualTo("3 of 3 positive, so 3 or more of 5"));
        assertThat(standing.held()).hasSize(3);
        assertThat(weigh(visit, ARC, HAWKINS).of(SUBACROMIAL).loads())
                .as("the strongest stands while no set is decided")
                .hasSize(1);
    }

    @Test
    void a_decided_set_of_the_larger_study_goes_before_one_of_the_smaller() {
        Visit visit = USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, "set"));
        Standing standing = weigh(visit, ARC, HAWKINS, NEER, CAN, ROTATION).of(SUBACROMIAL);
        assertThat(standing.loads())
                .singleElement()
                .satisfies(load ->
                        assertThat(load.record().orElseThrow().id().value()).isEqualTo("E029"));
        assertThat(standing.loads().get(0).likelihoodRatio())
                .as("3 of 3 as published, as far as its derivers are believed")
                .isCloseTo(Math.pow(10.56, 0.4), within(1e-9));
    }

    /** Groups that a tap leaves as they were are not worked out anew, and nothing shows of it. */
    @Test
    void a_tap_gives_the_ranges_that_weighing_everything_anew_gives() {
        WeighingSettings drawn = new WeighingSettings(300, 0.8, 0.5, 0.1);
        Weighing kept = new Weighing(CATALOGUE, EVIDENCE, drawn);
        Visit visit = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        List<String> tests =
                List.of("sh-arc", "sh-hawkins", "sh-neer", "sh-speed", "sh-empty-can", "sh-cross-body", "sh-drop-arm");
        for (int turned = 0; turned < 2; turned++) {
            List<TestReading> done = new ArrayList<>();
            for (int t = 0; t < tests.size(); t++) {
                done.add(Responses.answered(tests.get(t), t % 3 != turned));
                Ranking tap = kept.weigh(visit, done, 7);
                Ranking anew = new Weighing(CATALOGUE, EVIDENCE, drawn).weigh(visit, done, 7);
                anew.plausible()
                        .forEach((condition, odds) -> assertThat(tap.plausible().get(condition))
                                .as("%s", condition)
                                .containsExactly(odds));
            }
        }
    }

    @Test
    void the_ways_of_adding_up_stand_side_by_side() {
        List<LensResult> lenses = weigh(ARC, HAWKINS, NEER).byLens().apply(SUBACROMIAL);
        assertThat(lenses)
                .extracting(LensResult::lens)
                .containsExactly(Lens.CHAIN, Lens.CLUSTER, Lens.STRONGEST_SINGLE);
        assertThat(lenses.get(2).likelihoodRatio())
                .as("as if nothing else had been found")
                .isCloseTo(weigh(ARC).of(SUBACROMIAL).likelihoodRatio(), within(1e-9));
    }

    @Test
    void a_count_gives_a_verdict_and_no_chance() {
        Visit visit = USUAL.with(CATALOGUE.usualSchools().with(Lens.QUESTION, "tally"));
        Standing standing = weigh(visit, ARC, HAWKINS, NEER).of(SUBACROMIAL);
        assertThat(standing.lens()).isEqualTo(Lens.TALLY);
        assertThat(standing.now())
                .as("the chance is the chain's")
                .isEqualTo(weigh(ARC, HAWKINS, NEER).of(SUBACROMIAL).now());
        assertThat(standing.tally()).isEqualTo(new Tally(3, 3, 10));
        assertThat(standing.tally().verdict()).isEqualTo(Tally.Verdict.OPEN);
        assertThat(new Tally(3, 3, 5).verdict()).isEqualTo(Tally.Verdict.MET);
        assertThat(new Tally(0, 3, 5).verdict()).isEqualTo(Tally.Verdict.NOT_MET);
        assertThat(new Tally(1, 2, 5).verdict()).isEqualTo(Tally.Verdict.OPEN);
        assertThat(new Tally(0, 0, 0).verdict()).isEqualTo(Tally.Verdict.NO_BATTERY);
    }

    @Test
    void what_cannot_be_read_changes_no_chance_and_lies_on_the_table() {
        Attempt guarded = attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar"), chosen("quality", "guarded"));
        assertThat(weigh(ARC, guarded).of(SUBACROMIAL).now())
                .isEqualTo(weigh(ARC).of(SUBACROMIAL).now());
        assertThat(weigh(ARC, guarded).of(SUBACROMIAL).unweighed())
                .singleElement()
                .satisfies(
                        finding -> assertThat(finding.because()).isEqualTo("not interpretable: the patient guarded"));
    }

    /** A sentence never says the opposite of what the chance does when its test is done last. */
    @Property(tries = 40)
    void every_sentence_agrees_with_what_the_chance_does(
            @ForAll @Size(5) List<Integer> shuffle, @ForAll boolean quiet) {
        List<Attempt> attempts = new ArrayList<>(List.of(
                ARC, ROTATION, CAN, NEER, quiet ? attempt("sh-hawkins", Side.RIGHT, chosen("pain", "none")) : HAWKINS));
        Collections.shuffle(attempts, new Random(shuffle.hashCode()));
        Attempt last = attempts.get(4);
        Ranking before = weigh(attempts.subList(0, 4).toArray(Attempt[]::new));
        Ranking after = weigh(attempts.toArray(Attempt[]::new));
        TestReading reading = readings(history(attempts.toArray(Attempt[]::new))).stream()
                .filter(each -> each.test().equals(last.test()))
                .findFirst()
                .orElseThrow();
        for (Statement statement :
                new Interpreter(CATALOGUE, EVIDENCE).say("shoulder", CATALOGUE.usualSchools(), reading, after)) {
            for (var condition : statement.conditions()) {
                double moved = LogOdds.ofChance(after.of(condition.id()).now()).value()
                        - LogOdds.ofChance(before.of(condition.id()).now()).value();
                assertThat(
                                statement.kind() == Statement.Kind.FOR
                                                || statement.kind() == Statement.Kind.BORROWED_FOR
                                        ? moved
                                        : statement.kind() == Statement.Kind.AGAINST
                                                        || statement.kind() == Statement.Kind.BORROWED_AGAINST
                                                ? -moved
                                                : 1)
                        .as(statement.text() + " " + condition.name())
                        .isPositive();
            }
        }
    }

    @Property(tries = 20)
    void the_order_of_testing_does_not_matter(@ForAll @Size(5) List<Integer> shuffle) {
        List<Attempt> attempts = new ArrayList<>(List.of(ARC, ROTATION, CAN, NEER, HAWKINS));
        double[] expected = chances(weigh(attempts.toArray(Attempt[]::new)));
        Collections.shuffle(attempts, new Random(shuffle.hashCode()));
        assertThat(chances(weigh(attempts.toArray(Attempt[]::new)))).containsExactly(expected, within(1e-12));
    }

    @Test
    void ranges_hold_their_point_and_are_the_same_every_time() {
        Ranking ranking = weigh(ARC, HAWKINS, NEER, CAN, ROTATION);
        assertThat(ranking.standings())
                .allMatch(standing -> standing.range().lower() < standing.now()
                        && standing.now() < standing.range().upper());
        assertThat(weigh(ARC, HAWKINS, NEER, CAN, ROTATION).standings()).isEqualTo(ranking.standings());
        assertThat(new Weighing(CATALOGUE, EVIDENCE, WeighingSettings.USUAL)
                        .weigh(USUAL, readings(history(ARC, HAWKINS, NEER, CAN, ROTATION)), 1)
                        .standings())
                .as("and by a server that has drawn nothing yet")
                .isEqualTo(ranking.standings());
    }

    @Test
    void a_finding_does_not_stir_the_ranges_of_conditions_it_does_not_inform() {
        assertThat(weigh(NOTED, CAN, NEER).of(ACJ).range())
                .isEqualTo(weigh(NOTED, CAN).of(ACJ).range());
    }

    /**
     * A positive painful arc at a start of 0.3 fixed: 0.56-0.70 by sampling alone, 0.32-0.88 with the spread between
     * studies.
     */
    @Test
    void the_spread_between_studies_is_what_makes_a_range_honest() {
        Belief arc = Belief.of(TwoByTwo.of(0.735, 0.811, 359, 193));
        Range narrow = range(arc, new WeighingSettings(40_000, 0, 0, 0.1));
        Range wide = range(arc, new WeighingSettings(40_000, 0.8, 0, 0.1));
        assertThat(narrow.lower()).isCloseTo(0.56, within(0.01));
        assertThat(narrow.upper()).isCloseTo(0.70, within(0.01));
        assertThat(wide.lower()).isCloseTo(0.32, within(0.02));
        assertThat(wide.upper()).isCloseTo(0.88, within(0.02));
    }

    @Test
    void the_same_conditions_start_higher_in_a_specialist_clinic_and_need_no_caution_there() {
        assertThat(weigh(ARC).of(SUBACROMIAL).loads().get(0).caution()).isEqualTo("measured in surgical patients");
        Ranking specialist = WEIGHING.weigh("shoulder", CareSetting.SPECIALIST, readings(history(ARC)), 1);
        assertThat(specialist.of(FULL_TEAR).before()).isEqualTo(0.30);
        assertThat(specialist.of(SUBACROMIAL).loads().get(0).caution()).isEmpty();
    }

    @Test
    void a_narrower_condition_never_stands_above_its_wider_one() {
        Attempt strong = attempt("sh-er-resist", Side.RIGHT, chosen("pain", "none"), chosen("strength", "full"));
        Attempt calm = attempt("sh-arc", Side.RIGHT, chosen("pain", "none"));
        Ranking ranking = weigh(CAN, strong, calm);
        for (Standing standing : ranking.standings()) {
            CATALOGUE.widerThan(standing.condition().id()).stream()
                    .filter(wider -> ranking.standings().stream()
                            .anyMatch(each -> each.condition().id().equals(wider)))
                    .forEach(wider -> {
                        assertThat(standing.now())
                                .isLessThanOrEqualTo(ranking.of(wider).now());
                        assertThat(standing.range().lower())
                                .isLessThanOrEqualTo(ranking.of(wider).range().lower() + 1e-9);
                        assertThat(standing.range().upper())
                                .isLessThanOrEqualTo(ranking.of(wider).range().upper() + 1e-9);
                    });
        }
    }

    @Test
    void the_interpreter_says_in_a_sentence_what_a_positive_is_for() {
        TestReading can = readings(history(CAN)).stream()
                .filter(reading -> reading.test().value().equals("sh-empty-can"))
                .findFirst()
                .orElseThrow();
        assertThat(new Interpreter(CATALOGUE, EVIDENCE).say("shoulder", CATALOGUE.usualSchools(), can))
                .extracting(Statement::text)
                .containsExactly(
                        "Counts for subacromial pain and full-thickness cuff tear: weak.",
                        "Counts for supraspinatus tendinopathy and supraspinatus tear: familiar pain, strength weak.",
                        "Speaks for any cuff tear, not weighed: weak.");
        TestReading arc = readings(history(ARC)).stream()
                .filter(reading -> reading.test().value().equals("sh-arc"))
                .findFirst()
                .orElseThrow();
        assertThat(new Interpreter(CATALOGUE, EVIDENCE).say("shoulder", CATALOGUE.usualSchools(), arc))
                .last()
                .extracting(Statement::text)
                .isEqualTo("Speaks against AC joint pain, not weighed: no pain near the top.");
    }

    private static Range range(Belief belief, WeighingSettings settings) {
        double start = LogOdds.ofChance(0.3).value();
        return Range.ofLogOdds(Arrays.stream(Draws.logLikelihoodRatios(belief, true, settings, 7))
                .map(draw -> start + draw)
                .toArray());
    }

    private static double[] chances(Ranking ranking) {
        return CATALOGUE.conditionsOf("shoulder").stream()
                .filter(condition -> condition.onlyIf().isEmpty())
                .mapToDouble(condition -> ranking.of(condition.id()).now())
                .toArray();
    }

    private static Ranking weigh(Attempt... attempts) {
        return weigh(USUAL, attempts);
    }

    private static Ranking weigh(Visit visit, Attempt... attempts) {
        return WEIGHING.weigh(visit, readings(history(attempts)), 1);
    }

    private static SingleTest single(String test, ConditionId condition, boolean positive) {
        Belief.Expected belief = (Belief.Expected)
                EVIDENCE.inUse(TestId.of(test), condition).orElseThrow().belief();
        double[] logits = belief.all().at(belief.place()).mean();
        return new SingleTest(LogOdds.chance(logits[0]), LogOdds.chance(logits[1]), positive);
    }

    private static List<TestReading> readings(History history) {
        return CATALOGUE.routine("shoulder").order().stream()
                .map(test ->
                        new ResponseReader(CATALOGUE.test(test), CATALOGUE.usualSchools()).read(history, Side.RIGHT))
                .toList();
    }
}
