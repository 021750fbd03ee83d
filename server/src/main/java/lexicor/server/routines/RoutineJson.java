package lexicor.server.routines;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.planning.RoutineCheck;
import lexicor.core.planning.WorkRoutine;

/**
 * An order of work with a name.
 *
 * @param own whether it is the clinic's
 * @param text its name and its tests a line each, as it is kept
 * @param minutes for all tests with the changes of position
 * @param moves changes of the patient's position
 * @param missing tests that the library does not have any more
 * @param faults what speaks against the order
 * @param locks what would close tests of it
 */
public record RoutineJson(
        String id,
        String name,
        String region,
        boolean own,
        String text,
        List<RoutineStepJson> steps,
        double minutes,
        int moves,
        List<String> missing,
        List<RoutineFaultJson> faults,
        List<RoutineLockJson> locks) {

    static RoutineJson of(WorkRoutine routine, boolean own, Map<TestId, Double> learnt, Catalogue catalogue) {
        RoutineCheck check = RoutineCheck.of(catalogue, routine, learnt);
        List<RoutineStepJson> steps = check.order().steps().stream()
                .map(step -> new RoutineStepJson(
                        step.test().value(),
                        catalogue.test(step.test()).shortName(),
                        step.position(),
                        (int) Math.round(check.seconds().get(step.test())),
                        routine.entries().stream()
                                .anyMatch(entry -> entry.test().equals(step.test())
                                        && entry.seconds().isPresent())))
                .toList();
        return new RoutineJson(
                routine.id(),
                routine.name(),
                routine.region(),
                own,
                routine.text(),
                steps,
                check.total() / 60,
                check.order().moves(),
                check.missing().stream().map(TestId::value).toList(),
                check.faults().stream()
                        .map(fault -> new RoutineFaultJson(
                                fault.words(catalogue), fault.kind().unreachable()))
                        .toList(),
                check.locks().entrySet().stream()
                        .map(entry -> new RoutineLockJson(
                                entry.getKey().when(),
                                entry.getKey().because(),
                                entry.getValue().stream()
                                        .map(test -> catalogue.test(test).shortName())
                                        .toList()))
                        .toList());
    }

    /**
     * A test in its place.
     *
     * @param seconds both sides together
     * @param set whether the clinic set them for this routine
     */
    public record RoutineStepJson(String testId, String name, String position, int seconds, boolean set) {}

    /**
     * What speaks against an order.
     *
     * @param unreachable whether it cannot be kept so
     */
    public record RoutineFaultJson(String words, boolean unreachable) {}

    /** What would close tests. */
    public record RoutineLockJson(String when, String because, List<String> tests) {}

    /** A routine to be looked at before it is kept. */
    public record RoutineDraftJson(
            @NotBlank(message = "allowed: a region") @Size(max = 20, message = "allowed: at most 20 characters")
            String region,

            @NotNull(message = "allowed: a name, then a test a line")
            @Size(max = 4000, message = "allowed: at most 4000 characters")
            String text) {}
}
