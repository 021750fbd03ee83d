package lexicor.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.outcomes.Calibration;
import lexicor.core.practice.PracticeReview;
import lexicor.core.practice.Progress;
import lexicor.server.json.EstimateJson;
import lexicor.server.json.HeldClaimsJson;

/**
 * What one's cases came to together.
 *
 * @param minutes on average
 * @param hurt share of cases in which it hurt for nothing; absent without a case
 * @param worthDoing share of tests that were worth doing; absent without a test
 * @param reaction how far one goes for each deciban that one should; absent below {@code movesNeeded}
 * @param moves how many moves there are
 * @param needed claims that came true, and that did not, before a slope is told
 */
record ProgressJson(
        int cases,
        double minutes,
        @Schema(nullable = true) EstimateJson hurt,
        @Schema(nullable = true) EstimateJson worthDoing,
        @Schema(nullable = true) EstimateJson reaction,
        int moves,
        int movesNeeded,
        @Schema(nullable = true) HeldClaimsJson own,
        @Schema(nullable = true) HeldClaimsJson weighed,
        int needed,
        List<RegionProgressJson> regions) {

    /** The same of one region, in short. Distances are mean squared ones from the truth. */
    record RegionProgressJson(
            String region,
            int cases,
            @Schema(nullable = true) Double own,
            @Schema(nullable = true) Double weighed,
            @Schema(nullable = true) Double start) {}

    static ProgressJson of(List<PracticeService.Ended> ended) {
        Progress all = progress(ended);
        return new ProgressJson(
                all.cases(),
                all.minutes(),
                all.hurt().map(EstimateJson::of).orElse(null),
                all.worthDoing().map(EstimateJson::of).orElse(null),
                all.reaction().map(EstimateJson::of).orElse(null),
                all.moves(),
                Progress.NEEDED,
                HeldClaimsJson.of(all.own()),
                HeldClaimsJson.of(all.weighed()),
                Calibration.NEEDED,
                ended.stream()
                        .map(PracticeService.Ended::region)
                        .distinct()
                        .sorted()
                        .map(region -> region(region, ended))
                        .toList());
    }

    static Progress progress(List<PracticeService.Ended> ended) {
        return Progress.of(ended.stream().map(each -> toCore(each.review())).toList());
    }

    private static RegionProgressJson region(String region, List<PracticeService.Ended> ended) {
        List<PracticeService.Ended> here =
                ended.stream().filter(each -> each.region().equals(region)).toList();
        Progress progress = progress(here);
        if (progress.own().isEmpty()) {
            return new RegionProgressJson(region, here.size(), null, null, null);
        }
        Calibration own = new Calibration(progress.own());
        return new RegionProgressJson(
                region, here.size(), own.brier(), new Calibration(progress.weighed()).brier(), own.brierOfStart());
    }

    private static Progress.Case toCore(PracticeReviewJson review) {
        return new Progress.Case(
                review.minutes(),
                review.hurts(),
                review.turns().stream()
                        .map(PracticeReviewJson.TurnJson::worthDoing)
                        .toList(),
                moves(review),
                review.claims().stream()
                        .map(claim -> new PracticeReview.Claim(
                                ConditionId.of(claim.conditionId()),
                                claim.start(),
                                claim.own(),
                                claim.weighed(),
                                claim.present()))
                        .toList());
    }

    private static List<PracticeReview.Move> moves(PracticeReviewJson review) {
        return review.turns().stream()
                .flatMap(turn -> turn.moves().stream())
                .map(move -> new PracticeReview.Move(
                        ConditionId.of(move.conditionId()),
                        move.ownBefore(),
                        move.ownAfter(),
                        move.weighedBefore(),
                        move.weighedAfter()))
                .toList();
    }

    /**
     * A class.
     *
     * @param joinCode by which people join; absent for members
     * @param teacher display name
     * @param members how each has got on; empty for members
     */
    @Schema(name = "PracticeClassJson")
    record ClassJson(
            UUID id,
            String name,
            @Schema(nullable = true) String joinCode,
            String teacher,
            boolean mine,
            List<MemberJson> members,
            List<SeriesJson> series) {}

    /** A member, as the teacher sees them: what was ended since they joined. */
    @Schema(name = "PracticeMemberJson")
    record MemberJson(
            String name,
            int cases,
            double minutes,
            @Schema(nullable = true) EstimateJson reaction,
            @Schema(nullable = true) Double own,
            @Schema(nullable = true) Double weighed,
            @Schema(nullable = true) Double start,
            int hurtCases) {
        static MemberJson of(String name, List<PracticeService.Ended> ended) {
            Progress progress = progress(ended);
            boolean claims = !progress.own().isEmpty();
            return new MemberJson(
                    name,
                    progress.cases(),
                    progress.minutes(),
                    progress.reaction().map(EstimateJson::of).orElse(null),
                    claims ? new Calibration(progress.own()).brier() : null,
                    claims ? new Calibration(progress.weighed()).brier() : null,
                    claims ? new Calibration(progress.own()).brierOfStart() : null,
                    (int) ended.stream()
                            .filter(each -> each.review().hurts() > 0)
                            .count());
        }
    }

    /** Cases that a teacher set. */
    @Schema(name = "PracticeSeriesJson")
    record SeriesJson(UUID id, String name, List<SetCaseJson> cases) {}

    /**
     * A case of a series.
     *
     * @param begun id of one's own case begun from it; absent before
     */
    @Schema(name = "PracticeSetCaseJson")
    record SetCaseJson(
            int place,
            String title,
            String region,
            @Schema(nullable = true) UUID begun,
            boolean ended) {}

    /** One line of a class's results. */
    record Result(String member, String region, Instant at, PracticeReviewJson review) {}
}
