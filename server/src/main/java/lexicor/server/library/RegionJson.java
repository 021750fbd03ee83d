package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;

/** All that the bench needs to know of a region, so that it can work through a lost connection. */
public record RegionJson(String region, String revision, List<StepJson> steps, List<TestJson> tests) {

    /** Tests done in one position. */
    public record StepJson(String position, List<String> testIds) {
    }

    /** A test with its card and what is recorded. {@code nothing} holds the answers that "Nothing" stands for, by part. */
    public record TestJson(String id, String name, String shortName, List<String> aliases, String position, int seconds, int provocation,
            String review, CardJson card, List<PartJson> parts, List<String> wellSideParts, Map<String, String> nothing) {
    }

    /** The cue card. */
    public record CardJson(String patient, String you, String movement, String ask, List<OptionJson> watch, String stop) {
    }

    /**
     * A part: with options a choice, otherwise a measure with unit, limits and step.
     *
     * @param windows for a measure, where it makes some criterion positive
     */
    @Schema(name = "PartDefinitionJson")
    public record PartJson(String key, String label, boolean many, List<OptionJson> options, @Schema(nullable = true) String unit,
            @Schema(nullable = true) Double least, @Schema(nullable = true) Double most, @Schema(nullable = true) Double step,
            List<WindowJson> windows) {
    }

    /** From and to, both ends included, in the unit of the measure. */
    public record WindowJson(double from, double to) {
    }

    /** One answer of a list. */
    public record OptionJson(String value, String label) {
    }
}
