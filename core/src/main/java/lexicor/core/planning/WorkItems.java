package lexicor.core.planning;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Conduct;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Routine;
import lexicor.core.catalogue.Stage;
import lexicor.core.catalogue.TestId;

/** What the content says of where tests may stand in an order. */
public final class WorkItems {

    /** Looking, what belongs to every examination, and measures that provoking would spoil. */
    static final int FIRST = 0;

    static final int BETWEEN = 1;
    /** Instability, and what is likely to hurt or frighten. */
    static final int LAST = 2;

    /** Provocation that is likely to hurt or frighten. */
    private static final int FRIGHTENS = 3;

    private WorkItems() {}

    /** Tests of a region as they may stand in an order; those that follow on another of them come after it. */
    public static List<WorkItem> of(Catalogue catalogue, String region, Collection<TestId> tests) {
        return of(catalogue, region, tests, Situation.Practice.everything());
    }

    /** The same in the positions that a patient can take. */
    static List<WorkItem> of(
            Catalogue catalogue, String region, Collection<TestId> tests, Situation.Practice practice) {
        Routine routine = catalogue.routine(region);
        return tests.stream()
                .map(catalogue::test)
                .map(test -> {
                    Set<TestId> after = test.conduct().after().stream()
                            .map(Conduct.After::test)
                            .collect(Collectors.toSet());
                    return new WorkItem(
                            test.id(),
                            practice.positions(test),
                            test.stage(),
                            Set.copyOf(test.conduct().equipment()),
                            level(test, routine),
                            after);
                })
                .toList();
    }

    private static int level(ExaminationTest test, Routine routine) {
        if (test.stage() == Stage.INSTABILITY || test.provocation() >= FRIGHTENS) {
            return LAST;
        }
        return test.stage() == Stage.LOOK
                        || routine.first().contains(test.id())
                        || routine.always().contains(test.id())
                ? FIRST
                : BETWEEN;
    }
}
