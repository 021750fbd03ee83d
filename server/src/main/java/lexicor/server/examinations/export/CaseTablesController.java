package lexicor.server.examinations.export;

import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.CurrentUser;
import lexicor.server.audit.Traced;
import lexicor.server.load.InTurn;
import lexicor.server.page.Download;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A case as tables and whole, over HTTP. */
@RestController
@RequestMapping("/api/cases/{id}")
class CaseTablesController {

    private final CaseTables tables;
    private final CaseDocuments documents;

    CaseTablesController(CaseTables tables, CaseDocuments documents) {
        this.tables = tables;
        this.documents = documents;
    }

    /** Everything on record, to be brought in elsewhere. */
    @GetMapping(value = "/case.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @Traced(action = Action.TOOK_OUT, subject = "case")
    public ResponseEntity<CaseDocument> whole(@PathVariable UUID id) {
        CaseDocument document = documents.of(id, CurrentUser.isHere());
        return Download.named(document.person().code() + ".json")
                .contentType(MediaType.APPLICATION_JSON)
                .body(document);
    }

    /** What was answered. */
    @GetMapping(value = "/findings.csv", produces = "text/csv")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.TOOK_OUT, subject = "case")
    public ResponseEntity<String> findings(@PathVariable UUID id) {
        return file(tables.findings(id));
    }

    /** What was measured. */
    @GetMapping(value = "/measures.csv", produces = "text/csv")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.TOOK_OUT, subject = "case")
    public ResponseEntity<String> measures(@PathVariable UUID id) {
        return file(tables.measures(id));
    }

    /** How the answers are read. */
    @GetMapping(value = "/readings.csv", produces = "text/csv")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.TOOK_OUT, subject = "case")
    public ResponseEntity<String> readings(@PathVariable UUID id) {
        return file(tables.readings(id));
    }

    /** What was concluded, beside the ranking. */
    @GetMapping(value = "/conclusions.csv", produces = "text/csv")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.TOOK_OUT, subject = "case")
    public ResponseEntity<String> conclusions(@PathVariable UUID id) {
        return file(tables.conclusions(id));
    }

    private static ResponseEntity<String> file(CaseTables.Table table) {
        return Download.text("csv", table.file(), table.text());
    }
}
