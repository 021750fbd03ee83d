package lexicor.core.intake;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.story.StoryTable;

/**
 * Clues that tests have shown or denied since they were told. What the hands found stands for what was told: a clue
 * that a finding contradicts moves nothing any more; one that a finding bears out moves only those conditions for which
 * the finding itself is not weighed.
 */
public final class RepeatedClues {

    private RepeatedClues() {}

    /** Whether a finding of a test is weighed for a condition. */
    @FunctionalInterface
    public interface Weighed {
        /** Whether it is. */
        boolean weighs(Reading reading);
    }

    /** The clues that no longer move a condition, by condition. */
    public static Map<ConditionId, Set<String>> of(
            StoryTable table, Collection<ConditionId> conditions, List<TestReading> readings, Weighed weighed) {
        Map<ConditionId, Set<String>> repeated = new HashMap<>();
        for (StoryTable.Repeat repeat : table.repeats()) {
            List<Reading> found = readings.stream()
                    .filter(test -> test.test().equals(repeat.test()))
                    .flatMap(test -> test.readings().stream())
                    .filter(reading -> reading.criterion().equals(repeat.criterion()) && reading.definite())
                    .toList();
            if (!found.isEmpty()) {
                boolean positive = found.get(0).result() == Reading.Result.POSITIVE;
                Set<String> denied = positive ? repeat.clears() : repeat.shows();
                Set<String> borneOut = positive ? repeat.shows() : repeat.clears();
                conditions.forEach(condition -> repeated.computeIfAbsent(condition, id -> new HashSet<>())
                        .addAll(denied));
                found.stream()
                        .filter(weighed::weighs)
                        .forEach(reading -> repeated.computeIfAbsent(reading.condition(), id -> new HashSet<>())
                                .addAll(borneOut));
            }
        }
        return repeated;
    }
}
