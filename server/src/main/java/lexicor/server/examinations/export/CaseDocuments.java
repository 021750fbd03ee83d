package lexicor.server.examinations.export;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import lexicor.core.outcomes.ReferenceResult;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.CaseService;
import lexicor.server.cases.Episode;
import lexicor.server.examinations.record.Blinding;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.SignatureRow;
import lexicor.server.problems.Conflict;
import lexicor.server.settings.ClinicSettings;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Cases whole, as {@link CaseDocument}. The same record gives the same document, byte for byte. */
@Service
class CaseDocuments {

    private final CaseService cases;
    private final ExaminationRecords examinations;
    private final ClinicSettings settings;
    private final People people;
    private final JdbcTemplate database;
    private final JsonMapper json;

    CaseDocuments(
            CaseService cases,
            ExaminationRecords examinations,
            ClinicSettings settings,
            People people,
            JdbcTemplate database,
            JsonMapper json) {
        this.cases = cases;
        this.examinations = examinations;
        this.settings = settings;
        this.people = people;
        this.database = database;
        this.json = json;
    }

    /**
     * A case for somebody to take out.
     *
     * @param person sign-in name
     * @throws Conflict where a visit is hidden from the person: a case goes out whole or not at all
     */
    @Transactional(readOnly = true)
    public CaseDocument of(UUID caseId, String person) {
        List<Recorded> visits = examinations.ofCase(caseId);
        if (Blinding.seen(visits, person).size() < visits.size()) {
            throw new Conflict(
                    "A visit of today is hidden from you until you have signed yours. After that the case can be taken out.");
        }
        return document(cases.file(caseId), visits);
    }

    /** A case with all of its visits. */
    @Transactional(readOnly = true)
    public CaseDocument of(UUID caseId) {
        return document(cases.file(caseId), examinations.ofCase(caseId));
    }

    private CaseDocument document(CaseFile file, List<Recorded> latestFirst) {
        List<CaseDocument.ComplaintPart> complaints = cases.episodes(file.id()).stream()
                .map(this::complaint)
                .sorted(Comparator.comparing(CaseDocument.ComplaintPart::openedAt)
                        .thenComparing(CaseDocument.ComplaintPart::id))
                .toList();
        List<CaseDocument.VisitPart> visits = latestFirst.stream()
                .map(this::visit)
                .sorted(Comparator.comparing(CaseDocument.VisitPart::startedAt)
                        .thenComparing(CaseDocument.VisitPart::id))
                .toList();
        Map<String, String> names = new TreeMap<>();
        named(complaints, visits).forEach(name -> names.put(name, people.name(name)));
        return new CaseDocument(
                CaseDocument.FORMAT,
                CaseDocument.VERSION,
                new CaseDocument.SubjectPart(
                        file.id(),
                        file.code(),
                        file.name().orElse(null),
                        file.birthYear().orElse(null),
                        file.dominance().orElse(null),
                        file.sex().orElse(null),
                        file.occupation(),
                        file.createdAt()),
                names,
                complaints,
                visits);
    }

    /** Sign-in names of everybody who did something. */
    static Collection<String> named(List<CaseDocument.ComplaintPart> complaints, List<CaseDocument.VisitPart> visits) {
        Stream<String> results = complaints.stream()
                .flatMap(complaint -> complaint.results().stream())
                .flatMap(result -> result.withdrawn() == null
                        ? Stream.of(result.author())
                        : Stream.of(result.author(), result.withdrawn().author()));
        Stream<String> rest = visits.stream()
                .flatMap(visit -> Stream.of(
                                Stream.of(visit.author()),
                                visit.evidence().stream().map(CaseDocument.EvidencePart::author),
                                visit.takeovers().stream()
                                        .flatMap(taken -> Stream.of(taken.author(), taken.takenFrom())),
                                visit.entries().stream()
                                        .map(entry -> entry.command().author()),
                                visit.signatures().stream().map(CaseDocument.SignaturePart::author),
                                visit.amendments().stream().map(CaseDocument.AmendmentPart::author))
                        .flatMap(names -> names));
        return new TreeSet<>(Stream.concat(results, rest).toList());
    }

    private CaseDocument.ComplaintPart complaint(Episode episode) {
        return new CaseDocument.ComplaintPart(
                episode.getId(),
                episode.region(),
                episode.side(),
                episode.openedAt(),
                database.query(
                        "select * from reference_result where episode_id = ? order by at, id",
                        CaseDocuments::result,
                        episode.getId()));
    }

    private static CaseDocument.ResultPart result(ResultSet row, int number) throws SQLException {
        Timestamp withdrawn = row.getTimestamp("withdrawn_at");
        return new CaseDocument.ResultPart(
                row.getObject("id", UUID.class),
                row.getString("condition_id"),
                ReferenceResult.Truth.valueOf(row.getString("truth")),
                ReferenceResult.Kind.valueOf(row.getString("kind")),
                row.getObject("found_on", LocalDate.class),
                ReferenceResult.Reader.valueOf(row.getString("reader")),
                row.getString("read_by"),
                row.getString("words"),
                row.getString("author"),
                row.getTimestamp("at").toInstant(),
                withdrawn == null
                        ? null
                        : new CaseDocument.WithdrawnPart(
                                row.getString("withdrawn_by"), withdrawn.toInstant(), row.getString("withdrawn_why")));
    }

    private CaseDocument.VisitPart visit(Recorded recorded) {
        ExaminationRow row = recorded.row();
        return new CaseDocument.VisitPart(
                row.getId(),
                row.episode().getId(),
                row.follows().orElse(null),
                row.region(),
                row.side(),
                row.otherSideInvolved(),
                row.setting(),
                row.author(),
                row.startedAt(),
                row.catalogueRevision(),
                row.evidenceRevision(),
                new TreeMap<>(settings.at(row.settingsRevision()).chosen()),
                database.query(
                        "select * from examination_evidence where examination_id = ? order by ordinal",
                        (each, number) -> new CaseDocument.EvidencePart(
                                each.getString("revision"),
                                each.getString("author"),
                                each.getTimestamp("at").toInstant()),
                        row.getId()),
                recorded.takeovers().stream()
                        .map(taken -> new CaseDocument.TakeoverPart(
                                taken.getId(), taken.author(), taken.takenAs(), taken.takenFrom(), taken.at()))
                        .toList(),
                recorded.commands().stream()
                        .map(command -> new CaseDocument.EntryPart(command.receivedAt(), CommandJson.of(command)))
                        .toList(),
                signatures(recorded),
                recorded.versions().amendments().stream()
                        .map(each -> new CaseDocument.AmendmentPart(
                                each.getId(), each.version(), each.author(), each.signedAs(), each.at(), each.reason()))
                        .toList());
    }

    private List<CaseDocument.SignaturePart> signatures(Recorded recorded) {
        List<CaseDocument.SignaturePart> signatures = new ArrayList<>();
        for (SignatureRow each : recorded.versions().signed()) {
            String snapshot =
                    database.queryForObject("select content from snapshot where id = ?", String.class, each.getId());
            signatures.add(new CaseDocument.SignaturePart(
                    each.getId(),
                    each.author(),
                    each.signedAs(),
                    each.at(),
                    each.lastNumber(),
                    each.revisions().catalogue(),
                    each.revisions().evidence(),
                    each.seed(),
                    each.enteredBy(),
                    each.countersigned(),
                    json.readTree(snapshot)));
        }
        return signatures;
    }
}
