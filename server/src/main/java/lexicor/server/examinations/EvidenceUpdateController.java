package lexicor.server.examinations;

import jakarta.validation.Valid;
import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.examinations.record.EvidenceUpdate;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.weighing.NewerEvidence;
import lexicor.server.examinations.weighing.NewerEvidenceJson;
import lexicor.server.load.InTurn;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The ledger that an examination is weighed by, over HTTP. */
@RestController
@RequestMapping("/api/examinations/{id}/evidence")
class EvidenceUpdateController {

    private final ExaminationRecords examinations;
    private final NewerEvidence newer;
    private final EvidenceUpdate update;

    EvidenceUpdateController(ExaminationRecords examinations, NewerEvidence newer, EvidenceUpdate update) {
        this.examinations = examinations;
        this.newer = newer;
        this.update = update;
    }

    /** Whether the ledger has changed since the examination began, and what that would mean for it. */
    @GetMapping
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    NewerEvidenceJson newer(@PathVariable UUID id) {
        return newer.of(examinations.examination(id));
    }

    /** Weighs it by today's ledger from now on. */
    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Traced(action = Action.CHANGED, subject = "examination")
    void take(@PathVariable UUID id, @Valid @RequestBody NewerEvidenceJson.Take request) {
        update.take(id, request.revision());
    }
}
