package lexicor.core.conclusion;

import java.util.List;
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

    private static boolean measured(Attempt attempt) {
        return attempt.parts().stream()
                .anyMatch(part -> part instanceof Part.Measured && !part.key().equals("held-for"));
    }
}
