package lexicor.core.planning;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.TestId;

/**
 * What a routine takes, and what speaks against it before any patient is known.
 *
 * @param missing tests that the catalogue does not have; the others can be done all the same
 * @param order the others, each in the position with which the patient moves least
 * @param seconds for each of the others, both sides together
 * @param faults of the order
 * @param locks what would close tests of it, with those tests
 * @param total seconds with the changes of position
 */
public record RoutineCheck(
        List<TestId> missing,
        WorkOrder order,
        Map<TestId, Double> seconds,
        List<OrderFault> faults,
        Map<Lock, List<TestId>> locks,
        double total) {

    public RoutineCheck {
        missing = List.copyOf(missing);
        seconds = Map.copyOf(seconds);
        faults = List.copyOf(faults);
    }

    /** Checks a routine against a catalogue. */
    public static RoutineCheck of(Catalogue catalogue, WorkRoutine routine) {
        return of(catalogue, routine, Map.of());
    }

    /**
     * The same with times learnt from the clinic's own record.
     *
     * @param learnt seconds of tests, which what the routine itself says goes before
     */
    public static RoutineCheck of(Catalogue catalogue, WorkRoutine routine, Map<TestId, Double> learnt) {
        Set<TestId> known = catalogue.tests().keySet();
        List<TestId> missing =
                routine.tests().stream().filter(test -> !known.contains(test)).toList();
        List<TestId> tests = routine.tests().stream().filter(known::contains).toList();
        Map<TestId, Double> seconds = new HashMap<>();
        routine.entries().stream()
                .filter(entry -> known.contains(entry.test()))
                .forEach(entry -> seconds.put(
                        entry.test(),
                        entry.seconds().isPresent()
                                ? Double.valueOf(entry.seconds().getAsInt())
                                : learnt.getOrDefault(entry.test(), usual(catalogue.test(entry.test())))));
        List<WorkItem> items = WorkItems.of(catalogue, routine.region(), tests);
        WorkOrder order = WorkOrder.asGiven(
                items, Optional.of(catalogue.routine(routine.region()).beginsIn()));
        Map<Lock, List<TestId>> locks = new LinkedHashMap<>();
        catalogue.locksAsked(routine.region()).forEach(lock -> {
            List<TestId> closed =
                    tests.stream().distinct().filter(lock.tests()::contains).toList();
            if (!closed.isEmpty()) {
                locks.put(lock, closed);
            }
        });
        double total = order.seconds(seconds::get, catalogue.effort().changePosition());
        return new RoutineCheck(
                missing, order, seconds, OrderFault.of(catalogue, routine.region(), items, Set.of()), locks, total);
    }

    /** Seconds of a test by the catalogue, both sides together where both are asked. */
    static double usual(ExaminationTest test) {
        return test.seconds() * (test.wellSideParts().isEmpty() ? 1 : 2);
    }

    /**
     * Why it cannot be kept as it is, in words; empty where it can. What only speaks against an order is left to the
     * clinic.
     */
    public Optional<String> refusal(Catalogue catalogue) {
        if (!missing.isEmpty()) {
            return Optional.of(
                    "'" + missing.get(0).value() + "' is not in the library; allowed: the id of a test of the library");
        }
        return faults.stream()
                .filter(fault -> fault.kind().unreachable())
                .findFirst()
                .map(fault -> fault.words(catalogue).replaceAll("[.]$", ""));
    }
}
