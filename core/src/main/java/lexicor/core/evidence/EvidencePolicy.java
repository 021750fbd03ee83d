package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lexicor.core.source.Fingerprint;
import lexicor.core.synthesis.StudyRecord.Counts;
import lexicor.core.synthesis.StudyRecord.Criterion;

/**
 * How a clinic puts studies together.
 *
 * @param own the clinic's own results by criterion, corrected for those never verified; empty where they do not weigh
 */
public record EvidencePolicy(Method method, Map<Criterion, Counts> own) {

    /** As the product ships: the synthesis, by others' studies alone. */
    public static final EvidencePolicy USUAL = new EvidencePolicy(Method.SYNTHESIS, Map.of());

    public EvidencePolicy {
        own = Map.copyOf(own);
    }

    /** What becomes of several studies of a criterion. */
    public enum Method {
        /** All studies of all tests together, as an independent clinic would find them. */
        SYNTHESIS,
        /** The studies of the criterion pooled by themselves. */
        POOLED,
        /** The one study that says most: independent first, then the larger. */
        BEST_STUDY
    }

    /** Short name of what it says; of equal policies the same. */
    String fingerprint() {
        List<String> says = new ArrayList<>(List.of(method.name()));
        Map<String, Counts> sorted = new TreeMap<>();
        own.forEach((criterion, counts) ->
                sorted.put(criterion.condition() + " " + criterion.test() + " " + criterion.criterion(), counts));
        sorted.forEach((criterion, counts) -> says.add(criterion + " " + counts));
        return Fingerprint.of(says);
    }
}
