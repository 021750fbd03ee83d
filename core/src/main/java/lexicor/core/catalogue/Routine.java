package lexicor.core.catalogue;

import java.util.Collection;
import java.util.List;

/**
 * The usual order of the tests of a region, gathered by the patient's position.
 *
 * @param conditions that are ranked by it
 * @param clusters that are counted by it
 * @param always tests that belong to every examination of the region
 * @param first tests that are asked for once before anything is provoked, because provoking spoils them
 */
public record Routine(
        String region,
        List<ConditionId> conditions,
        List<ClusterId> clusters,
        List<TestId> always,
        List<TestId> first,
        List<Step> steps) {
    public Routine {
        conditions = List.copyOf(conditions);
        clusters = List.copyOf(clusters);
        always = List.copyOf(always);
        first = List.copyOf(first);
        steps = List.copyOf(steps);
    }

    /**
     * Tests done without asking the patient to move.
     *
     * @param name what the step is called; the patient's position where it has no name of its own
     * @param zones where it has to hurt for the step to be in the order; empty where it always is
     * @param together tests among them that are looked at as one, "all normal" being one answer
     */
    public record Step(String name, String position, List<String> zones, List<TestId> tests, List<Together> together) {
        public Step {
            zones = List.copyOf(zones);
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

    /** The patient's position at the beginning. */
    public String beginsIn() {
        return steps.get(0).position();
    }

    /** Every test that may stand in the order. */
    public List<TestId> order() {
        return order(List.of());
    }

    /** The order for a patient who hurts in these zones; all of it where no zone is known. */
    public List<TestId> order(Collection<String> zones) {
        return steps.stream()
                .filter(step -> step.zones().isEmpty()
                        || zones.isEmpty()
                        || step.zones().stream().anyMatch(zones::contains))
                .flatMap(step -> step.tests().stream())
                .distinct()
                .toList();
    }
}
