package lexicor.server.examinations;

import java.util.Comparator;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.weighing.Standing;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.paper.IntakeNote;
import lexicor.server.examinations.planning.PlanService;
import lexicor.server.examinations.record.Recorded;
import org.springframework.stereotype.Component;

/** Plans by the story alone, so that stories can be set side by side whatever has been tested since. */
@Component
class StoryPlans {

    /** Conditions that are named as likely. */
    private static final int NAMED = 5;

    private final Catalogue catalogue;
    private final Assessments assessments;
    private final PlanService plans;
    private final IntakeNote intake;

    StoryPlans(Catalogue catalogue, Assessments assessments, PlanService plans, IntakeNote intake) {
        this.catalogue = catalogue;
        this.assessments = assessments;
        this.plans = plans;
        this.intake = intake;
    }

    /** @param seconds infinite for as many tests as are worth doing */
    StoryPlanJson of(Recorded recorded, double seconds) {
        Recorded before = recorded.beforeTesting();
        return new StoryPlanJson(intake.told(before), likely(before), plans.plan(before, seconds, List.of()));
    }

    private List<StoryPlanJson.LikelyJson> likely(Recorded before) {
        List<Standing> standings = assessments.of(before).ranking().standings();
        List<Condition> ranked = standings.stream().map(Standing::condition).toList();
        return standings.stream()
                .filter(each -> catalogue.widerThan(each.condition().id()).stream()
                        .map(catalogue::condition)
                        .noneMatch(ranked::contains))
                .sorted(Comparator.comparingDouble(Standing::now).reversed())
                .limit(NAMED)
                .map(each -> new StoryPlanJson.LikelyJson(
                        each.condition().id().value(), each.condition().shortName(), each.now()))
                .toList();
    }
}
