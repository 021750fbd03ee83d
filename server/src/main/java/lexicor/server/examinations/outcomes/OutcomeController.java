package lexicor.server.examinations.outcomes;

import jakarta.validation.Valid;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.load.InTurn;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What turned out to be true, over HTTP. */
@RestController
class OutcomeController {

    private final Outcomes outcomes;
    private final WaitingList waiting;
    private final OwnAccuracy accuracy;
    private final ChancesHeld chances;
    private final ExaminerPairs pairs;

    OutcomeController(
            Outcomes outcomes, WaitingList waiting, OwnAccuracy accuracy, ChancesHeld chances, ExaminerPairs pairs) {
        this.outcomes = outcomes;
        this.waiting = waiting;
        this.accuracy = accuracy;
        this.chances = chances;
        this.pairs = pairs;
    }

    @GetMapping("/api/cases/{id}/complaints/{complaint}/results")
    @Traced(action = Action.SAW, subject = "case")
    ResultsJson results(@PathVariable UUID id, @PathVariable UUID complaint) {
        return outcomes.of(id, complaint);
    }

    @PostMapping("/api/cases/{id}/complaints/{complaint}/results")
    @Traced(action = Action.ENTERED, subject = "reference result")
    ResultsJson add(@PathVariable UUID id, @PathVariable UUID complaint, @Valid @RequestBody ResultsJson.Add request) {
        return outcomes.add(id, complaint, request);
    }

    @PostMapping("/api/cases/{id}/complaints/{complaint}/results/{result}/withdrawal")
    @Traced(action = Action.CHANGED, subject = "reference result")
    ResultsJson withdraw(
            @PathVariable UUID id,
            @PathVariable UUID complaint,
            @PathVariable UUID result,
            @Valid @RequestBody ResultsJson.Withdraw request) {
        return outcomes.withdraw(id, complaint, result, request.why());
    }

    /** Complaints that wait for an answer. */
    @GetMapping("/api/outcomes/waiting")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "outcomes")
    OutcomesJson.WaitingJson waiting() {
        return waiting.waiting();
    }

    /** Conditions of which something is known. */
    @GetMapping("/api/outcomes/conditions")
    @InTurn(InTurn.Kind.WEIGHING)
    List<OutcomesJson.AnsweredJson> answered() {
        return accuracy.answered();
    }

    /**
     * The clinic's own accuracy for a condition.
     *
     * @param setting where the patients were seen; absent for all
     * @param mine whether only what the person at work has signed counts
     */
    @GetMapping("/api/outcomes/conditions/{conditionId}")
    @InTurn(InTurn.Kind.WEIGHING)
    OutcomesJson.AccuracyJson accuracy(
            @PathVariable String conditionId,
            @RequestParam(required = false) CareSetting setting,
            @RequestParam(defaultValue = "false") boolean mine) {
        return accuracy.of(conditionId, Optional.ofNullable(setting), mine);
    }

    /** How two examiners of one patient agreed. */
    @GetMapping("/api/outcomes/agreement")
    @InTurn(InTurn.Kind.WEIGHING)
    OutcomesJson.AgreementsJson agreement() {
        return pairs.agreements();
    }

    /** How stated chances held. */
    @GetMapping("/api/outcomes/calibration")
    @InTurn(InTurn.Kind.WEIGHING)
    OutcomesJson.CalibrationJson calibration() {
        return chances.calibration();
    }
}
