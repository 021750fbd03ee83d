package lexicor.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.RedFlag;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.practice.PracticeExamination;
import lexicor.core.practice.PracticeGround;
import lexicor.core.practice.PracticeReview;
import lexicor.core.practice.ResponseWords;
import lexicor.core.practice.WrittenAnswer;

/**
 * What a practice case showed. Chances are 0..1, moves in decibans.
 *
 * @param truth names of what is there, without what it lies within; empty where nothing is
 * @param redFlag the sign that was there; absent where none was
 * @param overlooked what is there and no chance was put on
 * @param couldStop number of tests after which nothing was worth doing; absent where something always was
 */
record PracticeReviewJson(
        List<String> truth,
        @Schema(nullable = true) String redFlag,
        List<MissedJson> missed,
        List<TurnJson> turns,
        @Schema(nullable = true) Integer couldStop,
        List<ClaimJson> claims,
        List<OverlookedJson> overlooked,
        double minutes,
        int hurts,
        int hints,
        @Schema(nullable = true) ScoreJson score) {

    /** Something missed, in words. */
    @Schema(name = "PracticeMissedJson")
    record MissedJson(PracticeReview.Kind kind, List<String> tests) {}

    /**
     * A go at a test.
     *
     * @param better a test that clearly promised more a minute; absent where there was none
     * @param written what was written down of the answer; absent where nothing was
     */
    @Schema(name = "PracticeTurnJson")
    record TurnJson(
            String testId,
            String name,
            double bits,
            boolean worthDoing,
            boolean read,
            @Schema(nullable = true) BetterJson better,
            @Schema(nullable = true) WrittenJson written,
            List<MoveJson> moves) {}

    /**
     * What was written down, beside what the patient showed.
     *
     * @param turned names of conditions for which it reads otherwise
     */
    @Schema(name = "PracticeWrittenJson")
    record WrittenJson(List<OtherwiseJson> otherwise, List<String> turned) {}

    /** A part that was written otherwise, in words; {@code written} is empty where it was left out. */
    @Schema(name = "PracticeOtherwiseJson")
    record OtherwiseJson(String label, boolean well, String shown, String written) {}

    /** Another test; {@code times} as much a minute it promised, absent where this one promised nothing. */
    @Schema(name = "PracticeBetterJson")
    record BetterJson(
            String testId,
            String name,
            @Schema(nullable = true) Double times) {}

    /** A condition before and after one answer. */
    @Schema(name = "PracticeMoveJson")
    record MoveJson(
            String conditionId,
            String name,
            double ownBefore,
            double ownAfter,
            double weighedBefore,
            double weighedAfter,
            double own,
            double weighed) {}

    /** A chance at the start, one's own at the end, that of the weighing, and whether it is there. */
    @Schema(name = "PracticeClaimJson")
    record ClaimJson(String conditionId, String name, double start, double own, double weighed, boolean present) {}

    /** What is there and no chance was put on, with where the weighing stands. */
    @Schema(name = "PracticeOverlookedJson")
    record OverlookedJson(String name, double weighed) {}

    /** Mean squared distances from the truth, 0 (best) to 1: of the start, of one's own chances, of the weighing. */
    @Schema(name = "PracticeScoreJson")
    record ScoreJson(double start, double own, double weighed) {
        static ScoreJson of(List<PracticeReview.Claim> claims) {
            return claims.isEmpty()
                    ? null
                    : new ScoreJson(
                            brier(claims, PracticeReview.Claim::start),
                            brier(claims, PracticeReview.Claim::own),
                            brier(claims, PracticeReview.Claim::weighed));
        }

        private static double brier(List<PracticeReview.Claim> claims, Function<PracticeReview.Claim, Double> chance) {
            return claims.stream()
                    .mapToDouble(claim -> chance.apply(claim) - (claim.present() ? 1 : 0))
                    .map(distance -> distance * distance)
                    .average()
                    .orElseThrow();
        }
    }

    static PracticeReviewJson of(PracticeReview review, PracticeExamination examination, PracticeGround ground) {
        Catalogue catalogue = ground.catalogue();
        Map<String, String> flags = catalogue.redFlagsOf(examination.known().region()).stream()
                .collect(Collectors.toMap(RedFlag::id, RedFlag::sign));
        return new PracticeReviewJson(
                catalogue.narrowest(examination.known().present()).stream()
                        .map(condition -> catalogue.condition(condition).name())
                        .toList(),
                examination.flagged()
                        ? examination.known().tells(IntakeFolder.RED_FLAGS).orElseThrow().values().stream()
                                .map(flags::get)
                                .findFirst()
                                .orElse(null)
                        : null,
                review.missed().stream()
                        .map(missed -> new MissedJson(
                                missed.kind(),
                                missed.tests().stream()
                                        .map(test -> catalogue.test(test).shortName())
                                        .toList()))
                        .toList(),
                review.turns().stream().map(turn -> turn(turn, ground)).toList(),
                review.couldStop().orElse(null),
                review.claims().stream()
                        .map(claim -> new ClaimJson(
                                claim.condition().value(),
                                catalogue.condition(claim.condition()).name(),
                                claim.start(),
                                claim.own(),
                                claim.weighed(),
                                claim.present()))
                        .toList(),
                review.overlooked().entrySet().stream()
                        .map(each -> new OverlookedJson(
                                catalogue.condition(each.getKey()).name(), each.getValue()))
                        .sorted(Comparator.comparing(OverlookedJson::name))
                        .toList(),
                review.seconds() / 60,
                review.hurts(),
                review.hints(),
                ScoreJson.of(review.claims()));
    }

    private static TurnJson turn(PracticeReview.Turn turn, PracticeGround ground) {
        Catalogue catalogue = ground.catalogue();
        return new TurnJson(
                turn.test().value(),
                catalogue.test(turn.test()).shortName(),
                turn.bits(),
                turn.worthDoing(),
                turn.read(),
                turn.better()
                        .map(better -> new BetterJson(
                                better.test().value(),
                                catalogue.test(better.test()).shortName(),
                                turn.bits() <= 0
                                        ? null
                                        : better.bits() / better.seconds() / (turn.bits() / turn.seconds())))
                        .orElse(null),
                turn.written()
                        .map(written -> written(catalogue.test(turn.test()), written, ground))
                        .orElse(null),
                turn.moves().stream()
                        .map(move -> new MoveJson(
                                move.condition().value(),
                                catalogue.condition(move.condition()).shortName(),
                                move.ownBefore(),
                                move.ownAfter(),
                                move.weighedBefore(),
                                move.weighedAfter(),
                                move.own(),
                                move.weighed()))
                        .toList());
    }

    private static WrittenJson written(ExaminationTest test, WrittenAnswer written, PracticeGround ground) {
        ResponseWords words = new ResponseWords(ground);
        return new WrittenJson(
                written.otherwise().stream()
                        .map(each -> new OtherwiseJson(
                                words.lines(test, each.shown()).get(0).label(),
                                each.well(),
                                words.asWritten(test, each.shown()),
                                words.asWritten(test, each.written())))
                        .toList(),
                written.turned().stream()
                        .map(condition ->
                                ground.catalogue().condition(condition).shortName())
                        .sorted()
                        .toList());
    }
}
