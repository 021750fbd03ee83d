package lexicor.core.conclusion;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.History;
import lexicor.core.examination.Part;
import lexicor.core.examination.Side;

/** Tests worth repeating: those of which a measure was taken on the side in question. */
public final class Markers {

    private Markers() {}

    /** In the order in which they were done. */
    public static List<TestId> suggested(History history, Side side) {
        return history.attempts().stream()
                .filter(attempt -> attempt.side() == side && measured(attempt))
                .map(Attempt::test)
                .distinct()
                .toList();
    }

    /** Keys of what was measured in the last try of a test on a side; none where it was not done. */
    public static Set<String> measured(History history, TestId test, Side side) {
        return history.last(test, side).stream()
                .flatMap(attempt -> measures(attempt))
                .map(Part::key)
                .collect(Collectors.toSet());
    }

    private static boolean measured(Attempt attempt) {
        return measures(attempt).findAny().isPresent();
    }

    private static Stream<Part> measures(Attempt attempt) {
        return attempt.parts().stream()
                .filter(part -> part instanceof Part.Measured && !part.key().equals("held-for"));
    }
}
