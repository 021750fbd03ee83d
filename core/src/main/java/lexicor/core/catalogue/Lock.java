package lexicor.core.catalogue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A reason for which tests must not be done, or only lightly.
 *
 * @param regions where its facts are asked
 * @param kinds which kinds of tests it is about, in words; it stands even where the catalogue has none of them yet
 * @param when what it is about, in a line
 * @param because what could happen, in plain words
 * @param facts any of these locks
 * @param tests locked by any of the facts; none where only positions are
 * @param sparing whether of all other tests too only the most valuable are to be done
 */
public record Lock(
        String id,
        List<String> regions,
        String kinds,
        String when,
        String because,
        List<Fact> facts,
        List<TestId> tests,
        boolean sparing) {

    /**
     * Something about the patient.
     *
     * @param weeks for how long after its date it locks; empty where it locks for as long as it holds
     * @param positions those that the patient cannot take; a test that can be done in no other is locked too
     */
    public record Fact(String id, String label, OptionalInt weeks, List<String> positions) {

        public Fact {
            positions = List.copyOf(positions);
        }

        /** The day from which it locks no more; empty where it has no window, or nobody knows when it began. */
        public Optional<LocalDate> until(Optional<LocalDate> since) {
            return weeks.isPresent() ? since.map(day -> day.plusWeeks(weeks.getAsInt())) : Optional.empty();
        }

        /** Whether it no longer locked on a day. */
        public boolean lapsed(Optional<LocalDate> since, LocalDate day) {
            return until(since).filter(until -> !until.isAfter(day)).isPresent();
        }
    }

    public Lock {
        regions = List.copyOf(regions);
        facts = List.copyOf(facts);
        tests = List.copyOf(tests);
    }
}
