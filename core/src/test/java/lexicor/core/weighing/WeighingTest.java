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
import java.util.Random;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Setting;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.evidence.TwoByTwo;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.History;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
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

    private static final Attempt ARC = attempt("sh-arc", Side.RIGHT, chosen("pain", "familiar"), degrees("angle-worst", 90), degrees("angle-end", 110));
    private static final Attempt ROTATION = attempt("sh-er-resist", Side.RIGHT, chosen("pain", "familiar"), chosen("strength", "weak"));
    private static final Attempt CAN = attempt("sh-empty-can", Side.RIGHT, chosen("pain", "familiar"), chosen("strength", "weak"));
    private static final Attempt NEER = attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar"));
    private static final Attempt HAWKINS = attempt("sh-hawkins", Side.RIGHT, chosen("pain", "familiar"));

    @Test
    void before_any_finding_everything_stands_where_it_began() {
        Ranking ranking = weigh();
        assertThat(ranking.standings()).hasSize(10).noneMatch(Standing::informed).allMatch(standing -> standing.now() == standing.before());
        assertThat(ranking.of(FULL_TEAR).before()).isEqualTo(0.12);
    }

    @Test
    void one_finding_moves_the_conditions_it_informs_and_no_other() {
        Ranking ranking = weigh(ARC);
        assertThat(ranking.of(SUBACROMIAL).now()).isCloseTo(0.8788220523312724, within(1e-9));
        assertThat(ranking.of(FULL_TEAR).likelihoodRatio()).isCloseTo(1.9756542256542255, within(1e-9));
        assertThat(ranking.standings()).filteredOn(Standing::informed).extracting(standing -> standing.condition().id()).containsExactly(SUBACROMIAL, FULL_TEAR);
        assertThat(ranking.of(ConditionId.of("acj")).unweighed()).singleElement()
                .satisfies(finding -> assertThat(finding.because()).isEqualTo("no accuracy study in the ledger"));
    }

    @Test
    void until_the_set_is_decided_its_strongest_finding_stands_for_all() {
        Standing standing = weigh(ARC, HAWKINS).of(SUBACROMIAL);
        assertThat(standing.lens()).isEqualTo(Lens.STRONGEST_SINGLE);
        assertThat(standing.likelihoodRatio()).isCloseTo(3.9050989345509897, within(1e-9));
        assertThat(standing.held()).extracting(load -> load.tests().get(0).value()).containsExactly("sh-hawkins");
    }

    @Test
    void three_positives_put_the_set_in_place_of_its_components() {
        Standing standing = weigh(ARC, HAWKINS, NEER).of(SUBACROMIAL);
        assertThat(standing.lens()).isEqualTo(Lens.CLUSTER);
        assertThat(standing.now()).isCloseTo(0.8387637912123364, within(1e-9));
        assertThat(standing.loads()).singleElement().satisfies(load -> assertThat(load.phrase()).isEqualTo("3 of 3 positive, so 3 or more of 5"));
        assertThat(standing.held()).hasSize(3);
        assertThat(weigh(ARC, HAWKINS, NEER, CAN, ROTATION).of(SUBACROMIAL).now()).isEqualTo(standing.now());
    }

    @Test
    void all_negative_lowers_by_the_set_alone() {
        Attempt[] nothing = Arrays.stream(new String[] {"sh-neer", "sh-hawkins", "sh-arc"}).map(test -> attempt(test, Side.RIGHT, chosen("pain", "none"))).toArray(Attempt[]::new);
        assertThat(weigh(nothing).of(SUBACROMIAL).now()).isCloseTo(0.3999658148876164, within(1e-9));
    }

    @Test
    void findings_without_a_set_are_chained() {
        Standing standing = weigh(ARC, HAWKINS, NEER, CAN, ROTATION).of(FULL_TEAR);
        assertThat(standing.lens()).isEqualTo(Lens.CHAIN);
        assertThat(standing.likelihoodRatio()).isCloseTo(27.597022876960583, within(1e-8));
        assertThat(standing.now()).isCloseTo(0.790058444031206, within(1e-9));
        assertThat(standing.loads()).filteredOn(Load::worthless).extracting(load -> load.tests().get(0).value()).containsExactly("sh-neer");
    }

    @Test
    void the_ways_of_adding_up_stand_side_by_side() {
        assertThat(weigh(ARC, HAWKINS, NEER).of(SUBACROMIAL).lenses()).extracting(LensResult::lens).containsExactly(Lens.CLUSTER, Lens.STRONGEST_SINGLE, Lens.CHAIN);
        LensResult chain = weigh(ARC, HAWKINS, NEER).of(SUBACROMIAL).lenses().get(2);
        assertThat(chain.likelihoodRatio()).isCloseTo(3.9050989345509897 * 2.1185326547921965 * 2.177823691460055, within(1e-8));
    }

    @Test
    void what_cannot_be_read_changes_no_chance_and_lies_on_the_table() {
        Attempt guarded = attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar"), chosen("quality", "guarded"));
        assertThat(weigh(ARC, guarded).of(SUBACROMIAL).now()).isEqualTo(weigh(ARC).of(SUBACROMIAL).now());
        assertThat(weigh(ARC, guarded).of(SUBACROMIAL).unweighed()).singleElement()
                .satisfies(finding -> assertThat(finding.because()).isEqualTo("not interpretable: the patient guarded"));
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
        assertThat(ranking.standings()).allMatch(standing -> standing.range().lower() < standing.now() && standing.now() < standing.range().upper());
        assertThat(weigh(ARC, HAWKINS, NEER, CAN, ROTATION)).isEqualTo(ranking);
    }

    @Test
    void a_finding_does_not_stir_the_ranges_of_conditions_it_does_not_inform() {
        ConditionId tendon = ConditionId.of("supraspinatus-tendinopathy");
        assertThat(weigh(CAN, NEER).of(tendon).range()).isEqualTo(weigh(CAN).of(tendon).range());
    }

    /** A positive painful arc at a start of 0.3 fixed: 0.56-0.70 by sampling alone, 0.32-0.88 with the spread between studies. */
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
    void the_outlook_of_a_test_is_what_doing_it_brings() {
        Outlook outlook = WEIGHING.outlook(weigh(ARC, HAWKINS), Visit.usual(CATALOGUE, "shoulder", Setting.FIRST_CONTACT), readings(history(ARC, HAWKINS)), TestId.of("sh-neer"));
        Outlook.Change change = outlook.changes().stream().filter(each -> each.condition().id().equals(SUBACROMIAL)).findFirst().orElseThrow();
        assertThat(change.ifPositive()).isEqualTo(weigh(ARC, HAWKINS, NEER).of(SUBACROMIAL).now());
        assertThat(change.ifNegative()).isEqualTo(weigh(ARC, HAWKINS, attempt("sh-neer", Side.RIGHT, chosen("pain", "none"))).of(SUBACROMIAL).now());
        assertThat(change.positiveDecides()).isTrue();
        assertThat(change.negativeDecides()).isFalse();
    }

    @Test
    void the_same_conditions_start_higher_in_a_specialist_clinic_and_need_no_caution_there() {
        assertThat(weigh(ARC).of(SUBACROMIAL).loads().get(0).caution()).isEqualTo("measured in surgical patients");
        Ranking specialist = WEIGHING.weigh("shoulder", Setting.SPECIALIST, readings(history(ARC)), 1);
        assertThat(specialist.of(FULL_TEAR).before()).isEqualTo(0.30);
        assertThat(specialist.of(SUBACROMIAL).loads().get(0).caution()).isEmpty();
    }

    @Test
    void a_narrower_condition_above_its_wider_one_is_pointed_out() {
        Attempt strong = attempt("sh-er-resist", Side.RIGHT, chosen("pain", "none"), chosen("strength", "full"));
        Attempt calm = attempt("sh-arc", Side.RIGHT, chosen("pain", "none"));
        Ranking ranking = weigh(CAN, strong, calm);
        assertThat(ranking.of(ConditionId.of("supraspinatus-tear")).above()).map(condition -> condition.id()).contains(FULL_TEAR);
    }

    @Test
    void the_interpreter_says_in_a_sentence_what_a_positive_is_for() {
        TestReading can = readings(history(CAN)).stream().filter(reading -> reading.test().value().equals("sh-empty-can")).findFirst().orElseThrow();
        assertThat(new Interpreter(CATALOGUE, EVIDENCE).say("shoulder", CATALOGUE.usualSchools(), can)).extracting(Statement::text).containsExactly(
                "Counts for subacromial pain, full-thickness cuff tear and supraspinatus tear: weak.",
                "Counts for supraspinatus tendinopathy: familiar pain, strength weak.", "Speaks for any cuff tear, not weighed: weak.");
        TestReading arc = readings(history(ARC)).stream().filter(reading -> reading.test().value().equals("sh-arc")).findFirst().orElseThrow();
        assertThat(new Interpreter(CATALOGUE, EVIDENCE).say("shoulder", CATALOGUE.usualSchools(), arc)).last().extracting(Statement::text)
                .isEqualTo("Speaks against AC joint pain, not weighed: no pain near the top.");
    }

    private static Range range(Belief belief, WeighingSettings settings) {
        double start = LogOdds.ofChance(0.3).value();
        return Range.ofLogOdds(Arrays.stream(Draws.logLikelihoodRatios(belief, true, settings, 7)).map(draw -> start + draw).toArray());
    }

    private static double[] chances(Ranking ranking) {
        return CATALOGUE.conditionsOf("shoulder").stream().mapToDouble(condition -> ranking.of(condition.id()).now()).toArray();
    }

    private static Ranking weigh(Attempt... attempts) {
        return WEIGHING.weigh("shoulder", Setting.FIRST_CONTACT, readings(history(attempts)), 1);
    }

    private static List<TestReading> readings(History history) {
        return CATALOGUE.routine("shoulder").order().stream().map(test -> new ResponseReader(CATALOGUE.test(test), CATALOGUE.usualSchools()).read(history, Side.RIGHT)).toList();
    }
}
