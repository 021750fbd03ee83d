package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.load.InTurn;
import lexicor.server.page.Download;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Changes of the ledger over HTTP. */
@RestController
@RequestMapping("/api/ledger")
class LedgerChangeController {

    private final LedgerDesk desk;
    private final PolicyDesk policy;
    private final WaitingChanges waiting;
    private final RecordStandings standings;
    private final LedgerTables tables;

    LedgerChangeController(
            LedgerDesk desk,
            PolicyDesk policy,
            WaitingChanges waiting,
            RecordStandings standings,
            LedgerTables tables) {
        this.desk = desk;
        this.policy = policy;
        this.waiting = waiting;
        this.standings = standings;
        this.tables = tables;
    }

    /** What a change would do; nothing is kept. */
    @PostMapping("/preview")
    @InTurn(InTurn.Kind.LEDGER)
    PreviewJson preview(@Valid @RequestBody LedgerRequest request) {
        return desk.preview(request);
    }

    /** Makes a change. */
    @PostMapping("/changes")
    @InTurn(InTurn.Kind.LEDGER)
    @Traced(action = Action.CHANGED, subject = "ledger")
    MadeJson change(@Valid @RequestBody LedgerRequest request) {
        return new MadeJson(desk.make(request).value());
    }

    /** The record that was changed, or what was decided about all of them. */
    @Schema(name = "LedgerMadeJson")
    record MadeJson(String record) implements Traced.Known {
        @Override
        public String tracedId() {
            return record;
        }
    }

    /** The whole ledger as a table, to be read elsewhere and to be brought back. */
    @GetMapping("/ledger.csv")
    @Traced(action = Action.TOOK_OUT, subject = "ledger")
    ResponseEntity<String> csv() {
        return Download.text("csv", "ledger.csv", tables.csv());
    }

    /** The same as JSON. */
    @GetMapping("/ledger.json")
    @Traced(action = Action.TOOK_OUT, subject = "ledger")
    ResponseEntity<String> json() {
        return Download.named("ledger.json")
                .contentType(MediaType.APPLICATION_JSON)
                .body(tables.json());
    }

    /** Sources as a file of references has them, to be taken into a study; nothing is kept. */
    @PostMapping("/references")
    List<ReferenceJson> references(@Valid @RequestBody ReferencesRequest request) {
        return References.read(request.text()).stream()
                .map(each -> new ReferenceJson(each.citation(), each.title()))
                .toList();
    }

    /** @param text of a file in BibTeX or RIS */
    @Schema(name = "LedgerReferencesRequest")
    record ReferencesRequest(
            @NotNull(message = "allowed: the text of a file in BibTeX or RIS")
            @Size(max = 1_000_000, message = "allowed: at most a million letters")
            String text) {}

    /** One reference: its source as the ledger writes it, and the title of the paper. */
    @Schema(name = "LedgerReferenceJson")
    record ReferenceJson(String citation, String title) {}

    /** Looks a table of studies through; nothing is kept. */
    @PostMapping("/import/preview")
    @InTurn(InTurn.Kind.LEDGER)
    ImportJson look(@Valid @RequestBody ImportJson.Table table) {
        return tables.look(table);
    }

    /** Keeps a table of studies: all of it or nothing. */
    @PostMapping("/import")
    @InTurn(InTurn.Kind.LEDGER)
    @Traced(action = Action.CHANGED, subject = "ledger")
    ImportJson bring(@Valid @RequestBody ImportJson.Table table) {
        return tables.keep(table);
    }

    /** The latest changes of all records. */
    @GetMapping("/changes")
    List<StandingJson.ChangeJson> changes() {
        return standings.changes();
    }

    /** How studies are put together. */
    @GetMapping("/policy")
    PolicyJson policy() {
        return policy.now();
    }

    /** What another way of putting them together would change; nothing is kept. */
    @PostMapping("/policy/preview")
    @InTurn(InTurn.Kind.LEDGER)
    PreviewJson previewPolicy(@Valid @RequestBody PolicyRequest request) {
        return policy.preview(request);
    }

    /** Puts them together in another way from now on. */
    @PostMapping("/policy")
    @InTurn(InTurn.Kind.LEDGER)
    @Traced(action = Action.CHANGED, subject = "ledger")
    MadeJson choosePolicy(@Valid @RequestBody PolicyRequest request) {
        policy.make(request);
        return new MadeJson("policy");
    }

    /** Changed figures that wait for a second person. */
    @GetMapping("/waiting")
    WaitingJson waiting() {
        return standings.waiting();
    }

    /** What agreeing to them would change; nothing is kept. */
    @PostMapping("/waiting/preview")
    @InTurn(InTurn.Kind.LEDGER)
    PreviewJson previewAgreement(@Valid @RequestBody WaitingRequest request) {
        return desk.preview(request);
    }

    /** Agrees to them: all of them or none. */
    @PostMapping("/waiting/agree")
    @InTurn(InTurn.Kind.LEDGER)
    @Traced(action = Action.CHANGED, subject = "ledger")
    MadeJson agree(@Valid @RequestBody WaitingRequest request) {
        waiting.agree(request);
        return new MadeJson("waiting");
    }
}
