package lexicor.server.cases;

import jakarta.validation.Valid;
import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is known of a person, over HTTP. */
@RestController
@RequestMapping("/api/cases")
class CaseController {

    private final CaseService service;

    CaseController(CaseService service) {
        this.service = service;
    }

    /** A code for the next case. */
    @GetMapping("/next-code")
    CaseJson.Code nextCode() {
        return new CaseJson.Code(service.nextCode());
    }

    @PutMapping("/{id}")
    @Traced(action = Action.CHANGED, subject = "case")
    CaseJson change(@PathVariable UUID id, @Valid @RequestBody CaseJson.Change change) {
        return CaseJson.of(service.change(id, change.details(), change.version()));
    }
}
