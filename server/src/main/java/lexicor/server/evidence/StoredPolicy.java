package lexicor.server.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lexicor.core.evidence.EvidencePolicy;
import lexicor.core.synthesis.StudyRecord;

/** How studies are put together, as a change keeps it. */
record StoredPolicy(EvidencePolicy.Method method, List<StoredCounts> own) {

    /** The clinic's own results of one criterion; the four may be fractions once corrected for those not verified. */
    record StoredCounts(String condition, String test, String criterion, double tp, double fn, double tn, double fp) {}

    static StoredPolicy of(EvidencePolicy policy) {
        List<StoredCounts> own = new ArrayList<>();
        policy.own()
                .forEach((criterion, counts) -> own.add(new StoredCounts(
                        criterion.condition(),
                        criterion.test(),
                        criterion.criterion(),
                        counts.tp(),
                        counts.fn(),
                        counts.tn(),
                        counts.fp())));
        return new StoredPolicy(policy.method(), own);
    }

    EvidencePolicy policy() {
        Map<StudyRecord.Criterion, StudyRecord.Counts> counts = new LinkedHashMap<>();
        own.forEach(each -> counts.put(
                new StudyRecord.Criterion(each.condition(), each.test(), each.criterion()),
                new StudyRecord.Counts(each.tp(), each.fn(), each.tn(), each.fp())));
        return new EvidencePolicy(method, counts);
    }
}
