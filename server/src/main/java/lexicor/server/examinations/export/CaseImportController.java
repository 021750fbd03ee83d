package lexicor.server.examinations.export;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A case that comes from another clinic, or comes back. */
@RestController
@RequestMapping(value = "/api/import", consumes = MediaType.APPLICATION_JSON_VALUE)
class CaseImportController {

    private final CaseArrival arrival;

    CaseImportController(CaseArrival arrival) {
        this.arrival = arrival;
    }

    /** What would come of it; nothing is kept. */
    @PostMapping("/case/preview")
    public CaseBroughtJson look(
            @RequestBody(content = @Content(schema = @Schema(implementation = CaseDocument.class)))
                    @org.springframework.web.bind.annotation.RequestBody
                    String text) {
        return arrival.look(text);
    }

    /** Keeps the case whole, or says why not and keeps nothing. */
    @PostMapping("/case")
    @Traced(action = Action.ENTERED, subject = "case")
    public CaseBroughtJson keep(
            @RequestBody(content = @Content(schema = @Schema(implementation = CaseDocument.class)))
                    @org.springframework.web.bind.annotation.RequestBody
                    String text) {
        return arrival.keep(text);
    }
}
