package lexicor.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.evidence.Estimate;
import org.junit.jupiter.api.Test;

class ProgressTest {

    private static final ConditionId CONDITION = ConditionId.of("acj");

    /** A move from even odds, in decibans for one's own and for the weighing. */
    private static PracticeReview.Move move(double own, double weighed) {
        return new PracticeReview.Move(CONDITION, 0.5, chance(own), 0.5, chance(weighed));
    }

    private static double chance(double decibans) {
        double odds = Math.pow(10, decibans / 10);
        return odds / (1 + odds);
    }

    /**
     * Sums of products worked out by hand: 250, 158 and 407; 97.5 in 100 of Student's t with 11 degrees from tables.
     */
    @Test
    void reaction_is_the_slope_through_the_origin_with_students_limits() {
        double[] weighed = {2, 3, -2, 5, -4, 1, 6, -3, 4, 2, -5, 3};
        double[] own = {3, 5, -2, 9, -5, 2, 8, -6, 7, 2, -9, 5};
        List<PracticeReview.Move> moves = new ArrayList<>();
        for (int i = 0; i < own.length; i++) {
            moves.add(move(own[i], weighed[i]));
        }
        Estimate reaction = Progress.reaction(moves).orElseThrow();
        assertThat(reaction.estimate()).isCloseTo(250.0 / 158, within(1e-9));
        double rest = 407 - 250.0 * 250 / 158;
        double half = 2.200985160082949 * Math.sqrt(rest / 11 / 158);
        assertThat(reaction.lower()).isCloseTo(250.0 / 158 - half, within(1e-9));
        assertThat(reaction.upper()).isCloseTo(250.0 / 158 + half, within(1e-9));
        assertThat(Progress.reaction(moves.subList(0, 9))).isEmpty();
    }

    @Test
    void cases_are_drawn_together() {
        PracticeReview.Claim right = new PracticeReview.Claim(CONDITION, 0.2, 0.8, 0.7, true);
        PracticeReview.Claim wrong = new PracticeReview.Claim(CONDITION, 0.2, 0.6, 0.1, false);
        Progress progress = Progress.of(List.of(
                new Progress.Case(6, 0, List.of(true, true, false), List.of(), List.of(right)),
                new Progress.Case(10, 2, List.of(true), List.of(), List.of(wrong))));
        assertThat(progress.cases()).isEqualTo(2);
        assertThat(progress.minutes()).isEqualTo(8);
        assertThat(progress.hurt()).contains(Estimate.ofShare(1, 2));
        assertThat(progress.worthDoing()).contains(Estimate.ofShare(3, 4));
        assertThat(progress.reaction()).isEmpty();
        assertThat(progress.own()).extracting(claim -> claim.stated()).containsExactly(0.8, 0.6);
        assertThat(progress.weighed()).extracting(claim -> claim.stated()).containsExactly(0.7, 0.1);
    }

    @Test
    void without_a_case_nothing_is_said() {
        Progress progress = Progress.of(List.of());
        assertThat(progress.cases()).isZero();
        assertThat(progress.hurt()).isEmpty();
        assertThat(progress.worthDoing()).isEmpty();
        assertThat(progress.own()).isEmpty();
    }
}
