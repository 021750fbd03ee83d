package lexicor.core.findings;

import java.util.List;
import lexicor.core.catalogue.Way;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/**
 * How tests were done: an answer of a way that nobody has studied, and that makes a difference, is noted and not read.
 */
public final class WaysDone {

    private final Evidence evidence;

    public WaysDone(Evidence evidence) {
        this.evidence = evidence;
    }

    /** The readings with what is noted only no longer read; the reason is its phrase. */
    public List<TestReading> apply(List<TestReading> readings) {
        return readings.stream()
                .map(test -> test.way().map(way -> read(test, way)).orElse(test))
                .toList();
    }

    private TestReading read(TestReading test, Way way) {
        return test.with(test.readings().stream()
                .map(reading ->
                        reading.definite() && evidence.effect(way, test.test(), reading.condition()) == Way.Effect.NOTED
                                ? new Reading(
                                        reading.test(),
                                        reading.condition(),
                                        reading.criterion(),
                                        Reading.Result.NOT_INTERPRETABLE,
                                        way.reason())
                                : reading)
                .toList());
    }
}
