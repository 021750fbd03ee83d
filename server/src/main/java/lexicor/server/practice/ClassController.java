package lexicor.server.practice;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.load.InTurn;
import lexicor.server.page.CsvText;
import lexicor.server.page.Download;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Progress and classes over HTTP. */
@RestController
@RequestMapping("/api/practice")
class ClassController {

    private final PracticeService practice;
    private final PracticeClasses classes;
    private final PracticeWriter writer;

    ClassController(PracticeService practice, PracticeClasses classes, PracticeWriter writer) {
        this.practice = practice;
        this.classes = classes;
        this.writer = writer;
    }

    /** What one's own cases came to together. */
    @GetMapping("/progress")
    ProgressJson progress() {
        return ProgressJson.of(practice.ended());
    }

    /** Classes that one teaches or is a member of. */
    @GetMapping("/classes")
    List<ProgressJson.ClassJson> mine() {
        return classes.mine();
    }

    @PostMapping("/classes")
    ProgressJson.ClassJson make(@Valid @RequestBody ClassRequest.Make request) {
        return classes.make(request);
    }

    @DeleteMapping("/classes/{id}")
    void remove(@PathVariable UUID id) {
        classes.remove(id);
    }

    /** Joins a class by its code. */
    @PostMapping("/membership")
    ProgressJson.ClassJson join(@Valid @RequestBody ClassRequest.Join request) {
        return classes.join(request);
    }

    /** Leaves a class: from then on its teacher sees nothing of what one did. */
    @DeleteMapping("/membership/{id}")
    void leave(@PathVariable UUID id) {
        classes.leave(id);
    }

    @PostMapping("/classes/{id}/series")
    @InTurn(InTurn.Kind.WEIGHING)
    ProgressJson.ClassJson set(@PathVariable UUID id, @Valid @RequestBody ClassRequest.Series request) {
        return classes.set(id, request);
    }

    @DeleteMapping("/classes/{id}/series/{series}")
    void removeSeries(@PathVariable UUID id, @PathVariable UUID series) {
        classes.removeSeries(id, series);
    }

    /** Begins a case of a series, or goes on with the one begun before. */
    @PostMapping("/membership/{id}/series/{series}/{place}")
    @InTurn(InTurn.Kind.WEIGHING)
    PracticeCaseJson begin(@PathVariable UUID id, @PathVariable UUID series, @PathVariable int place) {
        return writer.written(classes.begin(id, series, place));
    }

    /** What members ended since they joined, a line each. */
    @GetMapping("/classes/{id}/results.csv")
    @Traced(action = Action.TOOK_OUT, subject = "results of a class")
    ResponseEntity<String> results(@PathVariable UUID id) {
        CsvText table = new CsvText(
                "member",
                "region",
                "ended",
                "tests",
                "minutes",
                "hurt for nothing",
                "hints",
                "distance, start",
                "distance, own",
                "distance, weighing");
        classes.results(id).forEach(result -> {
            PracticeReviewJson.ScoreJson score = result.review().score();
            table.row(
                    result.member(),
                    result.region(),
                    result.at().toString(),
                    result.review().turns().size(),
                    Math.round(10 * result.review().minutes()) / 10.0,
                    result.review().hurts(),
                    result.review().hints(),
                    score == null ? null : score.start(),
                    score == null ? null : score.own(),
                    score == null ? null : score.weighed());
        });
        return Download.text("csv", "class-results.csv", table.toString());
    }
}
