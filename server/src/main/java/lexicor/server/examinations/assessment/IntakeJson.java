package lexicor.server.examinations.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.StartingOdds;

/**
 * What follows from everything told so far. Chances are 0..1.
 *
 * @param knows number of the last command that is included
 * @param zones zones that are open, chosen or by the story
 * @param assumed loads taken from the occupation, as question:option
 * @param faults answers that contradict each other or cannot be
 */
@Schema(name = "IntakeStateJson")
public record IntakeJson(
        long knows,
        List<String> zones,
        List<FaultJson> faults,
        SafetyJson safety,
        List<LockedTestJson> locked,
        List<StartJson> starts,
        StartingOdds.Width width,
        List<String> assumed) {

    public static IntakeJson of(long knows, Assessment here, Catalogue catalogue) {
        IntakeState state = here.told();
        return new IntakeJson(
                knows,
                List.copyOf(state.zones()),
                state.faults().stream()
                        .map(fault -> new FaultJson(fault.question(), fault.message()))
                        .toList(),
                SafetyJson.of(state.screen()),
                state.locked().keySet().stream()
                        .map(catalogue::test)
                        .map(test -> LockedTestJson.of(test, state))
                        .toList(),
                here.starts().stream().map(start -> StartJson.of(start, state)).toList(),
                state.width(),
                List.copyOf(state.assumed()));
    }

    /** What is wrong with the answer to a question. */
    @Schema(name = "IntakeFaultJson")
    public record FaultJson(String question, String message) {}

    /** A test that is locked. */
    public record LockedTestJson(String testId, String name, LockJson lock) {
        public static LockedTestJson of(ExaminationTest test, IntakeState state) {
            return new LockedTestJson(
                    test.id().value(),
                    test.name(),
                    LockJson.of(
                            test.id(),
                            state,
                            state.locked().get(test.id()).stream()
                                    .map(locked -> locked.why())
                                    .toList()));
        }
    }

    /**
     * Where a condition starts.
     *
     * @param estimate the working estimate of the setting
     * @param moved what moved it, in order
     * @param weighedLater clues that are weighed as evidence and so move nothing here
     * @param own what the therapist set; absent otherwise
     * @param inactive the story without which it does not count; absent where it counts
     */
    public record StartJson(
            String conditionId,
            String name,
            String shortName,
            boolean serious,
            boolean inZone,
            double estimate,
            List<MovedJson> moved,
            List<String> weighedLater,
            @Schema(nullable = true) Double own,
            double chance,
            @Schema(nullable = true) String inactive) {
        public static StartJson of(StartingOdds.Start start, IntakeState state) {
            return new StartJson(
                    start.condition().id().value(),
                    start.condition().name(),
                    start.condition().shortName(),
                    start.condition().serious().isPresent(),
                    state.inZone().contains(start.condition().id()),
                    start.estimate(),
                    start.moved().stream()
                            .map(moved -> new MovedJson(moved.by(), moved.reason(), moved.logOdds()))
                            .toList(),
                    start.weighedLater(),
                    start.ownChance().orElse(null),
                    start.chance(),
                    start.inactive().orElse(null));
        }
    }

    /** One step on the log-odds scale, and why it is taken. */
    public record MovedJson(String by, String reason, double logOdds) {}
}
