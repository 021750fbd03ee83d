package lexicor.server.evidence;

import java.util.Map;
import lexicor.core.synthesis.StudyRecord;

/** What the clinic's own patients say of its tests. */
public interface OwnResults {

    /**
     * Of every criterion that is weighed and has results after a positive and after a negative answer, corrected for
     * patients whose result is not known.
     */
    Map<StudyRecord.Criterion, StudyRecord.Counts> now();
}
