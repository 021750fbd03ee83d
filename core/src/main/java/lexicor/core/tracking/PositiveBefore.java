package lexicor.core.tracking;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/**
 * A test that was positive at the visit before, and what has become of it.
 *
 * @param phrase what was found then, without a full stop
 */
public record PositiveBefore(TestId test, String phrase, Now now) {

    /** How it reads at this visit. */
    public enum Now {
        /** Not done, or not far enough to be read. */
        OPEN,
        STILL_POSITIVE,
        NEGATIVE,
        NOT_INTERPRETABLE
    }

    /**
     * The tests that were positive for any condition, in their order. A test is still positive if anything that was
     * positive then is positive now.
     */
    public static List<PositiveBefore> of(List<TestReading> before, List<TestReading> now) {
        return before.stream()
                .filter(TestReading::answered)
                .flatMap(then -> positive(then).stream()
                        .findFirst()
                        .map(first -> new PositiveBefore(then.test(), first.phrase(), state(then, now)))
                        .stream())
                .toList();
    }

    private static List<Reading> positive(TestReading test) {
        return test.readings().stream()
                .filter(reading -> reading.result() == Reading.Result.POSITIVE)
                .toList();
    }

    private static Now state(TestReading then, List<TestReading> now) {
        Optional<TestReading> again = now.stream()
                .filter(each -> each.test().equals(then.test()) && each.answered())
                .findFirst();
        List<Reading.Result> results = positive(then).stream()
                .flatMap(reading -> again.stream()
                        .flatMap(each -> each.readings().stream())
                        .filter(other -> other.condition().equals(reading.condition())
                                && other.criterion().equals(reading.criterion())))
                .map(Reading::result)
                .toList();
        if (results.contains(Reading.Result.POSITIVE)) {
            return Now.STILL_POSITIVE;
        }
        if (results.contains(Reading.Result.NEGATIVE)) {
            return Now.NEGATIVE;
        }
        return results.contains(Reading.Result.NOT_INTERPRETABLE) ? Now.NOT_INTERPRETABLE : Now.OPEN;
    }
}
