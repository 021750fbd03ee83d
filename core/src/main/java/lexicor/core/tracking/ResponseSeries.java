package lexicor.core.tracking;

import java.util.List;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/**
 * How a test came out over the visits of a complaint.
 *
 * @param results one for each visit, the first first
 */
public record ResponseSeries(TestId test, List<Result> results) {

    /** How a test came out at a visit. */
    public enum Result {
        /** For at least one condition. */
        POSITIVE,
        NEGATIVE,
        NOT_INTERPRETABLE,
        NOT_DONE;

        static Result of(TestReading reading) {
            if (!reading.answered() || reading.readings().isEmpty()) {
                return NOT_DONE;
            }
            List<Reading.Result> results =
                    reading.readings().stream().map(Reading::result).toList();
            return results.contains(Reading.Result.POSITIVE)
                    ? POSITIVE
                    : results.contains(Reading.Result.NEGATIVE) ? NEGATIVE : NOT_INTERPRETABLE;
        }
    }

    /** Which way a test has gone. */
    public enum Turn {
        STILL_POSITIVE,
        STILL_NEGATIVE,
        TURNED_NEGATIVE,
        TURNED_POSITIVE,
        /** Fewer than two visits tell. */
        NOT_TOLD
    }

    public ResponseSeries {
        results = List.copyOf(results);
    }

    /** By the first and the last visit at which it could be read. */
    public Turn turn() {
        List<Result> read = results.stream()
                .filter(result -> result == Result.POSITIVE || result == Result.NEGATIVE)
                .toList();
        if (read.size() < 2) {
            return Turn.NOT_TOLD;
        }
        boolean before = read.get(0) == Result.POSITIVE;
        boolean now = read.get(read.size() - 1) == Result.POSITIVE;
        return before
                ? (now ? Turn.STILL_POSITIVE : Turn.TURNED_NEGATIVE)
                : now ? Turn.TURNED_POSITIVE : Turn.STILL_NEGATIVE;
    }

    /** Number of visits at which it was done. */
    long done() {
        return results.stream().filter(result -> result != Result.NOT_DONE).count();
    }
}
