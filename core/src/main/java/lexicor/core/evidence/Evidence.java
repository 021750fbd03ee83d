package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;

/**
 * The ledger with its ties, and the policy "best study": independent of the test's inventors first, then the larger.
 * Reviews are shown and not used by default. Where one study offers several criteria, the field's usual one is used.
 */
public final class Evidence {

    private static final CriterionId TOLD = CriterionId.of("told");

    private final String revision;
    private final Catalogue catalogue;
    private final Map<RecordId, AccuracyRecord> records;
    private final Map<RecordId, Tie> ties;
    private final Schools usual;
    private final Map<String, List<AccuracyRecord>> bySubject;
    private final Map<Asked, Optional<EvidenceInUse>> answered = new ConcurrentHashMap<>();
    private final Map<Asked, String> reasons = new ConcurrentHashMap<>();

    /** What was asked of the policy. Content never changes, so an answer holds for good. */
    private record Asked(TestId test, ConditionId condition, Schools schools) {
    }

    Evidence(String revision, Catalogue catalogue, Map<RecordId, AccuracyRecord> records, Map<RecordId, Tie> ties) {
        this.revision = revision;
        this.catalogue = catalogue;
        this.records = Collections.unmodifiableMap(new LinkedHashMap<>(records));
        this.ties = Map.copyOf(ties);
        this.usual = catalogue.usualSchools();
        this.bySubject = records.values().stream().collect(Collectors.groupingBy(AccuracyRecord::subject));
    }

    /** Short fingerprint of ledger and ties. */
    public String revision() {
        return revision;
    }

    public int size() {
        return records.size();
    }

    /** The record, or {@link IllegalArgumentException} that names it. Never null. */
    public AccuracyRecord record(RecordId id) {
        return Optional.ofNullable(records.get(id)).orElseThrow(() -> new IllegalArgumentException("record '" + id + "' is not in the ledger"));
    }

    /**
     * The one record that weighs a test for a condition under the usual schools, with the criterion it was measured by;
     * empty where none can.
     */
    public Optional<EvidenceInUse> inUse(TestId test, ConditionId condition) {
        return inUse(test, condition, usual);
    }

    /** The same under other schools: where a school fixes the criterion, records of another one are not used. */
    public Optional<EvidenceInUse> inUse(TestId test, ConditionId condition, Schools schools) {
        return answered.computeIfAbsent(new Asked(test, condition, schools), asked -> choose(test, condition, schools));
    }

    private Optional<EvidenceInUse> choose(TestId test, ConditionId condition, Schools schools) {
        List<CriterionId> usualFirst = catalogue.test(test).readingFor(condition).map(reading -> reading.by(schools)).orElse(List.of());
        return candidates(test, condition).stream()
                .filter(candidate -> !candidate.record().review() && usualFirst.contains(candidate.criterion()))
                .min(Comparator.comparing((EvidenceInUse candidate) -> byInventors(candidate.record().id()))
                        .thenComparing(candidate -> -candidate.record().patients())
                        .thenComparing(candidate -> usualFirst.indexOf(candidate.criterion()))
                        .thenComparing(candidate -> candidate.record().id().value()));
    }

    /** Whether published accuracy speaks for a clue about a condition, so that it is evidence and no mere shift of the start. */
    public boolean weighsClue(String clue, ConditionId condition) {
        return inUse(clue, condition).isPresent();
    }

    /** The one record that weighs a clue for a condition, by the same policy; empty where none can. */
    public Optional<EvidenceInUse> inUse(String clue, ConditionId condition) {
        List<EvidenceInUse> candidates = new ArrayList<>();
        for (AccuracyRecord record : records.values()) {
            if (ties.get(record.id()) instanceof Tie.ToClue tie && tie.clue().equals(clue) && tie.condition().equals(condition)
                    && !record.review() && Weighable.of(record) instanceof Weighable.Yes figures) {
                candidates.add(new EvidenceInUse(record, TOLD, tie.series(), figures));
            }
        }
        return candidates.stream().min(Comparator.comparing((EvidenceInUse candidate) -> candidate.record().originator())
                .thenComparing(candidate -> -candidate.record().patients()).thenComparing(candidate -> candidate.record().id().value()));
    }

    /** The record behind a level of a cluster; empty where its figures cannot be weighed. */
    public Optional<EvidenceInUse> inUse(Cluster.Level level) {
        if (level.direction() != Cluster.Direction.POSITIVE && level.direction() != Cluster.Direction.NEGATIVE) {
            return Optional.empty();
        }
        AccuracyRecord record = record(RecordId.of(level.record()));
        return Weighable.of(record) instanceof Weighable.Yes figures && ties.get(record.id()) instanceof Tie.ToCluster tie
                ? Optional.of(new EvidenceInUse(record, CriterionId.of("count"), tie.series(), figures)) : Optional.empty();
    }

    /** Whether a record comes from those who proposed the test or derived the rule. */
    public boolean byInventors(RecordId id) {
        return record(id).originator() || ties.get(id) instanceof Tie.ToTest tie && tie.inventors();
    }

    /** What a record speaks for. Never null. */
    public Tie tie(RecordId id) {
        return ties.get(record(id).id());
    }

    /** Every record, in the order of the ledger. */
    public List<AccuracyRecord> records() {
        return List.copyOf(records.values());
    }

    /** Why nothing weighs a test for a condition, in plain words. */
    public String whyNotWeighed(TestId test, ConditionId condition) {
        return reasons.computeIfAbsent(new Asked(test, condition, usual), asked -> reasonsAgainst(test, condition));
    }

    private String reasonsAgainst(TestId test, ConditionId condition) {
        List<AccuracyRecord> about = about(test, condition);
        if (about.isEmpty()) {
            return "no accuracy study in the ledger";
        }
        List<String> reasons = new ArrayList<>();
        for (AccuracyRecord record : about) {
            String reason = reasonAgainst(record);
            if (!reasons.contains(reason)) {
                reasons.add(reason);
            }
        }
        return "no usable figures: " + String.join("; ", reasons);
    }

    private String reasonAgainst(AccuracyRecord record) {
        if (ties.get(record.id()) instanceof Tie.Unused unused) {
            return unused.because();
        }
        if (Weighable.of(record) instanceof Weighable.No no) {
            return no.because();
        }
        return "only a review, which is shown and not used by default";
    }

    private List<AccuracyRecord> about(TestId test, ConditionId condition) {
        return bySubject.getOrDefault(test.value(), List.of()).stream().filter(record -> record.condition().equals(condition.value()))
                .sorted(Comparator.comparing(record -> record.id().value())).toList();
    }

    private List<EvidenceInUse> candidates(TestId test, ConditionId condition) {
        List<EvidenceInUse> candidates = new ArrayList<>();
        for (AccuracyRecord record : about(test, condition)) {
            if (ties.get(record.id()) instanceof Tie.ToTest tie && Weighable.of(record) instanceof Weighable.Yes figures) {
                candidates.add(new EvidenceInUse(record, tie.criterion(), tie.series(), figures));
            }
        }
        return candidates;
    }
}
