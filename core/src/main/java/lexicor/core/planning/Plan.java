package lexicor.core.planning;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.TestId;

/**
 * The tests to do in the time there is, in the order that spares the patient, each with why it is in; and those that
 * are out, each with why.
 *
 * @param steps in order
 * @param out tests that may be done and are not in
 * @param seconds for all steps with their moves
 * @param moves changes of the patient's position
 * @param bits expected information of all steps together
 */
public record Plan(List<Step> steps, List<Out> out, double seconds, int moves, double bits) {

    /**
     * A test in its place.
     *
     * @param about the condition that it is in for; empty where it is in for none in particular
     * @param movements of a table of ranges those that matter here; none where there is no table, or all of it matters
     * @param bits information that the plan would lose without it; 0 where it has no figures in play
     */
    public record Step(
            TestId test,
            String position,
            double seconds,
            Why why,
            Optional<ConditionId> about,
            List<PartDefinition> movements,
            double bits) {

        public Step {
            movements = List.copyOf(movements);
        }
    }

    /** A test that is not in. */
    public record Out(TestId test, WhyNot why, double bits) {}

    /** Why a test is not in a plan. */
    public enum WhyNot {
        /** It would tell something that nothing in the plan tells, and there is no time for it. */
        NO_TIME,
        /** It would tell something that nothing in the plan tells; it is not time that kept it out. */
        NOT_IN,
        /** It is about what a screen in the plan asks for first. */
        SCREEN_FIRST,
        /** It is likely to hurt or frighten, and no condition that it speaks of is likely enough for that. */
        FRIGHTENS,
        /** Beside what is in the plan it tells next to nothing, or too little for a test that is hardly done here. */
        TELLS_LITTLE,
        /** It has no figures for a condition in play. */
        NO_FIGURES,
        /** The therapist does not do it. */
        NOT_MINE
    }

    public Plan {
        steps = List.copyOf(steps);
        out = List.copyOf(out);
    }

    /** The tests in order. */
    public List<TestId> tests() {
        return steps.stream().map(Step::test).toList();
    }
}
