package lexicor.server.examinations.export;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import lexicor.server.accounts.AccountService;
import lexicor.server.cases.CaseDetails;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.CaseService;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.examinations.record.ExaminationMoved;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.SameKey;
import lexicor.server.settings.ClinicSettings;
import lexicor.server.settings.Settings;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Brings a case in from a {@link CaseDocument}, whole or not at all. What is kept is what stands in it; what follows
 * from it, such as the list's summary, is worked out here.
 */
@Service
class CaseArrival {

    private final CaseDocumentReader reader;
    private final CaseDocuments documents;
    private final ExaminationRecords examinations;
    private final CaseService cases;
    private final AccountService accounts;
    private final ClinicSettings settings;
    private final LivingEvidence living;
    private final JdbcTemplate database;
    private final JsonMapper json;
    private final ApplicationEventPublisher events;

    CaseArrival(
            CaseDocumentReader reader,
            CaseDocuments documents,
            ExaminationRecords examinations,
            CaseService cases,
            AccountService accounts,
            ClinicSettings settings,
            LivingEvidence living,
            JdbcTemplate database,
            JsonMapper json,
            ApplicationEventPublisher events) {
        this.reader = reader;
        this.documents = documents;
        this.examinations = examinations;
        this.cases = cases;
        this.accounts = accounts;
        this.settings = settings;
        this.living = living;
        this.database = database;
        this.json = json;
        this.events = events;
    }

    /** What would come of it; nothing is kept. */
    @Transactional(readOnly = true)
    public CaseBroughtJson look(String text) {
        return found(reader.read(text), false);
    }

    /**
     * Keeps a case. One that is here and says the same stays as it is.
     *
     * @throws Conflict where a case of this id, or any part of it, is here and says something else
     */
    @Transactional
    public CaseBroughtJson keep(String text) {
        CaseDocument document = reader.read(text);
        CaseBroughtJson found = found(document, true);
        if (!found.here()) {
            try {
                add(document);
            } catch (DataIntegrityViolationException refused) {
                if (!SameKey.is(refused)) {
                    throw refused;
                }
                throw new Conflict("A part of this case is on record here with another case. Nothing was changed.");
            }
        }
        return found;
    }

    private CaseBroughtJson found(CaseDocument document, boolean kept) {
        UUID id = document.person().id();
        boolean here = cases.known(id).isPresent();
        if (here) {
            CaseDocument ours = documents.of(id);
            if (!saying(ours).equals(saying(document))) {
                throw new Conflict("Case " + ours.person().code() + " is here and says something else: "
                        + ours.visits().size() + " visits with " + entries(ours) + " entries here, "
                        + document.visits().size() + " with " + entries(document)
                        + " in the file. Nothing was changed.");
            }
        } else {
            cases.refuseUsed("person.code", document.person().code());
        }
        Map<String, String> now = settings.now().chosen();
        return new CaseBroughtJson(
                id,
                document.person().code(),
                here,
                document.complaints().size(),
                document.visits().size(),
                (int) document.visits().stream()
                        .filter(visit -> !visit.signatures().isEmpty())
                        .count(),
                document.complaints().stream()
                        .mapToInt(complaint -> complaint.results().size())
                        .sum(),
                accounts.strangers("people.", document.people()),
                (int) document.visits().stream()
                        .filter(visit -> !visit.settings().equals(now))
                        .count(),
                (int) document.visits().stream()
                        .filter(visit -> !living.canMake(visit.evidenceRevision()))
                        .count(),
                kept);
    }

    private static int entries(CaseDocument document) {
        return document.visits().stream().mapToInt(CaseDocument.VisitPart::last).sum();
    }

    /**
     * What a document says without what belongs to the clinic that it is in: its decisions, and how people are called.
     */
    private static CaseDocument saying(CaseDocument document) {
        return new CaseDocument(
                document.format(),
                document.version(),
                document.person(),
                Map.of(),
                document.complaints(),
                document.visits().stream()
                        .map(visit -> new CaseDocument.VisitPart(
                                visit.id(),
                                visit.complaint(),
                                visit.follows(),
                                visit.region(),
                                visit.side(),
                                visit.otherSideInvolved(),
                                visit.setting(),
                                visit.author(),
                                visit.startedAt(),
                                visit.catalogueRevision(),
                                visit.evidenceRevision(),
                                Map.of(),
                                visit.evidence(),
                                visit.takeovers(),
                                visit.entries(),
                                visit.signatures(),
                                visit.amendments()))
                        .toList());
    }

    private void add(CaseDocument document) {
        new TreeMap<>(document.people()).forEach(accounts::closed);
        CaseDocument.SubjectPart person = document.person();
        CaseFile file = cases.open(
                person.id(),
                person.code(),
                new CaseDetails(
                        person.name(), person.birthYear(), person.dominance(), person.occupation(), person.sex()),
                person.createdAt());
        for (CaseDocument.ComplaintPart complaint : document.complaints()) {
            cases.complaint(file, complaint.id(), complaint.region(), complaint.side(), complaint.openedAt());
            complaint.results().forEach(result -> add(complaint.id(), result));
        }
        Settings now = settings.now();
        for (CaseDocument.VisitPart visit : document.visits()) {
            add(file.id(), visit, now);
        }
    }

    private static Timestamp sql(Instant at) {
        return Timestamp.from(at);
    }

    private void add(UUID complaint, CaseDocument.ResultPart result) {
        Optional<CaseDocument.WithdrawnPart> withdrawn = Optional.ofNullable(result.withdrawn());
        database.update(
                "insert into reference_result (id, episode_id, condition_id, truth, kind, found_on, reader, read_by, words,"
                        + " author, at, withdrawn_by, withdrawn_at, withdrawn_why) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                result.id(),
                complaint,
                result.conditionId(),
                result.truth().name(),
                result.kind().name(),
                result.foundOn(),
                result.reader().name(),
                result.readBy(),
                result.words(),
                result.author(),
                sql(result.at()),
                withdrawn.map(CaseDocument.WithdrawnPart::author).orElse(null),
                withdrawn.map(each -> sql(each.at())).orElse(null),
                withdrawn.map(CaseDocument.WithdrawnPart::why).orElse(null));
    }

    private void add(UUID caseId, CaseDocument.VisitPart visit, Settings now) {
        String decisions = String.valueOf(now.revision());
        database.update(
                "insert into examination (id, case_id, episode_id, follows_id, region, side, other_side_involved, setting,"
                        + " author, started_at, catalogue_revision, evidence_revision, settings_revision)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                visit.id(),
                caseId,
                visit.complaint(),
                visit.follows(),
                visit.region(),
                visit.side().name(),
                visit.otherSideInvolved(),
                visit.setting().name(),
                visit.author(),
                sql(visit.startedAt()),
                visit.catalogueRevision(),
                visit.evidenceRevision(),
                decisions);
        for (int i = 0; i < visit.evidence().size(); i++) {
            CaseDocument.EvidencePart each = visit.evidence().get(i);
            database.update(
                    "insert into examination_evidence (examination_id, ordinal, revision, author, at) values (?, ?, ?, ?, ?)",
                    visit.id(),
                    i + 1,
                    each.revision(),
                    each.author(),
                    sql(each.at()));
        }
        for (int i = 0; i < visit.takeovers().size(); i++) {
            CaseDocument.TakeoverPart each = visit.takeovers().get(i);
            database.update(
                    "insert into takeover (id, examination_id, ordinal, author, taken_as, taken_from, at) values (?, ?, ?, ?, ?, ?, ?)",
                    each.id(),
                    visit.id(),
                    i + 1,
                    each.author(),
                    each.takenAs(),
                    each.takenFrom(),
                    sql(each.at()));
        }
        examinations.add(
                visit.id(),
                visit.entries().stream()
                        .map(entry -> new ExaminationRecords.Received(entry.command(), entry.receivedAt()))
                        .toList());
        for (int i = 0; i < visit.signatures().size(); i++) {
            add(visit.id(), i + 1, visit.signatures().get(i), decisions);
        }
        visit.amendments()
                .forEach(each -> database.update(
                        "insert into amendment (id, examination_id, version, author, signed_as, at, reason) values (?, ?, ?, ?, ?, ?, ?)",
                        each.id(),
                        visit.id(),
                        each.version(),
                        each.author(),
                        each.signedAs(),
                        sql(each.at()),
                        each.reason()));
        tell(caseId, visit);
    }

    private void add(UUID examination, int version, CaseDocument.SignaturePart signature, String decisions) {
        database.update(
                "insert into signature (id, examination_id, version, author, signed_as, at, last_number, catalogue_revision,"
                        + " evidence_revision, settings_revision, seed, entered_by, countersigned)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                signature.id(),
                examination,
                version,
                signature.author(),
                signature.signedAs(),
                sql(signature.at()),
                signature.last(),
                signature.catalogueRevision(),
                signature.evidenceRevision(),
                decisions,
                signature.seed(),
                String.join("\n", signature.enteredBy()),
                signature.countersigned());
        database.update(
                "insert into snapshot (id, content) values (?, ?)",
                signature.id(),
                json.writeValueAsString(signature.snapshot()));
    }

    /** The list and what is read of signed visits follow soon. */
    private void tell(UUID caseId, CaseDocument.VisitPart visit) {
        cases.begins(caseId, visit.id(), visit.region(), visit.startedAt());
        if (!visit.entries().isEmpty()) {
            cases.grew(
                    caseId,
                    visit.id(),
                    visit.last(),
                    visit.entries().get(visit.last() - 1).receivedAt());
        }
        List<Instant> signed =
                visit.signatures().stream().map(CaseDocument.SignaturePart::at).toList();
        if (!signed.isEmpty()) {
            cases.changed(caseId, visit.id(), signed.get(signed.size() - 1));
        }
        events.publishEvent(new ExaminationMoved(
                visit.id(),
                caseId,
                visit.last(),
                signed.isEmpty() ? ExaminationMoved.What.BEGUN : ExaminationMoved.What.SIGNED));
    }
}
