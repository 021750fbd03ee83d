package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;

/**
 * A condition in full.
 *
 * @param wider what it is a part of, the nearest first
 * @param narrower its parts
 * @param weights tests that weigh, by how much they can move it
 * @param unmeasured tests that speak about it without usable figures, and why
 */
public record ConditionSheetJson(
        String id,
        String name,
        String region,
        String scope,
        Map<String, Double> start,
        @Schema(nullable = true) String onlyIf,
        @Schema(nullable = true) String serious,
        ThresholdsJson thresholds,
        List<TestSheetJson.NamedJson> wider,
        List<TestSheetJson.NamedJson> narrower,
        List<WeightJson> weights,
        List<TestSheetJson.NoteJson> unmeasured,
        List<ExpectedJson> expects,
        List<ExpectedJson> against,
        List<ExpectedJson> defining,
        List<ClueJson> clues,
        List<RivalJson> rivals,
        @Schema(nullable = true) SettlesJson settles,
        List<TestSheetJson.NamedJson> clusters) {

    /** Working defaults, 0..1. */
    public record ThresholdsJson(double setAside, double test, double act, double serious) {}

    /** What either answer of a test weighs, at the means of the belief. */
    public record WeightJson(
            String testId,
            String testName,
            String counts,
            String record,
            double lrPositive,
            double lrNegative,
            boolean byInventors,
            boolean worthless) {}

    /** A finding of the pattern. */
    public record ExpectedJson(String testId, String testName, boolean positive, String says) {}

    /**
     * A clue with its working step on the log-odds scale, absent where it leaves the condition out; {@code when} says
     * what else has to be so.
     */
    public record ClueJson(
            String label,
            String when,
            String reason,
            @Schema(nullable = true) Double step) {}

    /** A rival, what separates the two, and tests with figures for both by how well they do it (decibans). */
    public record RivalJson(
            String conditionId,
            String name,
            String how,
            List<TestSheetJson.NamedJson> tests,
            List<SeparationJson> measured) {}

    /** A test with figures for both. */
    public record SeparationJson(String testId, String testName, double decibans) {}

    /** What would settle it, and how soon. */
    public record SettlesJson(String by, String soon) {}
}
