package lexicor.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.RedFlag;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.intake.SafetyScreen.Release;
import lexicor.core.intake.SafetyScreen.State;
import lexicor.core.intake.StartingOdds.Moved;
import lexicor.core.intake.StartingOdds.Start;
import lexicor.core.intake.StartingOdds.Story;
import lexicor.core.story.HeardStory;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class IntakeTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

    @Nested
    class Red_flags {

        private final SafetyScreen screen = SafetyScreen.of(CATALOGUE, "shoulder");

        @ParameterizedTest
        @ValueSource(strings = {"shoulder", "elbow", "wrist", "hand", "neck"})
        void every_region_has_its_own(String region) {
            assertThat(SafetyScreen.of(CATALOGUE, region).asked())
                    .hasSizeGreaterThanOrEqualTo(5)
                    .extracting(RedFlag::then)
                    .allMatch(then -> then.endsWith("per local pathway"));
        }

        @Test
        void testing_is_closed_until_all_were_asked() {
            assertThat(screen.state()).isEqualTo(State.NOT_YET_ASKED);
            assertThat(screen.answered("cardiac", false).state()).isEqualTo(State.NOT_YET_ASKED);
            assertThat(screen.noneOfThese().state()).isEqualTo(State.OPEN);
        }

        @Test
        void a_yes_suspends_even_before_the_rest_was_asked() {
            SafetyScreen suspended = screen.answered("joint-infection", true);
            assertThat(suspended.state()).isEqualTo(State.SUSPENDED);
            assertThat(suspended.noneOfThese().state())
                    .as("none of these does not take a yes back")
                    .isEqualTo(State.SUSPENDED);
            assertThat(suspended.present()).extracting(RedFlag::thinkOf).containsExactly("Joint infection");
        }

        @Test
        void a_release_opens_it_and_is_kept() {
            SafetyScreen released = screen.answered("tumour", true)
                    .noneOfThese()
                    .released("tumour", new Release("A. Moor", Instant.EPOCH, "MRI last week, clear"));
            assertThat(released.state()).isEqualTo(State.OPEN);
            assertThat(released.releases().get("tumour").reason()).isEqualTo("MRI last week, clear");
            assertThat(released.answered("tumour", true).state())
                    .as("found again")
                    .isEqualTo(State.SUSPENDED);
        }

        @Test
        void a_release_needs_a_name_a_reason_and_a_flag_that_is_present() {
            assertThatThrownBy(() -> new Release("A. Moor", Instant.EPOCH, " "))
                    .hasMessageContaining("reason is too short");
            assertThatThrownBy(() -> new Release("", Instant.EPOCH, "seen")).hasMessageContaining("by is empty");
            assertThatThrownBy(() -> screen.released("cord", new Release("A. Moor", Instant.EPOCH, "seen")))
                    .hasMessageContaining("is not present");
            assertThatThrownBy(() -> screen.answered("cold", true))
                    .hasMessageContaining("red flag 'cold' is not asked here; allowed: [deformity");
            assertThatThrownBy(() -> SafetyScreen.of(CATALOGUE, "knee"))
                    .hasMessageContaining("allowed: [elbow, hand, neck, shoulder, wrist]");
        }
    }

    @Nested
    class Locks {

        private final LockCheck check = new LockCheck(CATALOGUE);

        @ParameterizedTest(name = "dislocation on {0}: locked {1}")
        @CsvSource({"2026-01-18, false", "2026-01-19, false", "2026-01-20, true", "2026-03-02, true"})
        void a_window_locks_to_the_day(LocalDate on, boolean locked) {
            assertThat(check.locked(List.of(LockFinding.on("shoulder-dislocation", on)), TODAY)
                            .containsKey(TestId.of("sh-apprehension")))
                    .isEqualTo(locked);
        }

        @Test
        void without_a_date_a_window_is_taken_as_open() {
            assertThat(check.locked(List.of(LockFinding.of("shoulder-repair")), TODAY))
                    .containsKey(TestId.of("sh-empty-can"))
                    .doesNotContainKey(TestId.of("sh-rom"));
        }

        @Test
        void every_reason_is_told_with_its_end() {
            var locked = check.locked(
                    List.of(
                            LockFinding.on("shoulder-dislocation", LocalDate.of(2026, 2, 16)),
                            LockFinding.of("dislocates-easily")),
                    TODAY);
            assertThat(locked.get(TestId.of("sh-fulcrum")))
                    .extracting(LockedTest::why)
                    .containsExactly(
                            "Shoulder dislocation, locked until 30 Mar 2026: stress could displace it",
                            "Recurrent dislocation, or dislocates easily: the joint could come out; apprehension only slowly and by an experienced examiner");
        }

        @Test
        void a_position_that_cannot_be_taken_locks_what_can_be_done_in_no_other() {
            var lying = check.locked(List.of(LockFinding.of("cannot-lie-back")), TODAY);
            assertThat(lying.keySet())
                    .allSatisfy(
                            test -> assertThat(CATALOGUE.test(test).positions()).containsExactly("Supine"));
            assertThat(lying.get(TestId.of("sh-biceps-load-2")))
                    .extracting(LockedTest::why)
                    .containsExactly("Cannot lie on the back: it can be done in no position that is left");
            assertThat(lying).doesNotContainKeys(TestId.of("sh-neer"), TestId.of("sh-rom"));
        }

        @Test
        void two_positions_that_cannot_be_taken_lock_what_has_no_third() {
            List<TestId> both = CATALOGUE.tests().values().stream()
                    .filter(test -> Set.copyOf(test.positions()).equals(Set.of("Standing", "Supine")))
                    .map(ExaminationTest::id)
                    .toList();
            assertThat(both).isNotEmpty();
            assertThat(check.locked(List.of(LockFinding.of("cannot-stand")), TODAY))
                    .doesNotContainKeys(both.toArray(TestId[]::new));
            assertThat(check.locked(List.of(LockFinding.of("cannot-stand"), LockFinding.of("cannot-lie-back")), TODAY)
                            .get(both.get(0)))
                    .extracting(LockedTest::why)
                    .containsExactly(
                            "Cannot stand: it can be done in no position that is left",
                            "Cannot lie on the back: it can be done in no position that is left");
        }

        @Test
        void what_is_unknown_or_yet_to_come_is_named() {
            assertThatThrownBy(() -> check.locked(List.of(LockFinding.of("flu")), TODAY))
                    .hasMessageContaining("fact 'flu' locks nothing; allowed: [shoulder-fracture");
            assertThatThrownBy(() -> check.locked(List.of(LockFinding.on("shoulder-repair", TODAY.plusDays(1))), TODAY))
                    .hasMessage("shoulder-repair is on 2026-03-03; allowed: up to 2026-03-02");
        }
    }

    @Nested
    class Starting_odds {

        private final StartingOdds odds = new StartingOdds(
                CATALOGUE,
                EvidenceReader.shipped(CATALOGUE),
                IntakeForm.shipped(CATALOGUE).story());

        private HeardStory heard(String... clues) {
            return new HeardStory(
                    Stream.of(clues).collect(Collectors.toMap(clue -> clue, clue -> true)),
                    Optional.empty(),
                    Optional.empty());
        }

        private Start start(
                String condition, HeardStory heard, Set<String> clues, boolean inZone, Map<ConditionId, Double> own) {
            Condition known = CATALOGUE.condition(ConditionId.of(condition));
            return odds.of(
                            List.of(known),
                            new Story(
                                    StartingOdds.shippedEstimates(List.of(known), CareSetting.FIRST_CONTACT),
                                    inZone ? Set.of(known.id()) : Set.of(),
                                    heard,
                                    clues,
                                    Map.of(),
                                    own))
                    .get(0);
        }

        private Start start(String condition, String... clues) {
            return start(condition, heard(clues), Set.of(), true, Map.of());
        }

        @Test
        void nothing_told_leaves_the_working_estimate() {
            assertThat(start("acj").chance()).isCloseTo(0.12, within(1e-12));
        }

        @Test
        void what_was_told_shifts_by_visible_steps_and_of_a_group_the_strongest_once() {
            Start start = start(
                    "frozen-shoulder",
                    "clues:diabetes",
                    "clues:thyroid",
                    "stiffness:stiff-sleepless",
                    "clues:cannot-turn-out",
                    "mechanism:overhead");
            assertThat(start.moved())
                    .extracting(Moved::by)
                    .containsExactlyInAnyOrder("Diabetes", "Stiff, loses sleep over it");
            double before = Math.log(0.1 / 0.9);
            assertThat(start.chance()).isCloseTo(1 / (1 + Math.exp(-(before + 2 * Math.log(2.5)))), within(1e-12));
        }

        @Test
        void a_clue_with_published_accuracy_is_evidence_and_no_shift() {
            Start start = start("cuff-tear-any", heard("night:lying-on-it"), Set.of("night-pain"), true, Map.of());
            assertThat(start.moved()).isEmpty();
            assertThat(start.weighedLater()).containsExactly("Pain at night");
        }

        @Test
        void outside_the_zone_a_condition_starts_at_a_tenth() {
            assertThat(start("cervical-radiculopathy", heard(), Set.of(), false, Map.of())
                            .chance())
                    .isCloseTo(0.01, within(1e-12));
        }

        @Test
        void the_therapists_own_chance_stands_and_the_steps_stay_to_be_seen() {
            Start start = start(
                    "frozen-shoulder",
                    heard("clues:diabetes"),
                    Set.of(),
                    true,
                    Map.of(ConditionId.of("frozen-shoulder"), 0.4));
            assertThat(start.chance()).isCloseTo(0.4, within(1e-12));
            assertThat(start.moved()).hasSize(1);
            assertThat(start.estimate()).isEqualTo(0.10);
        }

        @Test
        void a_start_that_needs_a_story_waits_for_it() {
            assertThat(start("shoulder-fracture").inactive()).hasValue("after an injury, or seizure or electric shock");
            assertThat(start("shoulder-fracture", heard(), Set.of("seizure"), true, Map.of())
                            .inactive())
                    .isEmpty();
        }

        @Test
        void what_cannot_be_in_a_story_is_left_out_with_the_reason() {
            assertThat(start("shoulder-fracture", heard("onset:slowly"), Set.of("after-injury"), true, Map.of())
                            .inactive())
                    .hasValue("No fresh fracture or dislocation without an event");
        }

        @Test
        void a_wider_condition_never_starts_below_a_narrower_one() {
            List<Condition> cuff = Stream.of(
                            "subacromial-pain", "cuff-tear-any", "cuff-tear-full", "supraspinatus-tear")
                    .map(ConditionId::of)
                    .map(CATALOGUE::condition)
                    .toList();
            HeardStory old = new HeardStory(
                    Map.of("onset:injury", true, "clues:felt-weak", true),
                    Optional.of(new Pattern.Ages(78, 79)),
                    Optional.empty());
            List<Start> starts = odds.of(
                    cuff,
                    new Story(
                            StartingOdds.shippedEstimates(cuff, CareSetting.FIRST_CONTACT),
                            Set.copyOf(cuff.stream().map(Condition::id).toList()),
                            old,
                            Set.of(),
                            Map.of(),
                            Map.of()));
            assertThat(starts.get(0).chance())
                    .isGreaterThanOrEqualTo(starts.get(1).chance());
            assertThat(starts.get(1).chance())
                    .isGreaterThanOrEqualTo(starts.get(2).chance());
            assertThat(starts.get(2).chance())
                    .isGreaterThanOrEqualTo(starts.get(3).chance());
        }

        @Test
        void unknown_clues_and_impossible_chances_are_refused() {
            assertThatThrownBy(() -> start("acj", heard(), Set.of("moon"), true, Map.of()))
                    .hasMessageContaining("clue 'moon' is not known; allowed: [after-blow");
            assertThatThrownBy(() -> start("acj", heard(), Set.of(), true, Map.of(ConditionId.of("acj"), 1.0)))
                    .hasMessageContaining("prior is 1.0");
        }
    }
}
