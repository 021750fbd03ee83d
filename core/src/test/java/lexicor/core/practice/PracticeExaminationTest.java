package lexicor.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Part;
import lexicor.core.intake.IntakeFolder;
import org.junit.jupiter.api.Test;

class PracticeExaminationTest {

    private static final PracticeGround GROUND = PracticeGrounds.SHIPPED;
    private static final Catalogue CATALOGUE = GROUND.catalogue();
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
    private static final TestId HAWKINS = TestId.of("sh-hawkins");
    private static final TestId APPREHENSION = TestId.of("sh-apprehension");

    private static PracticeCase written(String truth, String more) {
        return PracticeGrounds.shoulder(50, truth, "onset: injury, pain-now: 2" + more, "seed: 7\n");
    }

    private static PracticeExamination done(PracticeCase known, Object... what) {
        List<PracticeStep> steps = new ArrayList<>();
        for (Object each : what) {
            PracticeExamination now = new PracticeExamination(GROUND, known, steps);
            steps.add(
                    each instanceof String question
                            ? now.ask(List.of(question))
                            : now.examine((TestId) each, "usual", true));
        }
        return new PracticeExamination(GROUND, known, steps);
    }

    @Test
    void only_what_is_asked_is_known_beside_where_it_hurts() {
        PracticeCase known = written("subacromial-pain", "");
        assertThat(done(known).history().heard()).hasSize(1);
        assertThat(done(known, "onset", IntakeFolder.FACTS).history().heard())
                .extracting(heard -> heard.answer().question())
                .containsExactly("zone", "onset", "facts");
        assertThatThrownBy(() -> done(known, "horoscope")).hasMessageContaining("horoscope");
    }

    @Test
    void a_test_is_answered_alike_however_often_and_whenever_it_is_done() {
        PracticeCase known = written("subacromial-pain", "");
        List<Part> first = done(known, HAWKINS).examined().get(0).here();
        List<PracticeStep.Examined> later =
                done(known, TestId.of("sh-neer"), HAWKINS, HAWKINS).examined();
        assertThat(later.stream()
                        .filter(each -> each.test().equals(HAWKINS))
                        .map(each -> of(each.here(), "pain"))
                        .distinct()
                        .filter(pain -> !pain.isEmpty()))
                .isSubsetOf(
                        of(first, "pain"),
                        of(later.get(1).here(), "pain"),
                        of(later.get(2).here(), "pain"))
                .hasSizeLessThanOrEqualTo(1);
    }

    private static String of(List<Part> parts, String key) {
        return parts.stream()
                .filter(part -> part.key().equals(key))
                .map(part -> ((Part.Chosen) part).choice())
                .findFirst()
                .orElse("");
    }

    /** Shares of positives over many patients are those of the figures, as far as one response can say all at once. */
    @Test
    void answers_come_as_often_as_the_figures_say() {
        int patients = 1500;
        PracticeCase with = written("subacromial-pain", "");
        assertThat(with.present()).isEqualTo(Set.of(ConditionId.of("subacromial-pain")));
        int positive = 0;
        for (long seed = 0; seed < patients; seed++) {
            PracticeCase one = new PracticeCase(
                    "",
                    with.region(),
                    with.setting(),
                    with.side(),
                    seed,
                    DAY,
                    50,
                    with.sex(),
                    true,
                    "",
                    "",
                    with.present(),
                    with.tells(),
                    Map.of());
            PracticePatient.Answered answered =
                    new PracticePatient(GROUND, one).answer(HAWKINS, new PracticePatient.How("usual", true, 9, 0));
            positive += of(answered.here(), "pain").equals("familiar") ? 1 : 0;
        }
        double expected = GROUND.weighing()
                .evidence()
                .inUse(HAWKINS, ConditionId.of("subacromial-pain"), CATALOGUE.usualSchools())
                .orElseThrow()
                .belief()
                .sensitivity();
        double guarded = 0.3 * 2 * GROUND.content().guarding().eachStep();
        assertThat(positive / (double) patients).isCloseTo(expected * (1 - guarded), within(0.06));
    }

    @Test
    void a_way_that_nobody_studied_says_nothing_and_minutes_count_both_sides() {
        PracticeCase known = written("subacromial-pain", "");
        int seconds = CATALOGUE.test(HAWKINS).seconds();
        assertThat(done(known, HAWKINS).seconds()).isEqualTo(2.0 * seconds);
        assertThat(done(known, HAWKINS, "onset").seconds())
                .isEqualTo(2.0 * seconds + GROUND.content().questionSeconds());
        PracticeExamination fresh = done(known);
        PracticeExamination oneSide =
                new PracticeExamination(GROUND, known, List.of(fresh.examine(HAWKINS, "usual", false)));
        assertThat(oneSide.seconds()).isEqualTo(seconds);
        assertThat(oneSide.examined().get(0).well()).isEmpty();
        assertThatThrownBy(() -> fresh.examine(HAWKINS, "upside-down", true)).hasMessageContaining("upside-down");
    }

    @Test
    void a_red_flag_hurts_whoever_goes_on_asked_or_not() {
        PracticeCase known = written("subacromial-pain", ", red-flags: [joint-infection]");
        assertThat(done(known, HAWKINS).examined().get(0).hurt()).contains(PatientContent.Hurt.FLAG);
        assertThat(done(known, IntakeFolder.RED_FLAGS, TestId.of("sh-look"))
                        .examined()
                        .get(0)
                        .hurt())
                .as("looking hurts nobody")
                .isEmpty();
    }

    @Test
    void a_lock_hurts_and_says_whether_anybody_asked() {
        PracticeCase known = written("subacromial-pain", ", facts: [bleeding]");
        assertThat(done(known, HAWKINS).examined().get(0).hurt()).contains(PatientContent.Hurt.LOCKED_UNASKED);
        assertThat(done(known, IntakeFolder.FACTS, HAWKINS).examined().get(0).hurt())
                .contains(PatientContent.Hurt.LOCKED);
    }

    @Test
    void what_an_answer_has_closed_hurts_when_it_is_done_all_the_same() {
        PracticeCase known = PracticeGrounds.shoulder(
                22, "anterior-instability", "onset: injury, pain-now: 2, instability: dislocated", """
                        answers:
                          sh-apprehension: {apprehension: yes, pain: none}
                        """);
        PracticeExamination after = done(known, APPREHENSION);
        TestId closed = after.stopped().keySet().stream()
                .min((one, other) -> one.value().compareTo(other.value()))
                .orElseThrow();
        assertThat(after.examine(closed, "usual", true).hurt()).contains(PatientContent.Hurt.CLOSED);
        assertThat(done(known, closed).examined().get(0).hurt()).isEmpty();
    }

    @Test
    void pain_grows_with_what_is_provoked_and_never_beyond_the_scale() {
        PracticeCase known = PracticeGrounds.shoulder(50, "subacromial-pain", "pain-now: 9", """
                        answers:
                          sh-hawkins: {pain: familiar}
                        """);
        assertThat(done(known).pain()).isEqualTo(9);
        PracticeExamination once = done(known, HAWKINS);
        assertThat(once.pain())
                .isEqualTo(9
                        + GROUND.content().painRises() * CATALOGUE.test(HAWKINS).provocation());
        assertThat(done(known, HAWKINS, HAWKINS, HAWKINS, HAWKINS).pain()).isEqualTo(10);
        assertThat(once.examine(HAWKINS, "usual", true).hurt()).contains(PatientContent.Hurt.SORE);
    }

    @Test
    void a_finding_that_defines_a_condition_is_there_in_all_who_have_it() {
        ConditionId frozen = ConditionId.of("frozen-shoulder");
        for (long seed = 1; seed < 30; seed++) {
            PracticeCase base = written("frozen-shoulder", "");
            PracticeCase one = new PracticeCase(
                    "",
                    base.region(),
                    base.setting(),
                    base.side(),
                    seed,
                    DAY,
                    50,
                    base.sex(),
                    true,
                    "",
                    "",
                    base.present(),
                    base.tells(),
                    Map.of());
            TestId rom = TestId.of("sh-rom");
            assertThat(new PracticePatient(GROUND, one)
                            .wanted(CATALOGUE.test(rom), "usual", new SplittableRandom(seed)))
                    .anyMatch(wanted -> wanted.condition().equals(frozen) && wanted.positive());
        }
    }

    @Test
    void what_is_said_is_told_from_what_is_seen() {
        PracticeCase known = PracticeGrounds.shoulder(50, "subacromial-pain", "pain-now: 1", """
                        answers:
                          sh-hawkins: {pain: familiar, site: outer-arm}
                          sh-rom: {flexion: full, abduction: 90}
                        """);
        ResponseWords words = new ResponseWords(GROUND);
        assertThat(words.lines(CATALOGUE.test(HAWKINS), known.fixed().get(HAWKINS)))
                .containsExactly(
                        new ResponseWords.Line("Pain", "Yes. That is my pain.", true),
                        new ResponseWords.Line("Where", "Outer arm", false));
        assertThat(words.lines(
                        CATALOGUE.test(TestId.of("sh-rom")), known.fixed().get(TestId.of("sh-rom"))))
                .extracting(ResponseWords.Line::words)
                .contains("Full", "90 °");
    }

    @Test
    void pain_along_a_movement_starts_before_it_is_worst_and_is_gone_after() {
        for (String truth : List.of("subacromial-pain", "acj", "frozen-shoulder", "cuff-tear-full")) {
            for (int seed = 1; seed <= 40; seed++) {
                PracticeCase known =
                        PracticeGrounds.shoulder(52, truth, "onset: slowly, pain-now: 3", "seed: " + seed + "\n");
                List<Part> here = new PracticeExamination(PracticeGrounds.SHIPPED, known, List.of())
                        .examine(TestId.of("sh-arc"), "usual", true)
                        .here();
                double passed = 0;
                for (String key : List.of("angle-start", "angle-worst", "angle-end")) {
                    for (Part part : here) {
                        if (part instanceof Part.Measured measured && part.key().equals(key)) {
                            assertThat(measured.value())
                                    .as("%s of %s", key, here)
                                    .isGreaterThanOrEqualTo(passed);
                            passed = measured.value();
                        }
                    }
                }
            }
        }
    }
}
