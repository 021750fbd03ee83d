package lexicor.core.catalogue;

import java.util.List;

/**
 * The usual order of the tests of a region, gathered by the patient's position.
 *
 * @param conditions that are ranked by it
 * @param clusters   that are counted by it
 * @param first      tests that are asked for once before anything is provoked, because provoking spoils them
 */
public record Routine(String region, List<ConditionId> conditions, List<ClusterId> clusters, List<TestId> first, List<Step> steps) {
    public Routine {
        conditions = List.copyOf(conditions);
        clusters = List.copyOf(clusters);
        first = List.copyOf(first);
        steps = List.copyOf(steps);
    }

    /**
     * Tests done without asking the patient to move.
     *
     * @param together tests among them that are looked at as one, "all normal" being one answer
     */
    public record Step(String position, List<TestId> tests, List<Together> together) {
        public Step {
            tests = List.copyOf(tests);
            together = List.copyOf(together);
        }
    }

    /** Tests recorded on one sheet under one name. */
    public record Together(String name, List<TestId> tests) {
        public Together {
            tests = List.copyOf(tests);
        }
    }

    public List<TestId> order() {
        return steps.stream().flatMap(step -> step.tests().stream()).toList();
    }
}
