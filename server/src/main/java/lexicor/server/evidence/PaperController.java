package lexicor.server.evidence;

import java.util.List;
import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.page.Download;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Papers of the ledger over HTTP; for those who examine and those who keep the ledger. */
@RestController
@RequestMapping("/api/papers")
class PaperController {

    private final Papers papers;

    PaperController(Papers papers) {
        this.papers = papers;
    }

    /** Papers of a record, those taken away among them. */
    @GetMapping("/of/{record}")
    List<PaperJson> of(@PathVariable String record) {
        return papers.of(record);
    }

    /** Keeps a PDF with a record. */
    @PostMapping(path = "/of/{record}/{paper}", consumes = MediaType.APPLICATION_PDF_VALUE)
    @Traced(action = Action.ENTERED, subject = "paper of the ledger")
    List<PaperJson> add(
            @PathVariable String record,
            @PathVariable UUID paper,
            @RequestParam String name,
            @RequestBody byte[] file) {
        return papers.add(record, paper, name, file);
    }

    /** The paper as a file. */
    @GetMapping("/{paper}.pdf")
    @Traced(action = Action.TOOK_OUT, subject = "paper of the ledger")
    ResponseEntity<byte[]> file(@PathVariable UUID paper) {
        Papers.Content content = papers.content(paper);
        return Download.named(content.name())
                .contentType(MediaType.APPLICATION_PDF)
                .body(content.bytes());
    }

    /** Takes a paper away; its line stays. */
    @PostMapping("/{paper}/removal")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Traced(action = Action.CHANGED, subject = "paper of the ledger")
    void remove(@PathVariable UUID paper) {
        papers.remove(paper);
    }
}
