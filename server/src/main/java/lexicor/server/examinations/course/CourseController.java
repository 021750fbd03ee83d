package lexicor.server.examinations.course;

import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.load.InTurn;
import lexicor.server.page.Download;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The course of a complaint over HTTP. */
@RestController
@RequestMapping("/api/cases/{id}/complaints/{complaint}")
class CourseController {

    private final Courses courses;

    CourseController(Courses courses) {
        this.courses = courses;
    }

    @GetMapping("/course")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "case")
    public CourseJson course(@PathVariable UUID id, @PathVariable UUID complaint) {
        return courses.of(id, complaint);
    }

    /** The same as a table for a spreadsheet. */
    @GetMapping(value = "/course.csv", produces = "text/csv")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.TOOK_OUT, subject = "case")
    public ResponseEntity<String> table(@PathVariable UUID id, @PathVariable UUID complaint) {
        CourseJson course = courses.of(id, complaint);
        return Download.text("csv", Courses.fileName(course), CourseTable.of(course));
    }
}
