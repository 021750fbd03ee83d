package lexicor.server.examinations.planning;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.nexttest.TestValue;
import lexicor.core.planning.BudgetCurve;
import lexicor.core.planning.Limit;
import lexicor.core.planning.Plan;
import lexicor.core.planning.Why;
import lexicor.server.examinations.assessment.AheadJson;

/**
 * The tests to do in the time there is, and why each is in or out. Information in bits.
 *
 * @param knows number of the last command that is included
 * @param minutes for all steps with their moves
 * @param moves changes of the patient's position
 * @param spared minutes to which the plan is kept, because the patient is to be spared; null where it is not
 * @param locked tests that are locked or closed, with the reason
 * @param limits what the plan may leave open, the likeliest to stay open first
 * @param forgone tests that would be in if the therapist did them; none where nothing is forgone
 * @param forgoneBits information that the plan tells less for that
 * @param act chance of a working diagnosis, 0..1
 */
public record PlanJson(
        long knows,
        double minutes,
        int moves,
        double bits,
        @Schema(nullable = true) Double spared,
        List<StepJson> steps,
        List<OutJson> out,
        List<NotNowJson> locked,
        List<LimitJson> limits,
        List<NamedJson> forgone,
        double forgoneBits,
        double act) {

    static PlanJson of(
            long knows,
            Plan plan,
            OptionalDouble spared,
            Map<TestId, TestValue> values,
            Map<TestId, Double> learnt,
            List<NotNowJson> locked,
            List<Limit> limits,
            PlanService.Forgone forgone,
            double act,
            Catalogue catalogue) {
        return new PlanJson(
                knows,
                plan.seconds() / 60,
                plan.moves(),
                plan.bits(),
                spared.isPresent() ? spared.getAsDouble() / 60 : null,
                plan.steps().stream()
                        .map(step -> StepJson.of(
                                step, changes(values, step.test()), learnt.containsKey(step.test()), catalogue))
                        .toList(),
                plan.out().stream()
                        .map(out -> OutJson.of(out, changes(values, out.test()), catalogue))
                        .toList(),
                locked,
                limits.stream().map(limit -> LimitJson.of(limit, catalogue)).toList(),
                forgone.tests().stream()
                        .map(test -> NamedJson.of(test, catalogue))
                        .toList(),
                forgone.bits(),
                act);
    }

    /**
     * A condition that a plan may leave open.
     *
     * @param name as it is called in short
     * @param now where it stands, 0..1
     * @param open chance that it is still open once every test of the plan has an answer, 0..1
     * @param least the same once every test has that may be done, 0..1
     * @param settles what would answer instead; absent where nothing is named
     * @param soon how soon, where something is named
     */
    @Schema(name = "PlanLimitJson")
    public record LimitJson(
            String conditionId,
            String name,
            double now,
            double open,
            double least,
            @Schema(nullable = true) String settles,
            @Schema(nullable = true) String soon) {

        static LimitJson of(Limit limit, Catalogue catalogue) {
            Optional<Pattern.Settles> settles = Optional.ofNullable(
                            catalogue.patterns().get(limit.condition()))
                    .flatMap(Pattern::settles);
            return new LimitJson(
                    limit.condition().value(),
                    catalogue.condition(limit.condition()).shortName(),
                    limit.now(),
                    limit.open(),
                    limit.least(),
                    settles.map(Pattern.Settles::by).orElse(null),
                    settles.map(Pattern.Settles::soon).orElse(null));
        }
    }

    private static List<AheadJson.ChangeJson> changes(Map<TestId, TestValue> values, TestId test) {
        return Optional.ofNullable(values.get(test))
                .map(value -> AheadJson.of(value, "", true).changes())
                .orElse(List.of());
    }

    /**
     * A test in its place.
     *
     * @param about the condition that it is in for, as it is called in short; null where it is in for none in
     *     particular
     * @param positions those in which it can be done
     * @param learnt whether its time is the clinic's own
     * @param movements of a table of ranges those that matter here, by their labels; empty where all of it does
     * @param bits information that the plan would lose without it; 0 where it has no figures in play
     * @param changes what each answer would do, the most telling first; empty where it has no figures
     */
    @Schema(name = "PlanStepJson")
    public record StepJson(
            String testId,
            String name,
            String position,
            List<String> positions,
            double minutes,
            boolean learnt,
            Why why,
            @Schema(nullable = true) String about,
            List<String> movements,
            double bits,
            List<AheadJson.ChangeJson> changes,
            List<String> equipment) {

        static StepJson of(Plan.Step step, List<AheadJson.ChangeJson> changes, boolean learnt, Catalogue catalogue) {
            ExaminationTest test = catalogue.test(step.test());
            return new StepJson(
                    step.test().value(),
                    test.shortName(),
                    step.position(),
                    test.positions(),
                    step.seconds() / 60,
                    learnt,
                    step.why(),
                    step.about()
                            .map(catalogue::condition)
                            .map(Condition::shortName)
                            .orElse(null),
                    step.movements().stream().map(PartDefinition::label).toList(),
                    step.bits(),
                    changes,
                    test.conduct().equipment());
        }
    }

    /**
     * A test that may be done and is not in.
     *
     * @param changes what each answer would do, the most telling first; empty where it has no figures
     */
    @Schema(name = "PlanOutJson")
    public record OutJson(
            String testId, String name, Plan.WhyNot why, double bits, List<AheadJson.ChangeJson> changes) {

        static OutJson of(Plan.Out out, List<AheadJson.ChangeJson> changes, Catalogue catalogue) {
            return new OutJson(
                    out.test().value(), catalogue.test(out.test()).shortName(), out.why(), out.bits(), changes);
        }
    }

    /** A test that may not be done now. */
    public record NotNowJson(String testId, String name, String why) {}

    /**
     * What plans tell against the time that they take.
     *
     * @param knee from where each further minute tells much less; null where nothing bends
     */
    @Schema(name = "PlanCurveJson")
    public record CurveJson(
            long knows,
            List<PointJson> points,
            @Schema(nullable = true) PointJson knee) {

        static CurveJson of(long knows, BudgetCurve curve) {
            return new CurveJson(
                    knows,
                    curve.points().stream().map(PointJson::of).toList(),
                    curve.knee().map(PointJson::of).orElse(null));
        }
    }

    /** One plan on the curve. */
    @Schema(name = "PlanPointJson")
    public record PointJson(double minutes, double bits, int tests) {

        static PointJson of(BudgetCurve.Point point) {
            return new PointJson(point.seconds() / 60, point.bits(), point.tests());
        }
    }

    /**
     * An order of one's own.
     *
     * @param faults what speaks against it, in words
     * @param skipped tests of it that may not be done now, with the reason
     */
    @Schema(name = "OwnPlanJson")
    public record OwnJson(PlanJson plan, List<String> faults, List<NotNowJson> skipped) {}

    /**
     * What results have changed for the plan that was taken.
     *
     * @param settled planned tests that are for nothing any more
     * @param ask such tests that the therapist put in
     * @param better the test outside it that would now tell most, if it tells more than any left in it; at most one
     */
    @Schema(name = "ReplanJson")
    public record ReplanJson(long knows, List<NamedJson> settled, List<NamedJson> ask, List<BetterJson> better) {}

    /** A test by its name. */
    @Schema(name = "PlanTestJson")
    public record NamedJson(String testId, String name) {

        static NamedJson of(TestId test, Catalogue catalogue) {
            return new NamedJson(test.value(), catalogue.test(test).shortName());
        }
    }

    /**
     * A test outside the plan.
     *
     * @param separates the two leading conditions that it tells apart; empty where it does not
     * @param changes what each answer would do, the most telling first
     */
    @Schema(name = "PlanBetterJson")
    public record BetterJson(
            String testId,
            String name,
            String position,
            double minutes,
            List<String> separates,
            List<AheadJson.ChangeJson> changes) {}
}
