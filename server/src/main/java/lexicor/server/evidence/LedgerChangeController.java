package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import java.util.List;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.load.InTurn;
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

    LedgerChangeController(LedgerDesk desk, RecordStandings standings) {
        this.desk = desk;
        this.standings = standings;
    }

    /** What a change would do; nothing is kept. */
    @PostMapping("/preview")
    @InTurn(InTurn.Kind.WEIGHING)
    PreviewJson preview(@Valid @RequestBody LedgerRequest request) {
        return desk.preview(request);
    }

    /** Makes a change. */
    @PostMapping("/changes")
    @InTurn(InTurn.Kind.WEIGHING)
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

    /** The latest changes of all records. */
    @GetMapping("/changes")
    List<StandingJson.ChangeJson> changes() {
        return standings.changes();
    }
}
