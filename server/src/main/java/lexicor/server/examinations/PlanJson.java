package lexicor.server.examinations;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.planning.Plan;
import lexicor.core.planning.Why;

/**
 * The tests to do in the time there is, and why each is in or out. Information in bits.
 *
 * @param knows   number of the last command that is included
 * @param minutes for all steps with their moves
 * @param moves   changes of the patient's position
 * @param locked  tests that are locked or closed, with the reason
 */
public record PlanJson(long knows, double minutes, int moves, double bits, List<StepJson> steps, List<OutJson> out, List<LockedOutJson> locked) {

    static PlanJson of(long knows, Plan plan, List<LockedOutJson> locked, List<AheadJson> ahead, Catalogue catalogue) {
        return new PlanJson(knows, plan.seconds() / 60, plan.moves(), plan.bits(), plan.steps().stream().map(step -> {
            ExaminationTest test = catalogue.test(step.test());
            List<AheadJson.ChangeJson> changes = ahead.stream().filter(each -> each.testId().equals(step.test().value())).flatMap(each -> each.changes().stream()).toList();
            return new StepJson(step.test().value(), test.shortName(), step.position(), step.seconds() / 60, step.why(), step.bits(), changes, test.conduct().equipment());
        }).toList(), plan.out().stream().map(out -> new OutJson(out.test().value(), catalogue.test(out.test()).shortName(), out.why(), out.bits())).toList(), locked);
    }

    /**
     * A test in its place.
     *
     * @param bits    information that the plan would lose without it; 0 where it is in by another rule
     * @param changes what each answer would do, the most telling first; empty where it has no figures
     */
    @Schema(name = "PlanStepJson")
    public record StepJson(String testId, String name, String position, double minutes, Why why, double bits, List<AheadJson.ChangeJson> changes, List<String> equipment) {
    }

    /** A test that may be done and is not in. */
    @Schema(name = "PlanOutJson")
    public record OutJson(String testId, String name, Plan.WhyNot why, double bits) {
    }

    /** A test that may not be done now. */
    public record LockedOutJson(String testId, String name, String why) {
    }
}
