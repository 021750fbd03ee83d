package lexicor.server.examinations.fhir;

import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.page.Download;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A signed examination as a FHIR document, over HTTP. */
@RestController
class FhirDocumentController {

    private final FhirRecord record;

    FhirDocumentController(FhirRecord record) {
        this.record = record;
    }

    /** The last signed version; with the patient's name only where it is asked for. */
    @GetMapping(value = "/api/examinations/{id}/fhir.json", produces = "application/fhir+json")
    @Traced(action = Action.TOOK_OUT, subject = "examination")
    public ResponseEntity<String> document(
            @PathVariable UUID id, @RequestParam(defaultValue = "false") boolean withName) {
        FhirRecord.Document document = record.document(id, withName);
        return Download.named(document.file())
                .contentType(MediaType.parseMediaType("application/fhir+json;charset=UTF-8"))
                .body(document.json());
    }
}
