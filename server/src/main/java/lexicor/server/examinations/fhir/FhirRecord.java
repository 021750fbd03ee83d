package lexicor.server.examinations.fhir;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.AuditLog;
import lexicor.server.audit.CurrentUser;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.CaseService;
import lexicor.server.examinations.record.Blinding;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.signing.Results;
import lexicor.server.examinations.signing.SignedVisit;
import lexicor.server.load.InTurn;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.NotFound;
import org.hl7.fhir.r4.model.Practitioner;
import org.hl7.fhir.r4.model.Resource;
import org.springframework.stereotype.Service;

/** What of the record leaves as FHIR: the last signed version of each examination that the person may see. */
@Service
public class FhirRecord {

    private final CaseService cases;
    private final ExaminationRecords examinations;
    private final Results results;
    private final VisitResources resources;
    private final VisitDocuments documents;
    private final People people;
    private final AuditLog trail;

    FhirRecord(
            CaseService cases,
            ExaminationRecords examinations,
            Results results,
            VisitResources resources,
            VisitDocuments documents,
            People people,
            AuditLog trail) {
        this.cases = cases;
        this.examinations = examinations;
        this.results = results;
        this.resources = resources;
        this.documents = documents;
        this.people = people;
        this.trail = trail;
    }

    /**
     * An examination as a document.
     *
     * @param withName whether the patient's name leaves too, where it is stored
     * @throws Conflict where it is not signed, or is hidden from the person
     */
    @InTurn(InTurn.Kind.PAPER)
    public Document document(UUID examination, boolean withName) {
        SignedVisit visit = signed(examination);
        return new Document(
                visit.signature().getId(),
                visit.recorded().row().caseFile().code() + ".fhir.json",
                documents.json(visit, withName));
    }

    /**
     * @param id of the signature, and of the document
     * @param file its name
     */
    public record Document(UUID id, String file, String json) {}

    /** What a document of an examination would hold, in lines; refused as {@link #document} is. */
    @InTurn(InTurn.Kind.WEIGHING)
    public List<String> holds(UUID examination) {
        return resources.of(signed(examination), false).inWords();
    }

    private SignedVisit signed(UUID examination) {
        return results.lastSigned(leaving(examination)).orElseThrow();
    }

    /** Id of the last signature of an examination that may leave; refused as {@link #document} is. */
    public UUID signature(UUID examination) {
        return leaving(examination).versions().last().orElseThrow().getId();
    }

    private Recorded leaving(UUID examination) {
        Recorded recorded = examinations.examination(examination);
        if (hidden(recorded)) {
            throw new Conflict("This examination is hidden from you until you have signed yours of the same day.");
        }
        if (recorded.versions().last().isEmpty()) {
            throw new Conflict("Only a signed examination leaves as FHIR. Sign it first.");
        }
        return recorded;
    }

    /** The id of a case by its code; empty where there is none. */
    Optional<UUID> caseOf(String code) {
        return cases.byCode(code).map(CaseFile::id);
    }

    /**
     * What each signed examination of a case gives, the latest first. It stands in the audit as taken out.
     *
     * @param what is asked for, such as a type of resource
     */
    @InTurn(InTurn.Kind.WEIGHING)
    List<VisitResources.Whole> ofCase(UUID caseId, String what) {
        cases.file(caseId);
        List<Recorded> visits = Blinding.seen(examinations.ofCase(caseId), CurrentUser.isHere());
        List<VisitResources.Whole> found = visits.stream()
                .flatMap(each -> results.lastSigned(each).stream())
                .map(each -> resources.of(each, false))
                .toList();
        traced(caseId, what);
        return found;
    }

    /** A resource of an examination, or {@link NotFound}. It stands in the audit as taken out. */
    @InTurn(InTurn.Kind.WEIGHING)
    Resource ofVisit(UUID examination, String type, String id) {
        Recorded recorded = examinations.examination(examination);
        if (hidden(recorded)) {
            throw missing(type, id);
        }
        Resource found = results.lastSigned(recorded).stream()
                .flatMap(each -> resources.of(each, false).all().stream())
                .filter(each -> each.fhirType().equals(type) && each.getIdPart().equals(id))
                .findFirst()
                .orElseThrow(() -> missing(type, id));
        traced(recorded.row().caseFile().id(), type);
        return found;
    }

    /** Somebody who has or had an account, by the id that examinations give; empty where there is nobody. */
    Optional<Practitioner> practitioner(String id) {
        return people.signInNames().stream()
                .filter(name -> VisitNames.practitioner(name).equals(id))
                .findFirst()
                .map(name -> VisitNames.practitioner(name, people.name(name)));
    }

    private static NotFound missing(String type, String id) {
        return new NotFound("There is no " + type + " " + id + " of a signed examination.");
    }

    private boolean hidden(Recorded recorded) {
        List<Recorded> all = examinations.ofCase(recorded.row().caseFile().id());
        return Blinding.hidden(recorded, all, CurrentUser.isHere());
    }

    private void traced(UUID caseId, String what) {
        trail.add(Action.TOOK_OUT, "case", caseId.toString(), "FHIR: " + what);
    }
}
