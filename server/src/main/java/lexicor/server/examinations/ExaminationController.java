package lexicor.server.examinations;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.intake.IntakeState;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Examinations over HTTP. Saving never waits for weighing. */
@RestController
@RequestMapping("/api/examinations/{id}")
class ExaminationController {

    private final ExaminationService service;
    private final Appraisal appraisal;
    private final VisitIntake intake;
    private final NoteWriter notes;
    private final Catalogue catalogue;

    ExaminationController(ExaminationService service, Appraisal appraisal, VisitIntake intake, NoteWriter notes, Catalogue catalogue) {
        this.service = service;
        this.appraisal = appraisal;
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

    /** The examination in words, to copy into a record. */
    @GetMapping(value = "/note", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    @Traced(action = Action.TOOK_OUT, subject = "examination")
    public String note(@PathVariable UUID id) {
        return notes.write(service.examination(id));
    }
}
