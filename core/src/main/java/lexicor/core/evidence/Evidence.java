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
import lexicor.core.catalogue.Way;
import lexicor.core.lookup.Keyed;
import lexicor.core.source.Fingerprint;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.synthesis.StudyRecord;
import lexicor.core.synthesis.Synthesis;
import org.jspecify.annotations.Nullable;

/**
 * The ledger with its ties. A finding is weighed by what the synthesis of all studies expects of its criterion in an
 * independent clinic. Of several criteria the one with independent studies is used, then the one with more patients in
 * them, then the field's usual one; beside it the record is shown that says most: independent first, then the larger.
 * Reviews are shown and not used.
 */
public final class Evidence {

    private static final CriterionId TOLD = CriterionId.of("told");

    private final String revision;
    private final Catalogue catalogue;
    private final Map<RecordId, AccuracyRecord> records;
    private final Map<RecordId, Tie> ties;
    private final Schools usual;
    private final Map<String, List<AccuracyRecord>> bySubject;
    private final Map<EvidenceKey, Optional<EvidenceInUse>> answered = new ConcurrentHashMap<>();
    private final Map<ClueKey, Optional<EvidenceInUse>> told = new ConcurrentHashMap<>();
    private final Map<EvidenceKey, String> reasons = new ConcurrentHashMap<>();
    private final Synthesis synthesis;
    private final EvidencePolicy policy;
    private final Expectations expectations;

    /** By the usual policy; null where this is it. */
    private final @Nullable Evidence published;

    /** What was asked of the policy. Content never changes, so an answer holds for good. */
    private record ClueKey(String clue, ConditionId condition) {}

    private record EvidenceKey(TestId test, ConditionId condition, Schools schools) {}

    Evidence(String revision, Catalogue catalogue, Map<RecordId, AccuracyRecord> records, Map<RecordId, Tie> ties) {
        this(revision, catalogue, records, ties, Optional.empty(), EvidencePolicy.USUAL, null);
    }

    private Evidence(
            String revision,
            Catalogue catalogue,
            Map<RecordId, AccuracyRecord> records,
            Map<RecordId, Tie> ties,
            Optional<Synthesis> known,
            EvidencePolicy policy,
            @Nullable Evidence published) {
        this.revision = revision;
        this.catalogue = catalogue;
        this.records = Collections.unmodifiableMap(new LinkedHashMap<>(records));
        this.ties = Map.copyOf(ties);
        this.usual = catalogue.usualSchools();
        this.bySubject = records.values().stream().collect(Collectors.groupingBy(AccuracyRecord::subject));
        List<StudyRecord> studies = studies();
        this.synthesis = known.orElseGet(() -> Synthesis.of(studies));
        this.policy = policy;
        this.expectations = new Expectations(catalogue, synthesis, studies, policy);
        this.published = published;
    }

    /**
     * The records that enter the synthesis: every single study tied to a test or a clue that gives both proportions.
     */
    public List<StudyRecord> studies() {
        List<StudyRecord> studies = new ArrayList<>();
        for (AccuracyRecord record : records.values()) {
            if (!record.review() && Weighable.of(record) instanceof Weighable.Yes figures) {
                criterion(record)
                        .ifPresent(criterion -> studies.add(new StudyRecord(
                                record.id().value(),
                                criterion,
                                record.citation(),
                                byInventors(record.id()),
                                counts(figures))));
            }
        }
        return studies;
    }

    private Optional<StudyRecord.Criterion> criterion(AccuracyRecord record) {
        Tie tie = ties.get(record.id());
        if (tie instanceof Tie.ToTest test) {
            return Optional.of(criterion(test.test(), test.criterion(), test.condition()));
        }
        return tie instanceof Tie.ToClue clue ? Optional.of(told(clue.clue(), clue.condition())) : Optional.empty();
    }

    private static StudyRecord.Counts counts(Weighable.Yes figures) {
        TwoByTwo counts = figures.counts();
        return new StudyRecord.Counts(counts.tp(), counts.fn(), counts.tn(), counts.fp());
    }

    static StudyRecord.Criterion criterion(TestId test, CriterionId criterion, ConditionId condition) {
        return new StudyRecord.Criterion(condition.value(), test.value(), criterion.value());
    }

    private static StudyRecord.Criterion told(String clue, ConditionId condition) {
        return new StudyRecord.Criterion(condition.value(), "told " + clue, TOLD.value());
    }

    /** All studies of the ledger together. */
    public Synthesis synthesis() {
        return synthesis;
    }

    /** How studies are put together. */
    public EvidencePolicy policy() {
        return policy;
    }

    /** The same ledger with its studies put together in a way. */
    public Evidence by(EvidencePolicy other) {
        Evidence usually = published == null ? this : published;
        return other.equals(EvidencePolicy.USUAL)
                ? usually
                : new Evidence(
                        Fingerprint.of(List.of(usually.revision, other.fingerprint())),
                        catalogue,
                        records,
                        ties,
                        Optional.of(synthesis),
                        other,
                        usually);
    }

    /** The same ledger by the synthesis of others' studies alone. */
    public Evidence asPublished() {
        return by(EvidencePolicy.USUAL);
    }

    /** What this clinic would find for every criterion of a condition, studied or not. */
    public PredictedAccuracy expected(ConditionId condition) {
        return expectations.of(condition);
    }

    /**
     * What this clinic would find by a criterion of a test; the same as of any unseen criterion where nobody has
     * studied it.
     */
    public Belief expected(TestId test, CriterionId criterion, ConditionId condition) {
        return expected(criterion(test, criterion, condition), condition);
    }

    private Belief expected(StudyRecord.Criterion criterion, ConditionId condition) {
        PredictedAccuracy all = expected(condition);
        return Belief.Expected.of(all, all.criteria().indexOf(criterion));
    }

    /** A record with what it speaks for; empty where it is not in the ledger. */
    public Optional<LedgerEntry> entry(RecordId id) {
        return Optional.ofNullable(records.get(id)).map(record -> new LedgerEntry(record, Keyed.at(ties, id)));
    }

    /**
     * The same ledger with some records as somebody has entered them, new ones last. Where none says anything else than
     * before, the revision is the same.
     */
    public Evidence revised(List<LedgerEntry> entries) {
        return published == null ? entered(entries) : published.entered(entries).by(policy);
    }

    private Evidence entered(List<LedgerEntry> entries) {
        Map<RecordId, AccuracyRecord> recordsThen = new LinkedHashMap<>(records);
        Map<RecordId, Tie> tiesThen = new LinkedHashMap<>(ties);
        List<String> texts = new ArrayList<>();
        for (LedgerEntry entry : entries) {
            if (!entry(entry.id()).map(LedgerEntry::content).equals(Optional.of(entry.content()))) {
                texts.add(entry.content());
            }
            recordsThen.put(entry.id(), entry.record());
            tiesThen.put(entry.id(), entry.tie());
        }
        if (texts.isEmpty()) {
            return new Evidence(
                    revision, catalogue, recordsThen, tiesThen, Optional.of(synthesis), EvidencePolicy.USUAL, null);
        }
        Collections.sort(texts);
        texts.add(0, revision);
        return new Evidence(Fingerprint.of(texts), catalogue, recordsThen, tiesThen);
    }

    /** Whether everything weighs as in another ledger, which may say other words. */
    public boolean weighsAs(Evidence other) {
        return revision.equals(other.revision)
                || policy.equals(other.policy) && weights().equals(other.weights());
    }

    /** All that a weight can follow from, by record: its figures, what it speaks for, and who measured whom. */
    private Map<RecordId, List<Object>> weights() {
        Map<RecordId, List<Object>> weights = new LinkedHashMap<>();
        records.values().forEach(record -> {
            Tie tie = Keyed.at(ties, record.id());
            if (!(tie instanceof Tie.Unused)) {
                weights.put(
                        record.id(),
                        List.of(
                                tie instanceof Tie.ToTest to ? to.without() : tie,
                                Weighable.of(record),
                                byInventors(record.id()),
                                record.review(),
                                record.citation()));
            }
        });
        return weights;
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
        return Optional.ofNullable(records.get(id))
                .orElseThrow(() -> new IllegalArgumentException("record '" + id + "' is not in the ledger"));
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
        return answered.computeIfAbsent(
                new EvidenceKey(test, condition, schools), asked -> choose(test, condition, schools));
    }

    private Optional<EvidenceInUse> choose(TestId test, ConditionId condition, Schools schools) {
        List<CriterionId> usualFirst = catalogue
                .test(test)
                .readingFor(condition)
                .map(reading -> reading.by(schools))
                .orElse(List.of());
        Map<CriterionId, List<EvidenceInUse>> byCriterion = candidates(test, condition).stream()
                .filter(candidate -> !candidate.record().review() && usualFirst.contains(candidate.criterion()))
                .collect(Collectors.groupingBy(EvidenceInUse::criterion));
        return byCriterion.values().stream()
                .min(Comparator.comparing((List<EvidenceInUse> studies) ->
                                independent(studies).isEmpty())
                        .thenComparing(studies -> -patients(studies))
                        .thenComparing(
                                studies -> usualFirst.indexOf(studies.get(0).criterion())))
                .map(this::shown);
    }

    private List<EvidenceInUse> independent(List<EvidenceInUse> studies) {
        return studies.stream().filter(each -> !byInventors(each.record().id())).toList();
    }

    /** Patients of all independent studies; of the inventors' where there are no others. */
    private int patients(List<EvidenceInUse> studies) {
        List<EvidenceInUse> independent = independent(studies);
        return (independent.isEmpty() ? studies : independent)
                .stream().mapToInt(each -> each.record().patients()).sum();
    }

    /** The study that says most of a criterion. */
    private EvidenceInUse shown(List<EvidenceInUse> studies) {
        EvidenceInUse shown = studies.stream()
                .min(Comparator.comparing((EvidenceInUse candidate) ->
                                byInventors(candidate.record().id()))
                        .thenComparing(candidate -> -candidate.record().patients())
                        .thenComparing(candidate -> candidate.record().id().value()))
                .orElseThrow();
        return new EvidenceInUse(
                shown.record(),
                shown.criterion(),
                shown.series(),
                shown.figures(),
                shown.belief(),
                !independent(studies).isEmpty());
    }

    /**
     * Whether published accuracy speaks for a clue about a condition, so that it is evidence and no mere shift of the
     * start.
     */
    public boolean weighsClue(String clue, ConditionId condition) {
        return inUse(clue, condition).isPresent();
    }

    /** The one record that weighs a clue for a condition, by the same policy; empty where none can. */
    public Optional<EvidenceInUse> inUse(String clue, ConditionId condition) {
        return told.computeIfAbsent(new ClueKey(clue, condition), asked -> chosen(clue, condition));
    }

    private Optional<EvidenceInUse> chosen(String clue, ConditionId condition) {
        List<EvidenceInUse> candidates = new ArrayList<>();
        for (AccuracyRecord record : records.values()) {
            if (ties.get(record.id()) instanceof Tie.ToClue tie
                    && tie.clue().equals(clue)
                    && tie.condition().equals(condition)
                    && !record.review()
                    && Weighable.of(record) instanceof Weighable.Yes figures) {
                candidates.add(new EvidenceInUse(
                        record,
                        TOLD,
                        tie.series(),
                        figures,
                        expected(told(clue, condition), condition),
                        !record.originator()));
            }
        }
        return candidates.stream()
                .min(Comparator.comparing(
                                (EvidenceInUse candidate) -> candidate.record().originator())
                        .thenComparing(candidate -> -candidate.record().patients())
                        .thenComparing(candidate -> candidate.record().id().value()));
    }

    /** The record behind a level of a cluster; empty where its figures cannot be weighed. */
    public Optional<EvidenceInUse> inUse(Cluster.Level level) {
        if (level.direction() != Cluster.Direction.POSITIVE && level.direction() != Cluster.Direction.NEGATIVE) {
            return Optional.empty();
        }
        AccuracyRecord record = record(RecordId.of(level.record()));
        return Weighable.of(record) instanceof Weighable.Yes figures
                        && ties.get(record.id()) instanceof Tie.ToCluster tie
                ? Optional.of(new EvidenceInUse(
                        record, CriterionId.of("count"), tie.series(), figures, figures.belief(), !record.originator()))
                : Optional.empty();
    }

    /** Whether a record comes from those who proposed the test or derived the rule. */
    public boolean byInventors(RecordId id) {
        return new LedgerEntry(record(id), Keyed.at(ties, id)).byInventors();
    }

    /** What becomes of an answer about a condition when the test was done in a way. */
    public Way.Effect effect(Way way, TestId test, ConditionId condition) {
        return way.effect(way.covered().stream()
                .map(RecordId::of)
                .anyMatch(id -> ties.get(id) instanceof Tie.ToTest tie
                        && tie.test().equals(test)
                        && tie.condition().equals(condition)));
    }

    /** What a record speaks for. Never null. */
    public Tie tie(RecordId id) {
        return Keyed.at(ties, record(id).id());
    }

    /** Every record, in the order of the ledger. */
    public List<AccuracyRecord> records() {
        return List.copyOf(records.values());
    }

    /** Why nothing weighs a test for a condition, in plain words. */
    public String whyNotWeighed(TestId test, ConditionId condition) {
        return reasons.computeIfAbsent(
                new EvidenceKey(test, condition, usual), asked -> reasonsAgainst(test, condition));
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
        return bySubject.getOrDefault(test.value(), List.of()).stream()
                .filter(record -> record.condition().equals(condition.value()))
                .sorted(Comparator.comparing(record -> record.id().value()))
                .toList();
    }

    private List<EvidenceInUse> candidates(TestId test, ConditionId condition) {
        List<EvidenceInUse> candidates = new ArrayList<>();
        for (AccuracyRecord record : about(test, condition)) {
            if (ties.get(record.id()) instanceof Tie.ToTest tie
                    && Weighable.of(record) instanceof Weighable.Yes figures) {
                candidates.add(new EvidenceInUse(
                        record,
                        tie.criterion(),
                        tie.series(),
                        figures,
                        expected(test, tie.criterion(), condition),
                        !byInventors(record.id())));
            }
        }
        return candidates;
    }
}
