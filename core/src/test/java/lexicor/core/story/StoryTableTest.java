package lexicor.core.story;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.IntakeReader;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class StoryTableTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final IntakeForm FORM = IntakeForm.shipped(CATALOGUE);
    private static final StoryTable TABLE = FORM.story();

    private static HeardStory heard(int age, String... clues) {
        Map<String, Boolean> told = new HashMap<>();
        for (String clue : clues) {
            told.put(clue.replaceFirst("^no ", ""), !clue.startsWith("no "));
        }
        return new HeardStory(
                told, age == 0 ? Optional.empty() : Optional.of(new Pattern.Ages(age, age)), Optional.empty());
    }

    private static double factor(String condition, HeardStory heard) {
        return Math.exp(TABLE.effect(ConditionId.of(condition), heard, clue -> true).shifts().stream()
                .mapToDouble(StoryTable.Shift::logOdds)
                .sum());
    }

    @ParameterizedTest(name = "{0} at {1}, told {2}: odds times {3}")
    @CsvSource({
        "acj, 0, clues:finger-on-top, 5",
        "acj, 0, clues:finger-on-top painted:top, 5",
        "acj, 0, painted:top painted:below-elbow, 1",
        "acj, 18, painted:top, 1.6666666666666667",
        "frozen-shoulder, 52, clues:diabetes stiffness:stiff-sleepless clues:thyroid, 9.375",
        "frozen-shoulder, 30, clues:diabetes, 0.5",
        "gh-oa, 76, stiffness:stiff duration:over-12-weeks load:heavy-work, 14.0625",
        "labral-tear-any, 22, load:throws mechanism:overhead instability:dislocated clues:supple, 18.75",
        "cuff-tear-any, 71, onset:injury clues:felt-weak, 9.375",
        "subacromial-pain, 41, mechanism:seizure onset:sudden, 0.4",
        "posterior-instability, 41, mechanism:seizure clues:cannot-turn-out, 25",
        "ulnar-nerve-wrist, 0, painted:tingle-ulnar painted:ulnar-back-spared load:leans-on-palm, 9.375"
    })
    void odds_are_multiplied_by_the_strongest_of_each_group(String condition, int age, String clues, double factor) {
        assertThat(factor(condition, heard(age, clues.split(" ")))).isCloseTo(factor, within(1e-9));
    }

    @Test
    void all_rows_together_move_no_further_than_the_most_either_way() {
        assertThat(factor(
                        "acj",
                        heard(0, "clues:finger-on-top", "mechanism:point-fall", "load:weights", "load:heavy-work")))
                .isCloseTo(25, within(1e-9));
        assertThat(factor(
                        "frozen-shoulder",
                        heard(
                                20,
                                "stiffness:none",
                                "duration:under-2-weeks",
                                "instability:loose",
                                "painted:below-elbow")))
                .isCloseTo(1.0 / 25, within(1e-9));
    }

    @Test
    void what_was_not_asked_moves_nothing_and_what_was_denied_does() {
        assertThat(factor("internal-impingement", heard(0))).isEqualTo(1);
        assertThat(factor("internal-impingement", heard(0, "no load:throws"))).isCloseTo(0.4, within(1e-9));
        assertThat(factor("internal-impingement", heard(0, "no load:throws", "mechanism:overhead")))
                .as("overhead stands for throwing")
                .isEqualTo(1);
    }

    @Test
    void an_age_that_is_not_known_for_certain_moves_nothing() {
        HeardStory between = new HeardStory(Map.of(), Optional.of(new Pattern.Ages(34, 35)), Optional.empty());
        assertThat(TABLE.effect(ConditionId.of("anterior-instability"), between, clue -> true)
                        .shifts())
                .isEmpty();
    }

    @Test
    void an_old_fall_is_no_fresh_fracture_and_a_fresh_injury_no_tendon_disease() {
        HeardStory fresh = new HeardStory(Map.of("onset:injury", true), Optional.empty(), Optional.of(new Weeks(1, 1)));
        HeardStory old = new HeardStory(
                Map.of("onset:injury", true, "duration:over-12-weeks", true),
                Optional.empty(),
                Optional.of(new Weeks(20, 20)));
        assertThat(factor("de-quervain", fresh)).isCloseTo(0.2, within(1e-9));
        assertThat(factor("de-quervain", old)).isCloseTo(0.4, within(1e-9));
        assertThat(factor("scaphoid-fracture", old)).isCloseTo(0.4, within(1e-9));
        assertThat(TABLE.effect(ConditionId.of("triquetral-fracture"), heard(0, "onset:slowly"), clue -> true)
                        .out())
                .isEqualTo("No fresh fracture without an injury");
    }

    @Test
    void a_clue_that_may_not_count_does_not() {
        assertThat(TABLE.effect(
                                ConditionId.of("acj"),
                                heard(0, "clues:finger-on-top"),
                                clue -> !clue.equals("clues:finger-on-top"))
                        .shifts())
                .isEmpty();
    }

    @ParameterizedTest(name = "{0} holds for {1}: {2}")
    @CsvSource({
        "painted:tingle-median, palm-thumb palm-index, true",
        "painted:tingle-median, palm-index, false",
        "painted:tingle-median, palm-thumb palm-index palm-little, false",
        "painted:tingle-ulnar, palm-little palm-ring-ulnar, true",
        "painted:tingle-ulnar, palm-ring-ulnar palm-middle, false",
        "painted:ulnar-back-spared, palm-little, true",
        "painted:ulnar-back-spared, palm-little back-ulnar, false",
        "painted:tingle-all, palm-thumb palm-index palm-middle palm-little, true",
        "painted:thumb-only, back-thumb, true",
        "painted:thumb-only, back-thumb palm-index, false",
        "painted:top, shoulder-top, true",
        "painted:top, shoulder-top upper-arm-outer, false"
    })
    void drawings_are_read(String clue, String areas, boolean holds) {
        StoryTable.Painted painted = TABLE.painted().stream()
                .filter(each -> each.clue().equals(clue))
                .findFirst()
                .orElseThrow();
        assertThat(painted.holds(Set.of(areas.split(" ")))).isEqualTo(holds);
    }

    @Test
    void an_occupation_brings_its_loads() {
        assertThat(TABLE.loadsOf("Handball player", "shoulder")).containsExactly("load:throws");
        assertThat(TABLE.loadsOf("Retired bricklayer", "shoulder")).containsExactly("load:heavy-work");
        assertThat(TABLE.loadsOf("Cyclist", "hand")).containsExactly("load:leans-on-palm");
        assertThat(TABLE.loadsOf("Bookkeeper", "shoulder")).isEmpty();
    }

    @Test
    void every_condition_of_the_catalogue_is_moved_both_ways() {
        for (ConditionId condition : CATALOGUE.conditions().keySet()) {
            List<StoryRow> rows = TABLE.rows().getOrDefault(condition, List.of());
            assertThat(rows).as("%s", condition).anyMatch(StoryRow::up).anyMatch(row -> !row.up());
        }
    }

    /** An answer that can be given and moves nothing would only cost a tap. */
    @ParameterizedTest
    @ValueSource(strings = {"mechanism", "load", "circulation"})
    void every_answer_to_a_question_of_the_story_moves_something(String question) {
        FORM.question(question)
                .orElseThrow()
                .options()
                .forEach(option -> assertThat(
                                !option.clues().isEmpty() || TABLE.moves().containsKey(question + ":" + option.value()))
                        .as(option.value())
                        .isTrue());
    }

    private static String resource(String file) {
        return SourceNode.resourceText("/lexicor/catalogue/" + file);
    }

    @ParameterizedTest(name = "{1} for {0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "acj,clues:finger-on-top,,up,3,site | acj,clues:finger-on-tip,,up,3,site | story.csv:173: clue 'clues:finger-on-tip' is not known",
                "acj,clues:finger-on-top,,up,3,site | acj,clues:finger-on-top,,sideways,3,site | direction is 'sideways'; allowed: down, up",
                "acj,clues:finger-on-top,,up,3,site | acj,clues:finger-on-top,,up,4,site | strength is '4'; allowed: 0, 1, 2, 3",
                "acj,clues:finger-on-top,,up,3,site | acj,clues:finger-on-top,,up,0,site | strength is 0 and direction up",
                "acj,clues:finger-on-top,,up,3,site | acj,clues:finger-on-top,at noon,up,3,site | from is 'at noon'; allowed: age a..b, weeks a..b",
                "acj,clues:finger-on-top,,up,3,site | acj,clues:finger-on-top,,up,3,hearsay | kind is 'hearsay'; allowed: course, epidemiology, mechanism, site",
                "acj,clues:finger-on-top,,up,3,site | joint,clues:finger-on-top,,up,3,site | condition 'joint' is not known"
            })
    void a_faulty_row_is_named_with_its_line_and_what_is_allowed(String right, String wrong, String message) {
        String rows = resource("story.csv");
        assertThat(rows).contains(right);
        assertThatThrownBy(() -> read(rows.replace(right, wrong), resource("story.yaml")))
                .hasMessageContaining(message);
    }

    @ParameterizedTest(name = "{1} for {0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "any: [[shoulder-top]] | any: [[shoulder-tip]] | area 'shoulder-tip' is on no drawing",
                "sides: ['person:leading-side' | sides: ['onset:injury', 'person:leading-side' | clue 'onset:injury' stands in two groups",
                "test: nk-screen, criterion: arm-symptoms | test: nk-scream, criterion: arm-symptoms | test 'nk-scream' is not known",
                "test: nk-screen, criterion: arm-symptoms | test: nk-screen, criterion: leg-symptoms | criterion 'leg-symptoms' is not known; allowed: [arm-symptoms]",
                "loads: ['load:throws'], regions: [shoulder, elbow]} | loads: ['load:throws'], regions: [knee]} | region 'knee' is not known"
            })
    void a_faulty_rule_is_named_with_its_line_and_what_is_allowed(String right, String wrong, String message) {
        String rules = resource("story.yaml");
        assertThat(rules).contains(right);
        assertThatThrownBy(() -> read(resource("story.csv"), rules.replace(right, wrong)))
                .hasMessageContaining(message)
                .hasMessageStartingWith("story.yaml:");
    }

    private static StoryTable read(String rows, String rules) {
        return StoryReader.read(
                CATALOGUE, IntakeReader.toldClues(CATALOGUE, FORM), IntakeReader.areas(FORM), rows, rules);
    }
}
