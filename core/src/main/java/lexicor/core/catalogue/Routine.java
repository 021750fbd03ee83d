package lexicor.core.catalogue;

import java.util.List;

/**
 * The usual order of the tests of a region, gathered by the patient's position.
 *
 * @param conditions that are ranked by it
 * @param clusters   that are counted by it
 */
public record Routine(String region, List<ConditionId> conditions, List<ClusterId> clusters, List<Step> steps) {
    public Routine {
        conditions = List.copyOf(conditions);
        clusters = List.copyOf(clusters);
        steps = List.copyOf(steps);
    }

    /** Tests done without asking the patient to move. */
    public record Step(String position, List<TestId> tests) {
        public Step {
            tests = List.copyOf(tests);
        }
    }

    public List<TestId> order() {
        return steps.stream().flatMap(step -> step.tests().stream()).toList();
    }
}
