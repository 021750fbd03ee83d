package lexicor.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;

/** The orders of work that ship. */
public record ReadyRoutines(List<WorkRoutine> routines) {

    static final String FILE = "ready-routines.yaml";

    public ReadyRoutines {
        routines = List.copyOf(routines);
    }

    public static ReadyRoutines shipped(Catalogue catalogue) {
        return read(catalogue, SourceNode.resourceText("/lexicor/catalogue/" + FILE));
    }

    /**
     * Routines from other text, or {@link SourceException} with file and line where one could not be done as it stands.
     */
    static ReadyRoutines read(Catalogue catalogue, String text) {
        List<WorkRoutine> routines = new ArrayList<>();
        for (SourceNode node : SourceNode.parse(FILE, text).items()) {
            node.allowing("routine", "name", "region", "tests");
            WorkRoutine routine = new WorkRoutine(
                    node.text("routine"),
                    node.text("name"),
                    node.text("region"),
                    node.texts("tests").stream()
                            .map(test -> new WorkRoutine.Entry(TestId.of(test), OptionalInt.empty()))
                            .toList());
            if (!catalogue.routines().containsKey(routine.region())) {
                throw node.child("region")
                        .fault("region '" + routine.region() + "' is not known; allowed: "
                                + catalogue.routines().keySet());
            }
            if (routines.stream().anyMatch(known -> known.id().equals(routine.id()))) {
                throw node.fault("routine '" + routine.id() + "' stands here twice");
            }
            RoutineCheck check = RoutineCheck.of(catalogue, routine);
            check.missing().stream().findFirst().ifPresent(test -> {
                throw node.child("tests")
                        .fault("test '" + test.value() + "' is not known; allowed: a test of the catalogue");
            });
            check.faults().stream().findFirst().ifPresent(fault -> {
                throw node.child("tests").fault(fault.words(catalogue));
            });
            routines.add(routine);
        }
        return new ReadyRoutines(routines);
    }
}
