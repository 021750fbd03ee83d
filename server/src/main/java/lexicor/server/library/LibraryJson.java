package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;

/** What the library holds, in short: enough to search, filter and choose. {@code stages} in the order of the work. */
public record LibraryJson(
        String revision,
        List<String> stages,
        List<TestLine> tests,
        List<ConditionLine> conditions,
        List<ClusterLine> clusters,
        List<SharedNameJson> sharedNames) {

    /**
     * A test.
     *
     * @param weighedFor conditions for which a record weighs it
     * @param conditions every condition that it speaks about
     */
    public record TestLine(
            String id,
            String name,
            String shortName,
            @Schema(nullable = true) String usualName,
            List<String> aliases,
            List<String> misspelt,
            String region,
            String stage,
            List<String> positions,
            List<String> structures,
            int seconds,
            int provocation,
            CardState review,
            List<String> conditions,
            List<String> weighedFor) {}

    /**
     * A condition; {@code start} by setting, working estimates 0..1. {@code serious} is absent where it is not of that
     * kind.
     */
    public record ConditionLine(
            String id,
            String name,
            String shortName,
            String region,
            String scope,
            Map<String, Double> start,
            @Schema(nullable = true) String serious,
            int tests,
            int weighed) {}

    /** A published set of findings. */
    public record ClusterLine(
            String id, String name, String conditionId, String conditionName, List<String> components) {}

    /** A name that different tests go by. */
    public record SharedNameJson(String name, List<MeantJson> meant) {}

    /** One of the tests that may be meant, and how it differs. */
    public record MeantJson(String testId, String testName, String how) {}
}
