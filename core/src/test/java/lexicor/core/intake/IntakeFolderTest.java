package lexicor.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Answer;
import lexicor.core.examination.History;
import lexicor.core.pathway.PathwayReader;
import lexicor.core.pathway.Pathways;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntakeFolderTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final IntakeForm FORM = IntakeForm.shipped(CATALOGUE);
    private static final Pathways PATHWAYS = PathwayReader.shipped(CATALOGUE, FORM.zoneNames());
    private static final IntakeFolder FOLDER = new IntakeFolder(CATALOGUE, FORM);
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);
    private static final TestId NEER = TestId.of("sh-neer");

    private static IntakeState fold(String region, OptionalInt birthYear, Answer... answers) {
        List<History.Heard> heard = new ArrayList<>();
        for (Answer answer : answers) {
            heard.add(new History.Heard(answer, "a.moor", Instant.EPOCH.plusSeconds(heard.size())));
        }
        return FOLDER.fold(region, IntakeAnswers.of(heard), birthYear, TODAY);
    }

    private static IntakeState shoulder(Answer... answers) {
        return fold("shoulder", OptionalInt.empty(), answers);
    }

    @Nested
    class Clues {

        @Test
        void what_was_not_asked_is_neither_yes_nor_no() {
            assertThat(shoulder().clues()).isEmpty();
        }

        @Test
        void one_answer_says_no_to_what_the_others_would_have_said() {
            assertThat(shoulder(Answer.of("night", "sleeps")).clues()).containsEntry("night-pain", false);
            assertThat(shoulder(Answer.of("night", "lying-on-it")).clues()).containsEntry("night-pain", true);
            assertThat(shoulder(Answer.of("night", "any-position")).clues()).containsEntry("night-pain", true);
        }

        @Test
        void what_is_not_ticked_in_a_list_is_open_until_none_of_these_is_said() {
            assertThat(shoulder(Answer.of("clues", "felt-weak")).story().clues())
                    .containsEntry("clues:felt-weak", true)
                    .doesNotContainKey("clues:diabetes");
            assertThat(shoulder(Answer.of("clues", "none")).story().clues())
                    .containsEntry("clues:felt-weak", false)
                    .containsEntry("clues:diabetes", false);
        }

        @Test
        void the_last_answer_holds_and_an_empty_one_opens_the_question_again() {
            assertThat(shoulder(Answer.of("night", "sleeps"), Answer.of("night", "any-position"))
                            .clues())
                    .containsEntry("night-pain", true);
            assertThat(shoulder(Answer.of("night", "sleeps"), Answer.of("night"))
                            .clues())
                    .isEmpty();
        }

        @ParameterizedTest(name = "born {0}: {1} is {2}")
        @CsvSource({
            "1961, age-65, ",
            "1960, age-65, true",
            "1962, age-65, false",
            "1980, age-45, ",
            "1979, age-45, true",
            "1981, age-45, false"
        })
        void an_age_is_known_only_where_both_possible_ages_agree(int birthYear, String clue, Boolean holds) {
            IntakeState state = fold("shoulder", OptionalInt.of(birthYear));
            if (holds == null) {
                assertThat(state.clues()).doesNotContainKey(clue);
            } else {
                assertThat(state.clues()).containsEntry(clue, holds);
            }
        }

        @Test
        void answers_that_contradict_each_other_are_named_at_the_question_and_kept() {
            IntakeState state = shoulder(Answer.of("onset", "slowly"), Answer.of("mechanism", "outstretched-fall"));
            assertThat(state.faults()).singleElement().satisfies(fault -> {
                assertThat(fault.question()).isEqualTo("mechanism");
                assertThat(fault.message())
                        .contains("Fall on the outstretched hand")
                        .contains("How did it begin: slowly")
                        .contains("Change one of the two");
            });
            assertThat(state.clues()).containsEntry("outstretched-fall", true);
            assertThat(shoulder(Answer.of("onset", "injury"), Answer.of("mechanism", "outstretched-fall"))
                            .faults())
                    .isEmpty();
        }
    }

    @Nested
    class Zones {

        @Test
        void without_a_zone_nothing_is_outside() {
            assertThat(fold("wrist", OptionalInt.empty()).inZone())
                    .contains(ConditionId.of("tfcc"), ConditionId.of("de-quervain"));
        }

        @Test
        void a_zone_leaves_the_others_outside() {
            assertThat(fold("wrist", OptionalInt.empty(), Answer.of("zone", "wrist-ulnar"))
                            .inZone())
                    .contains(ConditionId.of("tfcc"))
                    .doesNotContain(ConditionId.of("de-quervain"));
        }

        @Test
        void a_fall_opens_its_zone_by_itself() {
            IntakeState state = fold(
                    "wrist",
                    OptionalInt.empty(),
                    Answer.of("zone", "wrist-radial"),
                    Answer.of("mechanism", "outstretched-fall"));
            assertThat(state.zones()).containsExactly("wrist-radial", "wrist-after-fall");
            assertThat(state.inZone())
                    .contains(ConditionId.of("scaphoid-fracture"), ConditionId.of("de-quervain"))
                    .doesNotContain(ConditionId.of("tfcc"));
        }

        @Test
        void a_zone_that_opened_by_itself_leaves_nothing_outside() {
            assertThat(fold("wrist", OptionalInt.empty(), Answer.of("mechanism", "outstretched-fall"))
                            .inZone())
                    .contains(ConditionId.of("tfcc"));
        }

        @Test
        void every_condition_of_a_routine_stands_in_a_zone_and_the_other_way_round() {
            CATALOGUE.routines().keySet().forEach(region -> {
                List<ConditionId> zoned = FORM.zonesOf(region).stream()
                        .flatMap(zone -> zone.conditions().stream())
                        .distinct()
                        .toList();
                assertThat(zoned)
                        .as(region)
                        .containsAll(CATALOGUE.conditionsOf(region).stream()
                                .map(Condition::id)
                                .toList());
            });
        }
    }

    @Nested
    class Safety {

        @Test
        void none_of_these_opens_and_a_yes_closes_until_it_is_released_with_a_reason() {
            assertThat(shoulder().screen().state()).isEqualTo(SafetyScreen.State.NOT_YET_ASKED);
            assertThat(shoulder(Answer.of("red-flags", "none")).screen().state())
                    .isEqualTo(SafetyScreen.State.OPEN);
            assertThat(shoulder(Answer.of("red-flags", "cardiac")).screen().state())
                    .isEqualTo(SafetyScreen.State.SUSPENDED);
            IntakeState released = shoulder(
                    Answer.of("red-flags", "cardiac", "none"),
                    Answer.because("release:cardiac", "Seen by the cardiologist, clear"));
            assertThat(released.screen().state()).isEqualTo(SafetyScreen.State.OPEN);
            assertThat(released.screen().releases().get("cardiac"))
                    .isEqualTo(new SafetyScreen.Release(
                            "a.moor", Instant.EPOCH.plusSeconds(1), "Seen by the cardiologist, clear"));
        }

        @Test
        void a_yes_alone_leaves_the_others_unasked() {
            assertThat(shoulder(Answer.of("red-flags", "cardiac"), Answer.because("release:cardiac", "clear"))
                            .screen()
                            .state())
                    .isEqualTo(SafetyScreen.State.NOT_YET_ASKED);
        }

        @Test
        void a_flag_found_again_after_its_release_suspends_anew() {
            assertThat(shoulder(
                                    Answer.of("red-flags", "cord", "none"),
                                    Answer.because("release:cord", "clear"),
                                    Answer.of("red-flags", "none"),
                                    Answer.of("red-flags", "cord", "none"))
                            .screen()
                            .state())
                    .isEqualTo(SafetyScreen.State.SUSPENDED);
        }

        @Test
        void a_release_before_its_flag_releases_nothing() {
            assertThat(shoulder(Answer.because("release:cord", "clear"), Answer.of("red-flags", "cord", "none"))
                            .screen()
                            .state())
                    .isEqualTo(SafetyScreen.State.SUSPENDED);
        }

        @Test
        void taking_none_back_opens_the_question_again() {
            assertThat(shoulder(Answer.of("red-flags", "none"), Answer.of("red-flags"))
                            .screen()
                            .state())
                    .isEqualTo(SafetyScreen.State.NOT_YET_ASKED);
        }
    }

    @Nested
    class Locks {

        @Test
        void a_fact_locks_until_its_weeks_are_over() {
            assertThat(shoulder(
                                    Answer.of("facts", "shoulder-dislocation"),
                                    Answer.on("fact-date:shoulder-dislocation", TODAY.minusWeeks(5)))
                            .closed(NEER))
                    .isTrue();
            assertThat(shoulder(
                                    Answer.of("facts", "shoulder-dislocation"),
                                    Answer.on("fact-date:shoulder-dislocation", TODAY.minusWeeks(6)))
                            .closed(NEER))
                    .isFalse();
            assertThat(shoulder(Answer.of("facts", "shoulder-dislocation")).closed(NEER))
                    .as("without a day nobody knows that the window is over")
                    .isTrue();
        }

        @Test
        void a_day_that_lies_ahead_is_named_and_the_tests_stay_locked() {
            IntakeState state = shoulder(
                    Answer.of("facts", "shoulder-repair"), Answer.on("fact-date:shoulder-repair", TODAY.plusDays(1)));
            assertThat(state.faults()).singleElement().satisfies(fault -> {
                assertThat(fault.question()).isEqualTo("fact-date:shoulder-repair");
                assertThat(fault.message()).contains("up to today, 2026-03-02");
            });
            assertThat(state.closed(TestId.of("sh-empty-can"))).isTrue();
        }

        @Test
        void an_override_opens_one_test_and_keeps_the_reason() {
            IntakeState state = shoulder(
                    Answer.of("facts", "osteoporosis"),
                    Answer.because("override:sh-neer", "Lightly, agreed with the patient"));
            assertThat(state.locked()).containsKey(NEER);
            assertThat(state.closed(NEER)).isFalse();
            assertThat(state.closed(TestId.of("sh-hawkins"))).isTrue();
            assertThat(state.overrides().get(NEER).reason()).isEqualTo("Lightly, agreed with the patient");
        }

        @ParameterizedTest
        @CsvSource({"7, longer, true", "6, longer, false", "9, half-hour, false"})
        void severe_irritability_follows_from_the_answers(int worst, String settles, boolean locks) {
            IntakeState state = fold(
                    "hand", OptionalInt.empty(), Answer.number("pain-worst", worst), Answer.of("settles", settles));
            assertThat(state.closed(TestId.of("wr-phalen"))).isEqualTo(locks);
        }

        @Test
        void facts_of_another_region_lock_nothing_here() {
            assertThat(fold("elbow", OptionalInt.empty(), Answer.of("facts", "shoulder-repair"))
                            .locked())
                    .isEmpty();
        }
    }

    @Test
    void the_therapists_own_starts_width_and_schools_are_kept() {
        IntakeState state = shoulder(
                Answer.number("start:acj", 0.4),
                Answer.of("width", "firm"),
                Answer.of("school:positive-apprehension", "apprehension-or-pain"),
                Answer.number("start:slap", 0.2),
                Answer.of("start:slap"));
        assertThat(state.own()).containsOnly(java.util.Map.entry(ConditionId.of("acj"), 0.4));
        assertThat(state.width()).isEqualTo(StartingOdds.Width.FIRM);
        assertThat(state.schools(CATALOGUE.usualSchools()).choice("positive-apprehension"))
                .isEqualTo("apprehension-or-pain");
        assertThat(state.schools(CATALOGUE.usualSchools()).choice("wrist-flexion-hold"))
                .isEqualTo("sixty");
    }

    @ParameterizedTest(name = "{0} {1} {2} {3}")
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            night            | sideways   | -    | -   | values   | allowed: [sleeps, lying-on-it, any-position]
            night            | sleeps,any-position | - | - | values | one of
            zone             | wrist-ulnar| -    | -   | values   | allowed: [shoulder]
            pain-now         | -          | 11   | -   | number   | whole numbers, 0 to 10
            pain-now         | -          | 2.5  | -   | number   | whole numbers
            red-flags        | moon       | -    | -   | values   | deformity-after-trauma
            release:cord     | -          | -    | ok  | words    | the reason, in words
            release:moon     | -          | -    | seen| question | is not asked here
            override:sh-neer | yes        | -    | -   | words    | the reason, in words
            override:sh-moon | -          | -    | seen| question | is not asked here
            start:acj        | -          | 1    | -   | number   | 0.001 to 0.999
            start:tfcc       | -          | 0.5  | -   | question | is not asked here
            width            | broad      | -    | -   | values   | firm, usual, vague
            school:moon      | a          | -    | -   | question | is not asked here
            school:sulcus-hands | three   | -    | -   | values   | one-steadies, both-pull
            fact-date:shoulder-repair | yes | -  | -   | on       | a day
            weather          | fine       | -    | -   | question | is not asked here
            """)
    void an_answer_of_the_wrong_shape_is_named_by_its_field(
            String question, String values, Double number, String words, String field, String allowed) {
        Answer answer = new Answer(
                question,
                values == null ? List.of() : List.of(values.split(",")),
                number == null ? OptionalDouble.empty() : OptionalDouble.of(number),
                Optional.empty(),
                words == null ? "" : words);
        assertThat(new AnswerCheck(CATALOGUE, FORM, PATHWAYS).fault("shoulder", answer))
                .hasValueSatisfying(fault -> {
                    assertThat(fault.field()).isEqualTo(field);
                    assertThat(fault.message()).contains(allowed);
                });
    }

    @Test
    void answers_of_the_right_shape_are_taken() {
        AnswerCheck check = new AnswerCheck(CATALOGUE, FORM, PATHWAYS);
        assertThat(List.of(
                        Answer.of("night", "sleeps"),
                        Answer.of("night"),
                        Answer.of("red-flags", "none"),
                        Answer.of("facts", "steroids", "none"),
                        Answer.number("pain-now", 10),
                        Answer.because("override:sh-neer", "lightly"),
                        Answer.of("pain-areas", "shoulder-top"),
                        Answer.of("start:acj")))
                .allSatisfy(answer -> assertThat(check.fault("shoulder", answer))
                        .as("%s", answer)
                        .isEmpty());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            clues: [night-pain]           | clues: [moon]                | clue 'moon' is not known
            not-with: {onset: [slowly]}   | not-with: {onset: [moon]}    | 'moon' is no answer to 'onset'
            fact: severe-irritability     | fact: moon                   | fact 'moon' locks nothing
            region: elbow, label: Elbow   | region: knee, label: Knee    | region 'knee' is not known
            conditions: [scapholunate, midcarpal] | conditions: [moon]   | condition 'moon' is not known
            id: stiffness                 | id: night                    | 'night' stands here twice
            """)
    void a_fault_in_the_form_names_file_and_line(String sound, String faulty, String message) {
        String text = lexicor.core.source.SourceNode.resourceText("/lexicor/catalogue/intake.yaml");
        assertThat(text).contains(sound);
        int at = text.indexOf(sound);
        assertThatThrownBy(() -> IntakeReader.read(
                        CATALOGUE, text.substring(0, at) + faulty + text.substring(at + sound.length())))
                .hasMessageContaining("intake.yaml")
                .hasMessageContaining(message);
    }
}
