package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Stage;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PlanTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));

    private static Set<TestId> doable(String region) {
        Set<TestId> tests = new LinkedHashSet<>(CATALOGUE.routine(region).order());
        tests.addAll(CATALOGUE.beyondRoutine(region));
        tests.removeIf(test -> !CATALOGUE.test(test).conduct().after().isEmpty());
        return tests;
    }

    private static Planner planner(String region, Set<TestId> doable, TestReading... found) {
        return planner(Visit.usual(CATALOGUE, region, CareSetting.FIRST_CONTACT), doable, found);
    }

    /** A visit whose story puts a condition at a chance. */
    private static Visit told(String region, String condition, double chance) {
        Visit usual = Visit.usual(CATALOGUE, region, CareSetting.FIRST_CONTACT);
        Map<ConditionId, Visit.Start> starts = new HashMap<>(usual.starts());
        starts.put(ConditionId.of(condition), new Visit.Start(chance, 0.3));
        return new Visit(usual.region(), usual.setting(), starts, usual.clues(), usual.schools(), usual.assumptions());
    }

    private static Planner planner(Visit visit, Set<TestId> doable, TestReading... found) {
        return planner(visit, doable, Situation.Practice.everything(), found);
    }

    private static Planner planner(Visit visit, Set<TestId> doable, Situation.Practice practice, TestReading... found) {
        return Planner.of(
                CATALOGUE,
                WEIGHING,
                new Situation(
                        visit,
                        List.of(found),
                        WEIGHING.weigh(visit, List.of(found), 1),
                        doable,
                        Optional.empty(),
                        Map.of(),
                        false,
                        Situation.Looking.usual(),
                        practice));
    }

    private static Plan plan(String region, double minutes, Set<TestId> doable) {
        return planner(region, doable).plan(60 * minutes);
    }

    private static TestId id(String test) {
        return TestId.of(test);
    }

    @ParameterizedTest
    @CsvSource({"shoulder, 5", "shoulder, 10", "elbow, 10", "wrist, 10", "wrist, 20", "hand, 5", "hand, 15"})
    void it_keeps_to_the_time_names_every_test_once_and_says_why(String region, double minutes) {
        Set<TestId> doable = doable(region);
        Plan plan = plan(region, minutes, doable);
        assertThat(plan.tests()).containsAll(CATALOGUE.routine(region).always());
        assertThat(plan.seconds()).isLessThanOrEqualTo(60 * minutes);
        assertThat(plan.steps())
                .isNotEmpty()
                .extracting(Plan.Step::test)
                .contains(TestId.of("nk-screen"))
                .doesNotHaveDuplicates();
        assertThat(plan.steps().size() + plan.out().size()).isEqualTo(doable.size());
        assertThat(plan.steps()).extracting(Plan.Step::why).containsAnyOf(Why.INFORMATION, Why.SERIOUS, Why.SPREAD);
        assertThat(plan.steps())
                .filteredOn(step -> step.why() == Why.INFORMATION)
                .allSatisfy(step -> assertThat(step.bits()).isPositive());
        assertThat(plan.out())
                .filteredOn(out -> out.why() == Plan.WhyNot.TELLS_LITTLE || out.why() == Plan.WhyNot.NO_FIGURES)
                .allSatisfy(out -> assertThat(out.bits())
                        .as("%s of a test that is hardly done here counts 0.7", out.test())
                        .isLessThan(CATALOGUE.effort().leastBits() / 0.7));
    }

    @Test
    void instability_is_last_and_grip_is_before_what_provokes() {
        List<TestId> shoulder = plan("shoulder", 15, doable("shoulder")).steps().stream()
                .map(Plan.Step::test)
                .toList();
        List<Boolean> unstable = shoulder.stream()
                .map(test -> CATALOGUE.test(test).stage() == Stage.INSTABILITY
                        || CATALOGUE.test(test).provocation() >= 3)
                .toList();
        assertThat(unstable).isSorted().contains(true);
        List<TestId> hand = plan("hand", 40, doable("hand")).steps().stream()
                .map(Plan.Step::test)
                .toList();
        assertThat(hand.indexOf(TestId.of("ha-grip"))).isGreaterThanOrEqualTo(0);
        int firstProvoking = hand.indexOf(hand.stream()
                .filter(test -> CATALOGUE.test(test).provocation() >= 2)
                .findFirst()
                .orElseThrow());
        assertThat(hand.indexOf(TestId.of("ha-grip"))).isLessThan(firstProvoking);
    }

    @Test
    void what_has_no_figures_comes_in_by_the_picture_once_figures_are_served() {
        assertThat(plan("wrist", 15, doable("wrist")).steps())
                .extracting(Plan.Step::why)
                .contains(Why.INFORMATION, Why.PICTURE);
    }

    @Test
    void more_time_tells_no_less() {
        double last = 0;
        for (double minutes : new double[] {5, 10, 15, 20}) {
            double bits = plan("hand", minutes, doable("hand")).bits();
            assertThat(bits).isGreaterThanOrEqualTo(last - 0.01);
            last = bits;
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"shoulder", "wrist"})
    void without_time_or_with_everything_locked_there_is_no_step_and_every_test_says_why_not(String region) {
        Plan none = plan(region, 0, doable(region));
        assertThat(none.steps()).isEmpty();
        assertThat(none.out()).hasSameSizeAs(doable(region));
        assertThat(plan(region, 20, Set.of()).steps()).isEmpty();
    }

    @Test
    void serious_conditions_and_the_likeliest_of_each_family_are_spoken_of_before_the_rest() {
        Plan plan = plan("hand", 5, doable("hand"));
        assertThat(plan.steps())
                .filteredOn(step -> step.why() == Why.SERIOUS)
                .isNotEmpty()
                .allSatisfy(step -> assertThat(
                                CATALOGUE.condition(step.about().orElseThrow()).serious())
                        .isPresent());
        Plan wrist = plan("wrist", 5, doable("wrist"));
        assertThat(wrist.steps())
                .filteredOn(step -> step.why() == Why.SPREAD)
                .extracting(step -> step.about().orElseThrow().value())
                .contains("de-quervain", "tfcc");
    }

    @Test
    void a_definition_belongs_to_the_plan_and_says_of_what() {
        assertThat(plan("shoulder", 15, doable("shoulder")).steps())
                .filteredOn(step -> step.why() == Why.DEFINITION)
                .extracting(step -> step.about().orElseThrow().value())
                .contains("frozen-shoulder");
    }

    @Test
    void what_the_therapist_put_in_stays_even_beyond_the_time() {
        List<TestId> byHand = List.of(id("sh-kim"), id("sh-jerk"), id("sh-speed"));
        Plan plan = planner("shoulder", doable("shoulder")).plan(60, byHand);
        assertThat(plan.steps())
                .filteredOn(step -> step.why() == Why.BY_HAND)
                .extracting(Plan.Step::test)
                .containsExactlyInAnyOrderElementsOf(byHand);
        assertThat(plan.seconds()).isGreaterThan(60);
        assertThat(planner("shoulder", Set.of(id("sh-arc")))
                        .plan(60, List.of(id("sh-relocation")))
                        .tests())
                .as("what may not be done is left out")
                .containsExactly(id("sh-arc"));
    }

    @Test
    void grip_that_no_condition_in_play_is_read_from_gives_way_to_what_tells_more() {
        assertThat(plan("hand", 10, doable("hand")).steps().stream().map(Plan.Step::test))
                .doesNotContain(id("ha-grip"), id("ha-pinch"));
    }

    @Test
    void the_neck_is_screened_and_no_more_until_the_screen_or_the_story_points_there() {
        List<TestId> shoulder = plan("shoulder", 20, doable("shoulder")).steps().stream()
                .map(Plan.Step::test)
                .toList();
        assertThat(shoulder).contains(id("nk-screen"));
        assertThat(shoulder.stream().filter(test -> test.value().startsWith("nk-")))
                .containsExactly(id("nk-screen"));
        assertThat(planner(told("shoulder", "cervical-radiculopathy", 0.3), doable("shoulder"))
                        .plan(1200)
                        .tests())
                .contains(id("nk-spurling-a"));
    }

    @Test
    void seconds_learnt_take_the_place_of_the_catalogues() {
        Visit visit = Visit.usual(CATALOGUE, "elbow", CareSetting.FIRST_CONTACT);
        Situation slow = new Situation(
                visit,
                List.of(),
                WEIGHING.weigh(visit, List.of(), 1),
                List.of(id("el-tinel-cubital")),
                Optional.empty(),
                Map.of(id("el-tinel-cubital"), 95.0),
                false,
                Situation.Looking.usual(),
                Situation.Practice.everything());
        assertThat(Planner.of(CATALOGUE, WEIGHING, slow).plan(600).seconds()).isEqualTo(95);
        assertThat(Planner.of(CATALOGUE, WEIGHING, slow).plan(90).steps()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"shoulder", "elbow", "wrist", "hand"})
    void with_all_the_time_in_the_world_nothing_is_out_for_want_of_time(String region) {
        Plan plan = planner(region, doable(region)).plan(Double.POSITIVE_INFINITY);
        assertThat(plan.out()).extracting(Plan.Out::why).doesNotContain(Plan.WhyNot.NO_TIME, Plan.WhyNot.NOT_IN);
    }

    @Test
    void of_a_table_of_ranges_only_the_movements_that_matter_take_time() {
        Plan.Step range =
                planner(told("shoulder", "frozen-shoulder", 0.4), doable("shoulder")).plan(600).steps().stream()
                        .filter(step -> step.test().equals(id("sh-rom")))
                        .findFirst()
                        .orElseThrow();
        assertThat(range.movements())
                .extracting(PartDefinition::key)
                .contains("flexion-passive", "external-rotation")
                .doesNotContain("abduction", "extension");
        assertThat(range.seconds())
                .isCloseTo(
                        RoutineCheck.usual(CATALOGUE.test(id("sh-rom")))
                                * range.movements().size()
                                / 7,
                        org.assertj.core.api.Assertions.within(1e-9));
        assertThat(plan("shoulder", 10, doable("shoulder")).steps())
                .filteredOn(step -> !step.test().equals(id("sh-rom")))
                .allSatisfy(step -> assertThat(step.movements()).isEmpty());
    }

    @Test
    void a_position_that_the_patient_cannot_take_is_not_planned_where_another_is_left() {
        Visit visit = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        Situation.Practice upright = new Situation.Practice(Set.of("Standing", "Supine"), Set.of());
        Set<TestId> left = doable("shoulder");
        left.removeIf(
                test -> upright.positionsOut().containsAll(CATALOGUE.test(test).positions()));
        Plan plan = planner(visit, left, upright).plan(1200);
        assertThat(plan.steps()).extracting(Plan.Step::position).isNotEmpty().doesNotContain("Standing", "Supine");
        assertThat(plan("shoulder", 20, doable("shoulder")).steps())
                .extracting(Plan.Step::position)
                .containsAnyOf("Standing", "Supine");
    }

    @Test
    void a_test_that_the_therapist_does_not_do_is_never_proposed_and_may_be_put_in() {
        Visit visit = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        Plan usual = planner(visit, doable("shoulder")).plan(900);
        TestId most = usual.steps().stream()
                .filter(step -> step.why() != Why.SAFETY)
                .max(Comparator.comparingDouble(Plan.Step::bits))
                .orElseThrow()
                .test();
        Planner without = planner(visit, doable("shoulder"), new Situation.Practice(Set.of(), Set.of(most)));
        Plan plan = without.plan(900);
        assertThat(plan.tests()).doesNotContain(most);
        assertThat(plan.bits()).isLessThan(usual.bits());
        assertThat(plan.out())
                .filteredOn(out -> out.test().equals(most))
                .singleElement()
                .satisfies(out -> {
                    assertThat(out.why()).isEqualTo(Plan.WhyNot.NOT_MINE);
                    assertThat(out.bits()).isPositive();
                });
        assertThat(without.plan(900, List.of(most)).tests()).contains(most);
        assertThat(planner(visit, doable("shoulder"), new Situation.Practice(Set.of(), Set.of(id("nk-screen"))))
                        .plan(900)
                        .tests())
                .as("what belongs to every examination")
                .contains(id("nk-screen"));
        assertThat(without.again(plan.tests(), Set.of()).better()).doesNotContain(most);
    }

    @Test
    void a_plan_says_what_it_may_leave_open_and_more_time_leaves_no_more_open() {
        Planner planner = planner(told("shoulder", "cuff-tear-full", 0.4), doable("shoulder"));
        List<Limit> none = planner.limits(planner.plan(0));
        List<Limit> few = planner.limits(planner.plan(300));
        List<Limit> all = planner.limits(planner.plan(Double.POSITIVE_INFINITY));
        assertThat(none).isNotEmpty().allSatisfy(limit -> {
            assertThat(limit.open()).as("nothing done leaves it where it is").isEqualTo(1);
            assertThat(limit.now()).isBetween(0.05, 0.75);
            assertThat(limit.least()).isBetween(0.0, limit.open());
        });
        assertThat(none)
                .isSortedAccordingTo(Comparator.comparingDouble(Limit::open).reversed());
        assertThat(open(none)).isGreaterThan(open(few));
        assertThat(open(few)).isGreaterThan(open(all));
        assertThat(planner("shoulder", Set.of()).limits(plan("shoulder", 10, Set.of())))
                .isEmpty();
    }

    private static double open(List<Limit> limits) {
        return limits.stream().mapToDouble(Limit::open).sum();
    }

    @Test
    void a_patient_who_is_to_be_spared_gets_what_tells_most_up_to_the_knee_and_no_more() {
        Visit visit = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
        Planner sparing = Planner.of(
                CATALOGUE,
                WEIGHING,
                new Situation(
                        visit,
                        List.of(),
                        WEIGHING.weigh(visit, List.of(), 1),
                        doable("shoulder"),
                        Optional.empty(),
                        Map.of(),
                        true,
                        Situation.Looking.usual(),
                        Situation.Practice.everything()));
        double knee = sparing.curve().knee().orElseThrow().seconds();
        assertThat(sparing.mostSpared()).hasValue(knee);
        assertThat(sparing.plan(1200).seconds()).isLessThanOrEqualTo(knee);
        assertThat(sparing.plan(120).seconds()).isLessThanOrEqualTo(120);
        assertThat(sparing.plan(1200).steps())
                .filteredOn(step -> step.why() == Why.PICTURE)
                .allSatisfy(step ->
                        assertThat(CATALOGUE.test(step.test()).provocation()).isLessThan(2));
        assertThat(planner("shoulder", doable("shoulder")).mostSpared()).isEmpty();
    }

    @Test
    void an_order_of_ones_own_is_weighed_as_it_is_given() {
        Planner planner = planner("shoulder", doable("shoulder"));
        Plan proposed = planner.plan(600);
        OwnOrder same = planner.appraise(proposed.tests());
        assertThat(same.faults()).isEmpty();
        assertThat(same.plan().bits()).isCloseTo(proposed.bits(), within(1e-9));
        assertThat(same.plan().moves()).isEqualTo(proposed.moves());
        assertThat(same.plan().seconds()).isCloseTo(proposed.seconds(), within(1e-9));
        OwnOrder shuffled =
                planner.appraise(List.of(id("sh-apprehension"), id("sh-look"), id("sh-biceps-load-2"), id("sh-arc")));
        assertThat(shuffled.plan().moves())
                .as("sitting, standing, supine, standing, from standing")
                .isEqualTo(4);
        assertThat(shuffled.faults())
                .containsExactly(new OrderFault(OrderFault.Kind.TOO_EARLY, id("sh-apprehension"), id("sh-look")));
        assertThat(shuffled.plan().out())
                .as("an order of one's own has no limit of time")
                .extracting(Plan.Out::why)
                .contains(Plan.WhyNot.NOT_IN)
                .doesNotContain(Plan.WhyNot.NO_TIME);
    }

    @Test
    void what_speaks_against_an_order_is_named() {
        Planner planner = planner("hand", doable("hand"));
        assertThat(planner.appraise(List.of(id("wr-flexion-compression"), id("ha-grip"), id("ha-grip")))
                        .faults())
                .containsExactly(
                        new OrderFault(OrderFault.Kind.SPOILED, id("ha-grip"), id("wr-flexion-compression")),
                        new OrderFault(OrderFault.Kind.TWICE, id("ha-grip"), id("ha-grip")));
        Planner shoulder = planner("shoulder", doable("shoulder"));
        assertThat(shoulder.appraise(List.of(id("sh-relocation"))).faults())
                .containsExactly(
                        new OrderFault(OrderFault.Kind.NEVER_REACHED, id("sh-relocation"), id("sh-apprehension")));
        assertThat(shoulder.appraise(List.of(id("sh-relocation"), id("sh-apprehension")))
                        .faults())
                .extracting(OrderFault::kind)
                .contains(OrderFault.Kind.BEFORE_ITS_TRIGGER);
        assertThat(shoulder.appraise(List.of()).plan().steps()).isEmpty();
    }

    @Test
    void as_results_come_what_is_settled_falls_out_what_was_put_in_is_asked_about_and_better_tests_are_proposed() {
        Set<TestId> doable = doable("shoulder");
        Plan taken = planner("shoulder", doable).plan(600);
        assertThat(planner("shoulder", doable).again(taken.tests(), Set.of()).better())
                .as("a plan that was just made leaves out nothing better")
                .isEmpty();
        assertThat(planner("shoulder", doable)
                        .again(List.of(id("sh-pec"), id("sh-sulcus")), Set.of())
                        .better())
                .as("a poor one does")
                .isNotEmpty();
        Planner closed = planner("shoulder", Set.of(id("sh-pec"), id("sh-lateral-slide"), id("sh-percussion")));
        Replanning again = closed.again(List.of(id("sh-pec"), id("sh-lateral-slide")), Set.of(id("sh-pec")));
        assertThat(again.settled()).containsExactly(id("sh-lateral-slide"));
        assertThat(again.ask()).containsExactly(id("sh-pec"));
    }
}
