package lexicor.core.story;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;

/**
 * That a clue makes a condition likelier or less likely: a working estimate.
 *
 * @param clue the clue; for one of age alone its words
 * @param holds whether the clue has to hold, or to have been denied
 * @param when what else has to be so
 * @param up whether it makes the condition likelier
 * @param strength of the step, 1 to 3; 0 leaves the condition out
 * @param kind what the estimate rests on: epidemiology, mechanism, site or course
 * @param reason in a line
 */
public record StoryRow(
        ConditionId condition,
        String clue,
        boolean holds,
        When when,
        boolean up,
        int strength,
        String kind,
        String reason) {

    /** How clues of age begin. */
    static final String AGE = "age:";

    /**
     * What else has to be so for a row to count.
     *
     * @param with clues that hold too
     * @param without clues that do not hold, or are not known
     */
    public record When(Optional<Pattern.Ages> ages, Optional<Weeks> weeks, List<String> with, List<String> without) {
        public When {
            with = List.copyOf(with);
            without = List.copyOf(without);
        }

        boolean holds(HeardStory heard) {
            return ages.map(heard::aged).orElse(true)
                    && weeks.map(within ->
                                    heard.weeks().filter(within::contains).isPresent())
                            .orElse(true)
                    && with.stream().allMatch(heard::holds)
                    && without.stream().noneMatch(heard::holds);
        }
    }

    boolean counts(HeardStory heard) {
        return when.holds(heard) && (ofAge() || (holds ? heard.holds(clue) : heard.denied(clue)));
    }

    boolean ofAge() {
        return clue.startsWith(AGE);
    }
}
