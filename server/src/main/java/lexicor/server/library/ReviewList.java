package lexicor.server.library;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import lexicor.core.evidence.RecordUse;
import org.springframework.stereotype.Component;

/** What nobody has compared with its original yet: what weighs and is found most here first. */
@Component
class ReviewList {

    private static final String CHECKED = "checked";

    private final LedgerRows rows;
    private final FindingsHere findings;

    ReviewList(LedgerRows rows, FindingsHere findings) {
        this.rows = rows;
        this.findings = findings;
    }

    /** At most {@code most} records. */
    ReviewListJson first(int most) {
        Map<FindingsHere.Pair, Long> counts = findings.counts();
        List<RecordJson> all = rows.findAll().stream().map(LedgerRow::json).toList();
        List<RecordJson> left = all.stream()
                .filter(record -> !record.reviewState().equals(CHECKED))
                .toList();
        return new ReviewListJson(
                left.stream()
                        .sorted(Comparator.comparing((RecordJson record) -> record.use() != RecordUse.Use.IN_USE)
                                .thenComparing(record -> -found(counts, record))
                                .thenComparing(record -> record.use() == RecordUse.Use.UNUSED)
                                .thenComparing(RecordJson::id))
                        .limit(most)
                        .map(record -> new ReviewListJson.LeftJson(record, found(counts, record)))
                        .toList(),
                left.size(),
                all.size(),
                (int) left.stream()
                        .filter(record -> record.use() == RecordUse.Use.IN_USE)
                        .count(),
                (int) all.stream()
                        .filter(record -> record.use() == RecordUse.Use.IN_USE)
                        .count());
    }

    private static long found(Map<FindingsHere.Pair, Long> counts, RecordJson record) {
        return counts.getOrDefault(new FindingsHere.Pair(record.subject(), record.conditionId()), 0L);
    }
}
