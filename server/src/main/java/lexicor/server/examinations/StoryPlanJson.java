package lexicor.server.examinations;

import java.util.List;
import lexicor.server.examinations.planning.PlanJson;

/**
 * What a story alone calls for, before anything was tested.
 *
 * @param told what had been told by then, a line for each question
 * @param likely the likeliest of the widest conditions, the likeliest first
 * @param plan the tests to do
 */
public record StoryPlanJson(List<String> told, List<LikelyJson> likely, PlanJson plan) {

    /**
     * Where a condition stands by the story.
     *
     * @param name as it is called in short
     * @param chance 0..1
     */
    public record LikelyJson(String conditionId, String name, double chance) {}
}
