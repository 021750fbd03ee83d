package lexicor.server.examinations.course;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.examination.Side;
import lexicor.core.tracking.Change;
import lexicor.core.tracking.Noise;
import lexicor.core.tracking.ResponseSeries;

/**
 * A complaint over its visits.
 *
 * @param side the side in question at the last visit; other visits are read on it too
 * @param visits the first first; points name a visit by its place in this list
 * @param conditions those that stood among the first three at any visit: the likeliest at the last visit first, then
 *     those of which no finding speaks any more
 * @param estimate whether the noise is the working estimate that ships, not the clinic's own
 */
public record CourseJson(
        UUID caseId,
        String code,
        String region,
        Side side,
        Instant since,
        List<VisitJson> visits,
        List<MeasureJson> measures,
        List<ResponseJson> responses,
        List<ConditionJson> conditions,
        boolean estimate) {

    /** @param day days since the first visit */
    @Schema(name = "CourseVisitJson")
    public record VisitJson(UUID id, Instant at, long day, String author, boolean signed) {}

    /**
     * One measure over the visits.
     *
     * @param test id of the test; absent for a scale of the intake
     * @param name of the test; empty for a scale
     * @param chosen whether the test was chosen to be done again
     * @param better which way is better; absent where no noise is known
     * @param fromFirst what is within the noise of the first value; absent where no noise is known
     * @param fromLast the same of the last value
     * @param says what the series comes to, without a full stop
     */
    @Schema(name = "CourseMeasureJson")
    public record MeasureJson(
            @Schema(nullable = true) String test,
            String name,
            String label,
            String unit,
            boolean chosen,
            @Schema(nullable = true) Noise.Better better,
            List<PointJson> points,
            @Schema(nullable = true) BandJson fromFirst,
            @Schema(nullable = true) BandJson fromLast,
            Change.Verdict verdict,
            boolean confirmed,
            boolean stalled,
            String says) {}

    /** In the unit of the measure. */
    @Schema(name = "CourseBandJson")
    public record BandJson(double lower, double upper) {}

    /**
     * A measure at one visit.
     *
     * @param atLeast whether it is known only to be no less
     * @param well the other side; absent where it was not measured
     * @param percentOfWell this side in percent of the other; of forces alone
     * @param because why it is not compared with the others; empty where it is
     */
    @Schema(name = "CoursePointJson")
    public record PointJson(
            int visit,
            double value,
            boolean atLeast,
            @Schema(nullable = true) Double well,
            @Schema(nullable = true) Double percentOfWell,
            String because) {}

    /** How a test came out at each visit. */
    @Schema(name = "CourseResponseJson")
    public record ResponseJson(
            String test, String name, List<ResponseSeries.Result> results, ResponseSeries.Turn turn) {}

    /** Where a condition stood at the visits at which a finding spoke about it. */
    @Schema(name = "CourseConditionJson")
    public record ConditionJson(String condition, String name, List<StandJson> stands) {}

    /** @param now 0..1 */
    @Schema(name = "CourseStandJson")
    public record StandJson(int visit, double now) {}
}
