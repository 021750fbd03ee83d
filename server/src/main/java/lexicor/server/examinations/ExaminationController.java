package lexicor.server.examinations;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Examinations over HTTP. Saving never waits for weighing. */
@RestController
@RequestMapping("/api/examinations")
class ExaminationController {

    private final ExaminationService service;
    private final Appraisal appraisal;
    private final NoteWriter notes;

    ExaminationController(ExaminationService service, Appraisal appraisal, NoteWriter notes) {
        this.service = service;
        this.appraisal = appraisal;
        this.notes = notes;
    }

    /** The latest examinations, newest first. */
    @GetMapping
    List<ExaminationJson.Line> list() {
        return service.latest().stream().map(appraisal::line).toList();
    }

    /** Begins an examination; the same id again returns the one that is there. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ExaminationJson start(@Valid @RequestBody StartRequest request) {
        return ExaminationJson.of(service.examination(service.start(request)));
    }

    @GetMapping("/{id}")
    ExaminationJson examination(@PathVariable UUID id) {
        return ExaminationJson.of(service.examination(id));
    }

    /** Adds commands; the answer comes once they are on the disk. */
    @PostMapping("/{id}/commands")
    List<ExaminationJson.Receipt> add(@PathVariable UUID id, @Valid @RequestBody ExaminationJson.Batch batch) {
        return service.add(id, batch.commands()).entrySet().stream()
                .map(entry -> new ExaminationJson.Receipt(entry.getKey(), entry.getValue())).toList();
    }

    @GetMapping("/{id}/weighing")
    WeighingJson weighing(@PathVariable UUID id) {
        return appraisal.weigh(service.examination(id));
    }

    /** The examination in words, to copy into a record. */
    @GetMapping(value = "/{id}/note", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    String note(@PathVariable UUID id) {
        return notes.write(service.examination(id));
    }
}
