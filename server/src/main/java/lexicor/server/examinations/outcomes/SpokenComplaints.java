package lexicor.server.examinations.outcomes;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lexicor.core.outcomes.Truths;
import org.springframework.stereotype.Component;

/**
 * Complaints with what turned out. One examination speaks for a complaint: of those signed, the one of the last day on
 * or before that of the first result, or of the last day where there is none; of a day the first, which a second
 * examiner's never is.
 */
@Component
class SpokenComplaints {

    private final SignedVisits signed;
    private final ResultStore store;
    private final Outcomes outcomes;

    SpokenComplaints(SignedVisits signed, ResultStore store, Outcomes outcomes) {
        this.signed = signed;
        this.store = store;
        this.outcomes = outcomes;
    }

    /** A complaint with the examination that speaks for it, and what turned out. */
    record Spoken(SignedVisits.Visit visit, Truths truths) {}

    /** Every complaint with a signed examination. */
    List<Spoken> all() {
        return where(visit -> true);
    }

    /** @param speaks which of the examinations may */
    List<Spoken> where(Predicate<SignedVisits.Visit> speaks) {
        signed.settle();
        Map<UUID, List<ResultStore.Kept>> results =
                store.standing().stream().collect(Collectors.groupingBy(ResultStore.Kept::complaint));
        Map<UUID, List<SignedVisits.Visit>> visits = signed.visits().stream()
                .filter(speaks)
                .collect(Collectors.groupingBy(SignedVisits.Visit::complaint, LinkedHashMap::new, Collectors.toList()));
        List<Spoken> spoken = new ArrayList<>();
        visits.forEach((complaint, each) -> {
            List<ResultStore.Kept> known = results.getOrDefault(complaint, List.of());
            Optional<LocalDate> first =
                    known.stream().map(result -> result.result().day()).min(Comparator.naturalOrder());
            each.stream()
                    .filter(visit -> first.isEmpty() || !visit.day().isAfter(first.get()))
                    .reduce((earlier, later) -> later.day().isAfter(earlier.day()) ? later : earlier)
                    .ifPresent(visit -> spoken.add(new Spoken(
                            visit,
                            outcomes.truths(
                                    known.stream().map(ResultStore.Kept::result).toList()))));
        });
        return spoken;
    }
}
