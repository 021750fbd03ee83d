package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import java.util.List;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.load.InTurn;
import lexicor.server.page.Download;
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
    private final RecordStandings standings;
    private final LedgerTables tables;

    LedgerChangeController(LedgerDesk desk, RecordStandings standings, LedgerTables tables) {
        this.desk = desk;
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

    /** The record that was changed. */
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
}
