package lexicor.server.practice;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import lexicor.server.load.InTurn;
import lexicor.server.page.Download;
import lexicor.server.problems.Conflict;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Practice cases over HTTP: everybody's own. */
@RestController
@RequestMapping("/api/practice/cases")
class PracticeController {

    private final PracticeService practice;
    private final PracticeWriter writer;

    PracticeController(PracticeService practice, PracticeWriter writer) {
        this.practice = practice;
        this.writer = writer;
    }

    @GetMapping
    List<PracticeCaseJson.RowJson> cases() {
        return practice.mine().stream().map(writer::row).toList();
    }

    /** Begins a case that is drawn. */
    @PostMapping
    @InTurn(InTurn.Kind.WEIGHING)
    PracticeCaseJson begin(@Valid @RequestBody PracticeRequest.Begin request) {
        return writer.written(practice.begin(request));
    }

    /** Begins a case that somebody wrote. */
    @PostMapping("/written")
    @InTurn(InTurn.Kind.WEIGHING)
    PracticeCaseJson begin(@Valid @RequestBody PracticeRequest.Written request) {
        return writer.written(practice.begin(request));
    }

    @GetMapping("/{id}")
    @InTurn(InTurn.Kind.WEIGHING)
    PracticeCaseJson one(@PathVariable UUID id) {
        return writer.written(practice.mine(id));
    }

    /** Takes a step; one that was taken already is not taken again. */
    @PostMapping("/{id}/steps")
    @InTurn(InTurn.Kind.WEIGHING)
    PracticeCaseJson step(@PathVariable UUID id, @Valid @RequestBody PracticeRequest.Step request) {
        return writer.written(practice.step(id, request));
    }

    /** Looks back on a case that was ended. */
    @GetMapping("/{id}/review")
    PracticeReviewJson review(@PathVariable UUID id) {
        return practice.review(id);
    }

    /** The case as a file that can be passed on, once it is ended. */
    @GetMapping("/{id}/case.yaml")
    ResponseEntity<String> file(@PathVariable UUID id) {
        PracticeRow row = practice.mine(id).row();
        if (row.endedAt().isEmpty()) {
            throw new Conflict("This case is not ended yet: its file says what is wrong.");
        }
        return Download.text("yaml", "practice-" + row.region() + ".yaml", row.written());
    }

    /** Takes a case away with everything that was done in it. */
    @DeleteMapping("/{id}")
    void remove(@PathVariable UUID id) {
        practice.remove(id);
    }
}
