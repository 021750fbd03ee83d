package lexicor.core.examination;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Conduct;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;

/**
 * What an answer closes. Once a test was answered as one of its stops says, no test that provokes the same joint as
 * much or in the same way, or that brings the arm back to where it was, is begun; what relieves that very answer
 * (relocation, of apprehension) stays open, and what was done stays done.
 */
public final class StopRules {

    /** Provocation that is likely to hurt or frighten. */
    private static final int FRIGHTENS = 3;

    /** Provocation that may hurt. */
    private static final int MAY_HURT = 2;

    private final Catalogue catalogue;

    public StopRules(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** A test that is closed, by which answer. */
    public record Stopped(TestId by, String because) {}

    /** The tests that a stop of {@code test} closes; empty where it ends nothing but a hold. */
    public Set<TestId> closes(ExaminationTest test, Conduct.Stop stop) {
        return stop.ends() == Conduct.Ends.HOLD
                ? Set.of()
                : catalogue.tests().values().stream()
                        .filter(other -> (provokesAlike(test, other) || comesBack(test, stop, other))
                                && !stop.spares().contains(other.id()))
                        .map(ExaminationTest::id)
                        .collect(Collectors.toUnmodifiableSet());
    }

    private static boolean provokesAlike(ExaminationTest test, ExaminationTest other) {
        boolean asMuch =
                other.provocation() >= FRIGHTENS || other.provocation() >= MAY_HURT && other.stage() == test.stage();
        return !other.id().equals(test.id()) && other.region().equals(test.region()) && asMuch;
    }

    /** Whether a test that may hurt brings the arm where the stop was. */
    private static boolean comesBack(ExaminationTest test, Conduct.Stop stop, ExaminationTest other) {
        return !other.id().equals(test.id())
                && other.region().equals(test.region())
                && other.provocation() >= MAY_HURT
                && stop.position().isPresent()
                && other.reach().filter(stop.position().get()::includes).isPresent();
    }

    /**
     * Every test that the answers on {@code side} have closed and that was not done before; the latest stop gives the
     * reason.
     */
    public Map<TestId, Stopped> stopped(History history, Side side) {
        Map<TestId, Stopped> stopped = new LinkedHashMap<>();
        for (TestId id : history.tests()) {
            ExaminationTest test = catalogue.test(id);
            hit(test, history, side)
                    .ifPresent(stop -> closes(test, stop).stream()
                            .filter(other -> history.attempts(other, side).isEmpty())
                            .forEach(other -> stopped.put(other, new Stopped(id, stop.because()))));
        }
        return stopped;
    }

    private static Optional<Conduct.Stop> hit(ExaminationTest test, History history, Side side) {
        return test.conduct().stops().stream()
                .filter(stop -> history.attempts(test.id(), side).stream()
                        .anyMatch(
                                attempt -> attempt.choices(stop.part()).stream().anyMatch(stop.values()::contains)))
                .findFirst();
    }
}
