package lexicor.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lexicor.core.assessment.AssessedVisit;
import lexicor.core.assessment.VisitAssessor;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Part;
import lexicor.core.intake.IntakeFolder;
import org.junit.jupiter.api.Test;

class PracticeReviewTest {

    private static final PracticeGround GROUND = PracticeGrounds.SHIPPED;
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final ConditionId FROZEN = ConditionId.of("frozen-shoulder");
    private static final TestId HAWKINS = TestId.of("sh-hawkins");
    private static final TestId ARC = TestId.of("sh-arc");

    private static PracticeCase known(String more) {
        return PracticeGrounds.shoulder(50, "subacromial-pain", "onset: slowly, pain-now: 2" + more, """
                answers:
                  sh-hawkins: {pain: familiar, site: outer-arm}
                  sh-arc: {pain: none}
                  sh-neer: {quality: guarded}
                """);
    }

    /** Questions as text, tests to be done well side first, chances as maps, and ends. */
    private static PracticeReview review(PracticeCase known, Object... what) {
        List<PracticeStep> steps = new ArrayList<>();
        for (Object each : what) {
            PracticeExamination now = new PracticeExamination(GROUND, known, steps);
            if (each instanceof String question) {
                steps.add(now.ask(List.of(question)));
            } else if (each instanceof TestId test) {
                PracticeStep.Examined done = now.examine(test, "usual", true);
                boolean fixed = known.fixed().containsKey(test);
                steps.add(
                        fixed
                                ? new PracticeStep.Examined(
                                        test, "usual", true, known.fixed().get(test), done.well(), done.hurt())
                                : done);
            } else {
                steps.add((PracticeStep) each);
            }
        }
        return PracticeReview.of(new PracticeExamination(GROUND, known, steps), GROUND);
    }

    private static PracticeStep.Believed believed(double subacromial, double frozen) {
        return new PracticeStep.Believed(Map.of(SUBACROMIAL, subacromial, FROZEN, frozen));
    }

    @Test
    void a_move_is_set_beside_what_the_answer_weighs() {
        PracticeReview review = review(
                known(""),
                IntakeFolder.RED_FLAGS,
                "onset",
                believed(0.5, 0.2),
                HAWKINS,
                believed(0.9, 0.2),
                new PracticeStep.Ended(false));
        PracticeReview.Move move = review.turns().get(0).moves().stream()
                .filter(each -> each.condition().equals(SUBACROMIAL))
                .findFirst()
                .orElseThrow();
        assertThat(move.own()).isCloseTo(10 * Math.log10(9), within(1e-9));
        assertThat(move.weighed()).isPositive().isLessThan(move.own());
        assertThat(move.telling()).isTrue();
        PracticeReview.Claim claim = review.claims().stream()
                .filter(each -> each.condition().equals(SUBACROMIAL))
                .findFirst()
                .orElseThrow();
        assertThat(claim.own()).isEqualTo(0.9);
        assertThat(claim.present()).isTrue();
        assertThat(claim.start()).isEqualTo(move.weighedBefore());
        assertThat(claim.weighed()).isEqualTo(move.weighedAfter());
        assertThat(review.claims()).hasSize(2);
        assertThat(review.overlooked()).isEmpty();
        assertThat(review.missed()).isEmpty();
    }

    /** What is weighed is the assessment of any other visit with the same answers. */
    @Test
    void the_weighing_beside_it_is_that_of_an_examination() {
        PracticeCase known = known("");
        List<PracticeStep> steps = List.of(
                new PracticeStep.Asked(List.of("onset")),
                new PracticeStep.Examined(
                        HAWKINS, "usual", true, known.fixed().get(HAWKINS), List.of(), java.util.Optional.empty()),
                believed(0.4, 0.3));
        PracticeExamination examination = new PracticeExamination(GROUND, known, steps);
        AssessedVisit visit = new VisitAssessor(GROUND.catalogue(), GROUND.form())
                .assess(examination.facts(), GROUND.weighing().evidence());
        Map<ConditionId, Double> chances = GROUND.weighing().chances(visit.visit(), visit.readings());
        assertThat(PracticeReview.of(examination, GROUND).claims())
                .allSatisfy(claim -> assertThat(claim.weighed()).isEqualTo(chances.get(claim.condition())));
    }

    @Test
    void hands_before_the_questions_about_red_flags_are_said() {
        assertThat(kinds(review(known(""), HAWKINS, new PracticeStep.Ended(false))))
                .containsExactly(PracticeReview.Kind.FLAGS_NOT_ASKED);
        assertThat(kinds(review(known(""), TestId.of("sh-look"), new PracticeStep.Ended(false))))
                .isEmpty();
    }

    @Test
    void a_red_flag_is_to_be_acted_on_and_nobody_else_is_sent_on_for_nothing() {
        PracticeCase flagged = known(", red-flags: [joint-infection]");
        assertThat(kinds(review(flagged, IntakeFolder.RED_FLAGS, new PracticeStep.Ended(true))))
                .isEmpty();
        assertThat(kinds(review(flagged, IntakeFolder.RED_FLAGS, HAWKINS, new PracticeStep.Ended(true))))
                .containsExactly(PracticeReview.Kind.FLAG_IGNORED, PracticeReview.Kind.HURT);
        assertThat(kinds(review(flagged, new PracticeStep.Ended(false))))
                .containsExactly(PracticeReview.Kind.FLAG_IGNORED);
        assertThat(kinds(review(known(""), IntakeFolder.RED_FLAGS, new PracticeStep.Ended(true))))
                .containsExactly(PracticeReview.Kind.SENT_ON_FOR_NOTHING);
    }

    @Test
    void a_side_left_out_and_a_guarded_answer_left_so_are_said() {
        PracticeCase known = known("");
        PracticeStep.Examined oneSided = new PracticeStep.Examined(
                HAWKINS, "usual", false, known.fixed().get(HAWKINS), List.of(), java.util.Optional.empty());
        PracticeReview review = review(known, IntakeFolder.RED_FLAGS, oneSided, TestId.of("sh-neer"));
        assertThat(kinds(review)).containsExactly(PracticeReview.Kind.WELL_SIDE, PracticeReview.Kind.NOT_TRIED_AGAIN);
        assertThat(review.missed().get(0).tests()).containsExactly(HAWKINS);
        assertThat(review.turns()).extracting(PracticeReview.Turn::read).containsExactly(true, false);
        assertThat(review.overlooked()).as("no chance was put on it").containsOnlyKeys(SUBACROMIAL);
    }

    @Test
    void a_test_that_told_nothing_new_is_told_from_one_worth_doing_and_a_better_one_is_named() {
        PracticeReview review = review(known(""), IntakeFolder.RED_FLAGS, TestId.of("sh-look"), ARC, HAWKINS);
        assertThat(review.turns()).hasSize(3);
        PracticeReview.Turn look = review.turns().get(0);
        assertThat(look.better()).isPresent();
        assertThat(look.better().get().bits() / look.better().get().seconds())
                .isGreaterThan(1.5 * look.bits() / look.seconds());
        assertThat(review.turns().get(1).worthDoing()).isTrue();
        assertThat(review.couldStop()).isEmpty();
        assertThat(review.seconds()).isPositive();
        assertThat(review.hurts()).isZero();
    }

    private static List<PracticeReview.Kind> kinds(PracticeReview review) {
        return review.missed().stream().map(PracticeReview.Missed::kind).toList();
    }

    private static Part chosen(String key, String choice) {
        return new Part.Chosen(key, choice, Part.Context.PLAIN);
    }

    private static PracticeStep.Written written(Part... here) {
        return new PracticeStep.Written(HAWKINS, List.of(here), List.of());
    }

    private static WrittenAnswer writtenOf(Object... after) {
        List<Object> what = new ArrayList<>(List.of(IntakeFolder.RED_FLAGS, HAWKINS));
        what.addAll(List.of(after));
        return review(known(""), what.toArray()).turns().get(0).written().orElseThrow();
    }

    @Test
    void what_was_written_as_it_was_shown_is_said_to_be_so() {
        WrittenAnswer same = writtenOf(written(chosen("pain", "familiar"), chosen("site", "outer-arm")));
        assertThat(same.otherwise()).isEmpty();
        assertThat(same.turned()).isEmpty();
    }

    @Test
    void an_answer_that_was_written_otherwise_says_what_it_turns() {
        WrittenAnswer none = writtenOf(written(chosen("pain", "none")));
        assertThat(none.otherwise())
                .extracting(WrittenAnswer.Otherwise::shown)
                .contains(List.of(chosen("pain", "familiar")), List.of(chosen("site", "outer-arm")));
        assertThat(none.otherwise().get(0).written()).containsExactly(chosen("pain", "none"));
        assertThat(none.turned()).contains(SUBACROMIAL);
    }

    @Test
    void what_was_written_last_counts_and_of_another_go_nothing() {
        PracticeStep.Written right = written(chosen("pain", "familiar"), chosen("site", "outer-arm"));
        assertThat(writtenOf(written(chosen("pain", "none")), right).otherwise())
                .isEmpty();
        PracticeReview again = review(known(""), IntakeFolder.RED_FLAGS, HAWKINS, HAWKINS, right);
        assertThat(again.turns().get(0).written()).isEmpty();
        assertThat(again.turns().get(1).written()).isPresent();
    }

    @Test
    void only_what_a_test_records_can_be_written_and_only_once_it_was_done() {
        PracticeExamination begun = new PracticeExamination(GROUND, known(""), List.of());
        assertThatThrownBy(() -> begun.write(HAWKINS, List.of(), List.of())).hasMessageContaining("was not done");
        PracticeExamination done =
                new PracticeExamination(GROUND, known(""), List.of(begun.examine(HAWKINS, "usual", true)));
        assertThatThrownBy(() -> done.write(HAWKINS, List.of(chosen("pain", "purple")), List.of()))
                .hasMessageContaining("not an answer for 'pain'");
        assertThat(done.write(HAWKINS, List.of(chosen("pain", "none")), List.of()))
                .isEqualTo(written(chosen("pain", "none")));
    }
}
