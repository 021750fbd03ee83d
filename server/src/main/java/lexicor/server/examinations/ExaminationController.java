package lexicor.server.examinations;

import jakarta.validation.Valid;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.intake.IntakeState;
import lexicor.core.weighing.Correlation;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.problems.BadInput;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Examinations over HTTP. Saving never waits for weighing. */
@RestController
@RequestMapping("/api/examinations/{id}")
class ExaminationController {

    private final ExaminationService service;
    private final Appraisal appraisal;
    private final Insights insights;
    private final VisitIntake intake;
    private final NoteWriter notes;
    private final Conclusions conclusions;
    private final Catalogue catalogue;

    ExaminationController(ExaminationService service, Appraisal appraisal, Insights insights, VisitIntake intake, NoteWriter notes, Conclusions conclusions, Catalogue catalogue) {
        this.conclusions = conclusions;
        this.service = service;
        this.appraisal = appraisal;
        this.insights = insights;
        this.intake = intake;
        this.notes = notes;
        this.catalogue = catalogue;
    }

    @GetMapping
    @Traced(action = Action.SAW, subject = "examination")
    public ExaminationJson examination(@PathVariable UUID id) {
        return ExaminationJson.of(service.examination(id));
    }

    /** Adds commands; the answer comes once they are on the disk. */
    @PostMapping("/commands")
    @Traced(action = Action.ENTERED, subject = "examination")
    public List<ExaminationJson.Receipt> add(@PathVariable UUID id, @Valid @RequestBody ExaminationJson.Batch batch) {
        return service.add(id, batch.commands()).entrySet().stream()
                .map(entry -> new ExaminationJson.Receipt(entry.getKey(), entry.getValue())).toList();
    }

    /** What follows from the intake. */
    @GetMapping("/intake")
    @Traced(action = Action.SAW, subject = "examination")
    public IntakeJson intake(@PathVariable UUID id) {
        ExaminationService.Recorded recorded = service.examination(id);
        IntakeState state = intake.of(recorded);
        return IntakeJson.of(recorded.lastNumber(), state, intake.starts(recorded.row(), state), catalogue);
    }

    @GetMapping("/weighing")
    @Traced(action = Action.SAW, subject = "examination")
    public WeighingJson weighing(@PathVariable UUID id) {
        return appraisal.weigh(service.examination(id));
    }

    /**
     * One condition looked at closely.
     *
     * @param rho correlations set by hand for this look, each as group:value
     */
    @GetMapping("/weighing/{conditionId}")
    @Traced(action = Action.SAW, subject = "examination")
    public InsightJson insight(@PathVariable UUID id, @PathVariable String conditionId, @RequestParam(defaultValue = "") List<String> rho) {
        Map<String, Double> chosen = new LinkedHashMap<>();
        for (String each : rho) {
            String[] parts = each.split(":", -1);
            try {
                chosen.put(parts[0], Double.parseDouble(parts[1]));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException notANumber) {
                throw new BadInput("rho", "'" + each + "' is not understood; allowed: group:value with a value from 0 to " + Correlation.MOST);
            }
        }
        return insights.of(service.examination(id), conditionId, chosen);
    }

    /** What stands beside the therapist's conclusion. */
    @GetMapping("/conclusion")
    @Traced(action = Action.SAW, subject = "examination")
    public ConclusionJson conclusion(@PathVariable UUID id) {
        return conclusions.of(service.examination(id));
    }

    /** The examination in words, to copy into a record. */
    @GetMapping(value = "/note", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    @Traced(action = Action.TOOK_OUT, subject = "examination")
    public String note(@PathVariable UUID id, @RequestParam(defaultValue = "full") String length) {
        NoteLength wanted = Arrays.stream(NoteLength.values()).filter(each -> each.name().equalsIgnoreCase(length)).findFirst()
                .orElseThrow(() -> new BadInput("length", "'" + length + "' is not a length; allowed: short, full, letter"));
        return notes.write(service.examination(id), wanted);
    }
}
