package lexicor.core.catalogue;

import java.util.List;
import java.util.Optional;

/**
 * What is expected of a condition, beyond figures.
 *
 * @param expects typical findings
 * @param against findings that speak against it
 * @param defining findings without which it is unlikely by definition
 * @param rivals what it is mistaken for, and what separates the two
 * @param settles what would settle it; empty where nothing is named
 */
public record Pattern(
        ConditionId condition,
        List<Expected> expects,
        List<Expected> against,
        List<Expected> defining,
        List<Rival> rivals,
        Optional<Settles> settles) {

    public Pattern {
        expects = List.copyOf(expects);
        against = List.copyOf(against);
        defining = List.copyOf(defining);
        rivals = List.copyOf(rivals);
    }

    /**
     * A finding of a pattern.
     *
     * @param positive whether the positive or the negative reading is meant
     * @param says the finding in words
     */
    public record Expected(TestId test, CriterionId criterion, boolean positive, String says) {}

    /**
     * Something told or seen before the hands.
     *
     * @param age the ages in which it holds by itself; empty where it is told or seen
     */
    public record Clue(String id, String label, Optional<Ages> age) {}

    /** Ages in whole years, both ends included. */
    public record Ages(int from, int to) {

        public boolean contains(int age) {
            return from <= age && age <= to;
        }
    }

    /** A rival with the tests that separate it from this condition, and how. */
    public record Rival(ConditionId condition, List<TestId> tests, String how) {
        public Rival {
            tests = List.copyOf(tests);
        }
    }

    /** What would settle it, and how soon; to consider, per local pathway. */
    public record Settles(String by, String soon) {}
}
