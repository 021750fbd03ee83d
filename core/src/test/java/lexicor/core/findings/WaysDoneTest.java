package lexicor.core.findings;

import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
import static lexicor.core.Responses.history;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Way;
import lexicor.core.draws.DrawStore;
import lexicor.core.draws.Sampler;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.weighing.Interpreter;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Statement;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;

/** How a test was done decides whether its answer is weighed, and how surely. */
class WaysDoneTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final Weighing WEIGHING = new Weighing(CATALOGUE, EVIDENCE, WeighingSettings.USUAL);
    private static final WaysDone WAYS = new WaysDone(EVIDENCE);
    private static final ConditionId FULL_TEAR = ConditionId.of("cuff-tear-full");

    private static TestReading done(String test, String way, Part... parts) {
        ExaminationTest known = CATALOGUE.test(TestId.of(test));
        Attempt attempt = new Attempt(UUID.randomUUID(), known.id(), way, Side.RIGHT, 1, Set.of(), List.of(parts));
        return WAYS.apply(
                        List.of(new ResponseReader(known, CATALOGUE.usualSchools()).read(history(attempt), Side.RIGHT)))
                .get(0);
    }

    private static Standing standing(TestReading reading) {
        return WEIGHING.weigh(Visit.usual(CATALOGUE, "shoulder", CareSetting.SPECIALIST), List.of(reading), 7)
                .of(FULL_TEAR);
    }

    private static double odds(double chance) {
        return Math.log(chance / (1 - chance));
    }

    @Test
    void the_first_way_is_the_usual_one_whatever_the_record_calls_it() {
        Part[] drop = {chosen("lowering", "drops"), chosen("pain", "none")};
        assertThat(standing(done("sh-drop-arm", "lowering", drop)))
                .isEqualTo(standing(done("sh-drop-arm", "usual", drop)));
    }

    @Test
    void a_way_that_makes_no_difference_weighs_as_usual() {
        Part[] drop = {chosen("lowering", "drops"), chosen("pain", "none")};
        assertThat(standing(done("sh-drop-arm", "sitting", drop)).now())
                .isEqualTo(standing(done("sh-drop-arm", "usual", drop)).now());
    }

    @Test
    void another_way_moves_the_same_direction_with_more_room_and_says_so() {
        Part[] drop = {chosen("lowering", "drops"), chosen("pain", "none")};
        Standing usual = standing(done("sh-drop-arm", "usual", drop));
        Standing letGo = standing(done("sh-drop-arm", "let-go", drop));
        assertThat(letGo.now()).isGreaterThan(letGo.before());
        assertThat(odds(letGo.range().upper()) - odds(letGo.range().lower()))
                .isGreaterThan(odds(usual.range().upper()) - odds(usual.range().lower()));
        assertThat(letGo.loads())
                .singleElement()
                .satisfies(
                        load -> assertThat(load.caution())
                                .contains(
                                        "less certain, since done another way (let go at 90° and catch): a drop means the same, its frequency is unmeasured"));
        assertThat(usual.loads())
                .singleElement()
                .satisfies(load -> assertThat(load.caution()).doesNotContain("another way"));
    }

    @Test
    void a_way_that_is_another_test_is_noted_with_its_reason_and_weighs_nothing() {
        TestReading lifted =
                done("sh-drop-arm", "lift-and-let-go", chosen("lowering", "drops"), chosen("pain", "none"));
        assertThat(lifted.readings()).isNotEmpty().allSatisfy(reading -> {
            assertThat(reading.result()).isEqualTo(Reading.Result.NOT_INTERPRETABLE);
            assertThat(reading.phrase()).contains("small lift and let go").contains("loosely described");
        });
        assertThat(standing(lifted).now()).isEqualTo(standing(lifted).before());
        assertThat(new Interpreter(CATALOGUE, EVIDENCE).say("shoulder", CATALOGUE.usualSchools(), lifted))
                .extracting(Statement::kind)
                .containsOnly(Statement.Kind.NOT_READ);
    }

    @Test
    void a_way_with_records_of_its_own_is_weighed_for_what_they_are_about() {
        ExaminationTest shear = CATALOGUE.test(TestId.of("sh-dynamic-shear"));
        Way raised = shear.way("raising-70-120").orElseThrow();
        assertThat(EVIDENCE.effect(raised, shear.id(), ConditionId.of("slap")))
                .as("E295 did it so")
                .isEqualTo(Way.Effect.SAME);
        assertThat(EVIDENCE.effect(raised, shear.id(), ConditionId.of("cuff-tear-any")))
                .isEqualTo(raised.effect(false));
    }

    /** What is added is once more what differs between clinics, for this criterion alone. */
    @Test
    void more_room_is_as_much_again_as_clinics_differ() {
        TestId test = TestId.of("sh-drop-arm");
        CriterionId criterion = EVIDENCE.inUse(test, FULL_TEAR).orElseThrow().criterion();
        Belief.Expected usual = (Belief.Expected) EVIDENCE.expected(test, criterion, FULL_TEAR);
        Belief.Expected wider = (Belief.Expected) usual.widened();
        Sampler sampler = new Sampler(new DrawStore(), 60_000, 0.8, 3);
        PredictedAccuracy.Of one = usual.one();
        double clinics = WeighingSettings.clinics(0.8);
        for (boolean sensitivity : new boolean[] {true, false}) {
            int side = sensitivity ? 0 : 1;
            double expected = one.posterior()[side][side] + 2 * clinics * one.between()[side][side];
            assertThat(variance(sampler.logits(wider, sensitivity))).isCloseTo(expected, within(0.03 * expected));
            assertThat(mean(sampler.logits(wider, sensitivity)))
                    .isCloseTo(mean(sampler.logits(usual, sensitivity)), within(0.02));
        }
        assertThat(Math.log(wider.likelihoodRatioPositive()))
                .as("more room pulls the mean ratio towards none")
                .isLessThan(Math.log(usual.likelihoodRatioPositive()));
    }

    @Test
    void an_own_estimate_and_counts_stay_as_they_are() {
        Belief counts = new Belief.OfCounts(20.5, 10.5, 31.5, 9.5);
        assertThat(counts.widened()).isSameAs(counts);
        assertThat(done("sh-rom", "by-eye", degrees("flexion", 120)).way().map(Way::label))
                .isEqualTo(Optional.of("By eye"));
    }

    @Test
    void a_record_that_is_not_in_the_ledger_covers_nothing() {
        Catalogue faulty = CatalogueReader.read(file ->
                SourceNode.resourceText("/lexicor/catalogue/" + file).replace("E177|E316|E327|E328|E381", "E177|E999"));
        assertThatThrownBy(() -> EvidenceReader.shipped(faulty))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining(
                        "ways.csv:2: record 'E999' covers way 'active-abduction' of 'sh-arc' and is not in the ledger");
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }

    private static double variance(double[] values) {
        double mean = mean(values);
        return Arrays.stream(values)
                        .map(value -> (value - mean) * (value - mean))
                        .sum()
                / (values.length - 1);
    }
}
