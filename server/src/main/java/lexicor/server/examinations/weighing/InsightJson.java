package lexicor.server.examinations.weighing;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.CorrelationFit;
import lexicor.core.nexttest.DecisiveFinding;
import lexicor.server.examinations.assessment.AheadJson;
import lexicor.server.examinations.assessment.StandingJson;

/**
 * One condition looked at closely, under correlations that may be set by hand for the look.
 *
 * @param standing under these correlations
 * @param dials each group of two findings or more, and what other correlations would give
 * @param reversals single findings that the conclusion hangs on
 * @param rivals what it is mistaken for, and what would tell the two apart
 * @param ahead open tests that could move it, the most telling first
 */
public record InsightJson(
        StandingJson standing,
        List<DialJson> dials,
        List<ReversalJson> reversals,
        List<RivalJson> rivals,
        List<AheadJson> ahead) {

    /**
     * The correlation of a group.
     *
     * @param rho in force, 0..0.95
     * @param usual as learnt or assumed
     * @param lower 2.5 % of what is believed
     * @param upper 97.5 % of it
     * @param atNone chance of the condition at correlation 0
     * @param atStrong chance at 0.8
     */
    public record DialJson(
            String group,
            String name,
            double rho,
            double usual,
            double lower,
            double upper,
            Correlation.Origin origin,
            double atNone,
            double atStrong,
            List<LessonJson> lessons) {}

    /** What one published set teaches about the correlation. */
    public record LessonJson(
            String setId,
            String name,
            double median,
            double lower,
            double upper,
            boolean contradicts,
            List<LessonLevelJson> levels) {
        static LessonJson of(CorrelationFit lesson) {
            return new LessonJson(
                    lesson.cluster().value(),
                    lesson.name(),
                    lesson.median(),
                    lesson.lower(),
                    lesson.upper(),
                    lesson.contradicts(),
                    lesson.levels().stream()
                            .map(level -> new LessonLevelJson(
                                    level.name(), level.published(), level.fitted(), level.independent()))
                            .toList());
        }
    }

    /** Likelihood ratios of a level: as published, at the median, and as if independent. */
    public record LessonLevelJson(String name, double published, double fitted, double independent) {}

    /** A finding that, were it the other way, would change the leader or carry a condition over a threshold. */
    public record ReversalJson(
            String testId, @Schema(nullable = true) String leader, List<CrossingJson> crossings) {
        static ReversalJson of(DecisiveFinding reversal) {
            return new ReversalJson(
                    reversal.test().value(),
                    reversal.leader().map(condition -> condition.name()).orElse(null),
                    reversal.crossings().stream()
                            .map(crossing -> new CrossingJson(
                                    crossing.condition().id().value(),
                                    crossing.condition().shortName(),
                                    crossing.now(),
                                    crossing.then()))
                            .toList());
        }
    }

    /** A condition on the other side of a threshold. */
    public record CrossingJson(String conditionId, String name, double now, double then) {}

    /**
     * A rival.
     *
     * @param ahead share of plausible readings of the evidence in which the condition stands above it
     * @param how what separates the two, in words; empty where nothing is written
     * @param separating open tests with figures for both, in decibans of separation
     * @param byWords open tests that separate the two without figures
     * @param inBoth tests that light up in both, so that they cannot separate them
     */
    @Schema(name = "RivalLookJson")
    public record RivalJson(
            String conditionId,
            String name,
            double now,
            double ahead,
            String how,
            List<SeparatingJson> separating,
            List<String> byWords,
            List<String> inBoth) {}

    /** A test that tells two conditions apart. */
    public record SeparatingJson(String testId, String name, double decibans) {}
}
