package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.catalogue.DrawnPlace;
import lexicor.core.catalogue.HandPose;
import lexicor.core.catalogue.Way;

/**
 * All that the bench needs to know of a region, so that it can work through a lost connection.
 *
 * @param changeSeconds what it takes a patient to change position
 * @param first tests asked for once before anything is provoked
 * @param pathways ways through a complaint
 * @param tests those of the region first, then all others
 * @param conditions every condition that a conclusion may name
 */
public record RegionJson(
        String region,
        String revision,
        double changeSeconds,
        List<String> first,
        List<StepJson> steps,
        List<PathwayJson> pathways,
        List<TestJson> tests,
        List<SharedJson> sharedNames,
        List<OptionJson> conditions) {

    /** A name that several tests go by, each with how it differs. */
    public record SharedJson(String name, List<OptionJson> meant) {}

    /** Tests done in one position, under a name; {@code together} names those recorded on one sheet. */
    public record StepJson(String name, String position, List<String> testIds, List<TogetherJson> together) {}

    /** Tests recorded on one sheet. */
    public record TogetherJson(String name, List<String> testIds) {}

    /**
     * A test with its card and what is recorded.
     *
     * @param usualName what the field calls it; absent where that is its name
     * @param misspelt how its names are misspelt, for searching
     * @param nothing what "Nothing" stands for; empty where the test has no such answer
     * @param usual answers given with one tap, the commonest first
     * @param follows whether it makes sense only after another, or only for a school: it is offered once the server
     *     says so
     * @param ways ways of doing it, the usual one first; empty where there is one
     * @param stops answers that stop the hands, with the tests they close
     * @param pose absent where a figure would mislead
     * @param hand the figure of wrist and hand; absent where a figure would mislead
     * @param place where it lies on a drawing; absent where it is no landmark
     */
    public record TestJson(
            String id,
            String name,
            String shortName,
            @Schema(nullable = true) String usualName,
            List<String> aliases,
            List<String> misspelt,
            String region,
            String stage,
            String position,
            int seconds,
            int provocation,
            CardState review,
            CardJson card,
            List<PartJson> parts,
            List<String> wellSideParts,
            List<GivenJson> nothing,
            List<UsualJson> usual,
            boolean follows,
            List<DoneWayJson> ways,
            List<StopJson> stops,
            List<TestSheetJson.AngleJson> angles,
            List<String> equipment,
            @Schema(nullable = true) TestSheetJson.HoldJson hold,
            @Schema(nullable = true) TestSheetJson.PoseJson pose,
            @Schema(nullable = true) HandPoseJson hand,
            @Schema(nullable = true) PlaceJson place) {}

    /**
     * A way of doing a test; {@code effect} is what becomes of an answer that no record covers, for {@code because}.
     */
    public record DoneWayJson(
            String value, String label, String differs, String capture, Way.Effect effect, String because) {}

    /** A pathway; the first step is where it starts. */
    public record PathwayJson(String id, String name, List<PathwayStepJson> steps) {}

    /** What kind of step it is. */
    public enum PathwayStepKind {
        ASK,
        EXAMINE,
        END
    }

    /**
     * A step of a pathway.
     *
     * @param label the question, the short name of the test, or what stands at the end
     * @param because why this test now, or what to bear in mind at the end; may be empty
     * @param testId absent where it is no test
     * @param answers to a question; empty otherwise
     * @param ways the steps that may follow
     */
    public record PathwayStepJson(
            String id,
            PathwayStepKind kind,
            String label,
            String because,
            @Schema(nullable = true) String testId,
            List<OptionJson> answers,
            List<String> ways) {}

    /** Where a landmark lies on a drawing of the right side, in hundredths of its width and height. */
    public record PlaceJson(DrawnPlace.View view, String zone, double x, double y) {}

    /** How wrist and hand are held; flexion and deviation towards the thumb are positive, in degrees. */
    public record HandPoseJson(
            HandPose.View view,
            double wrist,
            double deviation,
            HandPose.Fingers fingers,
            HandPose.Thumb thumb,
            List<HandForceJson> forces,
            List<HandPose.Mark> held) {
        static HandPoseJson of(HandPose pose) {
            return new HandPoseJson(
                    pose.view(),
                    pose.wrist(),
                    pose.deviation(),
                    pose.fingers(),
                    pose.thumb(),
                    pose.forces().stream()
                            .map(force -> new HandForceJson(force.at(), force.direction(), force.patient()))
                            .toList(),
                    pose.held());
        }
    }

    /** A push, press or turn on the hand. */
    public record HandForceJson(HandPose.Mark at, HandPose.Direction direction, boolean patient) {}

    /** One part of a whole answer: a choice, or a measure with its unit. */
    public record GivenJson(
            String key,
            @Schema(nullable = true) String choice,
            @Schema(nullable = true) Double measure,
            @Schema(nullable = true) String unit,
            @Schema(nullable = true) String position) {}

    /** A whole answer with one name. */
    public record UsualJson(String label, List<GivenJson> parts) {}

    /** One of {@code values} of a part stops the hands; {@code closes} is empty where it only ends the hold. */
    public record StopJson(String part, List<String> values, String because, List<String> closes) {}

    /** The cue card. */
    public record CardJson(
            String patient, String you, String movement, String ask, List<OptionJson> watch, String stop) {}

    /**
     * A part: with options a choice, otherwise a measure with unit, limits and step.
     *
     * @param usual for a measure, what a full range comes to; absent where it is not judged by eye
     * @param byEye for a measure, what can be said of it without measuring
     * @param windows for a measure, where it makes some criterion positive
     * @param positions it is taken in; empty where there is but one
     * @param repeats how many goes are recorded
     * @param andBack whether it is taken again on the way back
     * @param onDemand whether it is shown only when it is asked for
     */
    @Schema(name = "PartDefinitionJson")
    public record PartJson(
            String key,
            String label,
            boolean many,
            List<OptionJson> options,
            @Schema(nullable = true) String unit,
            @Schema(nullable = true) Double least,
            @Schema(nullable = true) Double most,
            @Schema(nullable = true) Double step,
            @Schema(nullable = true) Double usual,
            List<OptionJson> byEye,
            List<WindowJson> windows,
            List<OptionJson> positions,
            int repeats,
            boolean andBack,
            boolean onDemand) {}

    /** From and to, both ends included, in the unit of the measure. */
    public record WindowJson(double from, double to) {}

    /** One answer of a list. */
    public record OptionJson(String value, String label) {}
}
