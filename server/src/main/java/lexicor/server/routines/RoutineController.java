package lexicor.server.routines;

import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.planning.ReadyRoutines;
import lexicor.core.planning.WorkRoutine;
import lexicor.server.examinations.planning.TestLaps;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.KnownRegion;
import lexicor.server.settings.ClinicSettings;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Routines over HTTP. They are kept as settings. */
@RestController
@RequestMapping("/api/routines")
class RoutineController {

    private final ReadyRoutines ready;
    private final ClinicSettings settings;
    private final TestLaps laps;
    private final Catalogue catalogue;

    RoutineController(ReadyRoutines ready, ClinicSettings settings, TestLaps laps, Catalogue catalogue) {
        this.ready = ready;
        this.settings = settings;
        this.laps = laps;
        this.catalogue = catalogue;
    }

    /** The clinic's own routines of a region, then those that ship. */
    @GetMapping
    List<RoutineJson> routines(@RequestParam String region) {
        KnownRegion.require(catalogue, "region", region);
        Map<TestId, Double> learnt = laps.learnt();
        return Stream.concat(
                        of(region, settings.now().routines())
                                .map(routine -> RoutineJson.of(routine, true, learnt, catalogue)),
                        of(region, ready.routines()).map(routine -> RoutineJson.of(routine, false, learnt, catalogue)))
                .toList();
    }

    /** What a routine would take, and what speaks against it. */
    @PostMapping("/check")
    RoutineJson check(@Valid @RequestBody RoutineJson.RoutineDraftJson draft) {
        KnownRegion.require(catalogue, "region", draft.region());
        try {
            return RoutineJson.of(
                    WorkRoutine.read("draft", draft.region(), draft.text()), true, laps.learnt(), catalogue);
        } catch (WorkRoutine.Unreadable fault) {
            throw new BadInput("text", fault.getMessage());
        }
    }

    private static Stream<WorkRoutine> of(String region, List<WorkRoutine> routines) {
        return routines.stream().filter(routine -> routine.region().equals(region));
    }
}
