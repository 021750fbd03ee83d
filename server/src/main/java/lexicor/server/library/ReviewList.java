package lexicor.server.library;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.evidence.RecordUse;
import lexicor.core.lookup.Keyed;
import org.springframework.stereotype.Component;

/** What nobody has compared with its original yet: what weighs and is found most here first. */
@Component
class ReviewList {

    private static final String CHECKED = "checked";

    private final LedgerRows rows;
    private final FindingsHere findings;
    private final CardReviews reviews;
    private final Catalogue catalogue;

    ReviewList(LedgerRows rows, FindingsHere findings, CardReviews reviews, Catalogue catalogue) {
        this.reviews = reviews;
        this.catalogue = catalogue;
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
        List<ReviewListJson.CardLeftJson> cards = cards(counts);
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
                        .count(),
                cards.stream().limit(most).toList(),
                cards.size());
    }

    /** Cards that are found most here first; of the same the order of the library. */
    private List<ReviewListJson.CardLeftJson> cards(Map<FindingsHere.Pair, Long> counts) {
        Map<String, Long> byTest = new HashMap<>();
        counts.forEach((pair, found) -> byTest.merge(pair.test(), found, Math::max));
        Map<String, CardState> states = reviews.states(catalogue.tests());
        return catalogue.tests().values().stream()
                .map(test -> new ReviewListJson.CardLeftJson(
                        test.id().value(),
                        test.name(),
                        test.region(),
                        Keyed.at(states, test.id().value()),
                        byTest.getOrDefault(test.id().value(), 0L)))
                .filter(card -> card.state() != CardState.AGREED)
                .sorted(Comparator.comparing((ReviewListJson.CardLeftJson card) -> -card.found()))
                .toList();
    }

    private static long found(Map<FindingsHere.Pair, Long> counts, RecordJson record) {
        return counts.getOrDefault(new FindingsHere.Pair(record.subject(), record.conditionId()), 0L);
    }
}
