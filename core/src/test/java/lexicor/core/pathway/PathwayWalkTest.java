package lexicor.core.pathway;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.intake.IntakeForm;
import org.junit.jupiter.api.Test;

class PathwayWalkTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Pathways PATHWAYS =
            PathwayReader.shipped(CATALOGUE, IntakeForm.shipped(CATALOGUE).zoneNames());
    private static final Pathway ULNAR = PATHWAYS.find("ulnar-rotation").orElseThrow();
    private static final Predicate<TestId> ALL_OPEN = test -> true;
    private static final Map<String, String> PALM_SIDE = Map.of("which", "palm-up", "load", "loaded", "where", "palm");

    private final List<TestReading> readings = new ArrayList<>();

    /** A test in which every reading came out as said. */
    private PathwayWalkTest done(String id, Reading.Result result) {
        List<Reading> all = new ArrayList<>();
        for (ConditionReading reads : CATALOGUE.test(TestId.of(id)).reads()) {
            for (CriterionId criterion : reads.by()) {
                all.add(new Reading(TestId.of(id), reads.condition(), criterion, result, "as said"));
            }
        }
        readings.add(new TestReading(TestId.of(id), true, all));
        return this;
    }

    private PathwayWalk walk(Map<String, String> answers) {
        return PathwayWalk.of(ULNAR, answers, readings, ALL_OPEN);
    }

    @Test
    void it_starts_at_its_first_step() {
        PathwayWalk walk = walk(Map.of());
        assertThat(walk.here().id()).isEqualTo("range");
        assertThat(walk.passed()).isEmpty();
    }

    @Test
    void what_was_done_before_it_was_taken_up_counts() {
        done("wr-rom", Reading.Result.NEGATIVE).done("ha-grip", Reading.Result.NEGATIVE);
        assertThat(walk(Map.of()).here().id()).isEqualTo("which");
        assertThat(walk(Map.of()).passed())
                .extracting(PathwayWalk.Passed::outcome)
                .containsOnly(PathwayWalk.Outcome.NOTED);
    }

    @Test
    void an_answer_leads_on_and_its_words_stand_behind() {
        done("wr-rom", Reading.Result.NEGATIVE).done("ha-grip", Reading.Result.NEGATIVE);
        PathwayWalk walk = walk(PALM_SIDE);
        assertThat(walk.here().id()).isEqualTo("shift-palm");
        assertThat(walk.passed())
                .extracting(PathwayWalk.Passed::answer)
                .endsWith("Palm up", "Under load only", "Palm side");
    }

    @Test
    void a_reading_chooses_the_branch() {
        done("wr-rom", Reading.Result.NEGATIVE)
                .done("ha-grip", Reading.Result.NEGATIVE)
                .done("wr-druj-ballottement", Reading.Result.POSITIVE);
        assertThat(walk(PALM_SIDE).here())
                .isInstanceOfSatisfying(
                        Step.End.class, end -> assertThat(end.says()).isEqualTo("Distal radioulnar instability"));
    }

    @Test
    void the_palm_side_goes_from_the_joint_to_the_ligament_to_the_soft_spot_to_the_load() {
        done("wr-rom", Reading.Result.NEGATIVE)
                .done("ha-grip", Reading.Result.NEGATIVE)
                .done("wr-druj-ballottement", Reading.Result.NEGATIVE);
        assertThat(walk(PALM_SIDE).here().id()).isEqualTo("ligament");
        done("wr-ruj-palmar-shift", Reading.Result.NEGATIVE);
        assertThat(walk(PALM_SIDE).here().id()).isEqualTo("spot-palm");
        done("wr-fovea", Reading.Result.POSITIVE);
        assertThat(walk(PALM_SIDE).here().id()).isEqualTo("stress");
        done("wr-ulnocarpal-stress", Reading.Result.NEGATIVE);
        assertThat(walk(PALM_SIDE).here().id()).isEqualTo("end-tfcc");
        assertThat(walk(PALM_SIDE).passed())
                .extracting(PathwayWalk.Passed::outcome)
                .endsWith(
                        PathwayWalk.Outcome.NEGATIVE,
                        PathwayWalk.Outcome.NEGATIVE,
                        PathwayWalk.Outcome.POSITIVE,
                        PathwayWalk.Outcome.NEGATIVE);
    }

    @Test
    void what_cannot_be_read_goes_the_other_way_and_says_so() {
        done("wr-rom", Reading.Result.NEGATIVE)
                .done("ha-grip", Reading.Result.NEGATIVE)
                .done("wr-druj-ballottement", Reading.Result.NOT_INTERPRETABLE);
        PathwayWalk walk = walk(Map.of("which", "both", "load", "active", "where", "back"));
        assertThat(walk.here().id()).isEqualTo("synergy");
        assertThat(walk.passed().get(walk.passed().size() - 1).outcome()).isEqualTo(PathwayWalk.Outcome.UNCLEAR);
    }

    @Test
    void a_response_that_is_half_recorded_keeps_one_where_one_is() {
        done("wr-rom", Reading.Result.NEGATIVE)
                .done("ha-grip", Reading.Result.NEGATIVE)
                .done("wr-druj-ballottement", Reading.Result.NOT_YET_KNOWN);
        assertThat(walk(PALM_SIDE).here().id()).isEqualTo("shift-palm");
    }

    @Test
    void a_closed_test_is_passed_by() {
        done("wr-rom", Reading.Result.NEGATIVE);
        PathwayWalk walk = PathwayWalk.of(
                ULNAR,
                PALM_SIDE,
                readings,
                test -> !test.value().equals("ha-grip") && !test.value().equals("wr-druj-ballottement"));
        assertThat(walk.here().id()).isEqualTo("ligament");
        assertThat(walk.passed())
                .filteredOn(passed -> passed.outcome() == PathwayWalk.Outcome.CLOSED)
                .extracting(passed -> passed.step().id())
                .containsExactly("grip", "shift-palm");
    }

    @Test
    void it_is_offered_where_it_hurts_or_where_a_clue_holds() {
        assertThat(ULNAR.starts(List.of("wrist-ulnar"), Map.of())).isTrue();
        assertThat(ULNAR.starts(List.of("wrist-radial"), Map.of())).isFalse();
        Pathway elbow = PATHWAYS.find("elbow-injury").orElseThrow();
        assertThat(elbow.starts(List.of("elbow"), Map.of("after-injury", true))).isTrue();
        assertThat(elbow.starts(List.of("elbow"), Map.of("after-injury", false)))
                .isFalse();
        assertThat(elbow.starts(List.of("elbow"), Map.of())).isFalse();
    }

    @Test
    void the_record_asks_its_questions_by_pathway_and_step() {
        assertThat(PATHWAYS.answersTo("wrist", "ulnar-rotation.where")).hasValue(List.of("back", "palm"));
        assertThat(PATHWAYS.answersTo("hand", "ulnar-rotation.where")).isEmpty();
        assertThat(PATHWAYS.answersTo("wrist", "ulnar-rotation.range"))
                .as("a test is no question")
                .isEmpty();
    }
}
