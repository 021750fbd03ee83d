package lexicor.server.audit;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The audit over HTTP, for the administrator. It can be read and never changed. */
@RestController
@RequestMapping("/api/audit")
class AuditController {

    static final int PAGE = 50;

    private final AuditEntries entries;

    AuditController(AuditEntries entries) {
        this.entries = entries;
    }

    /**
     * A page of lines, newest first.
     *
     * @param before only lines with a smaller number; where to go on from a page
     */
    @GetMapping
    @Traced(action = Action.SAW, subject = "audit")
    public List<AuditEntry.Json> page(@RequestParam(defaultValue = "9223372036854775807") long before, @RequestParam(defaultValue = "") String author,
            @RequestParam(required = false) Action action, @RequestParam(defaultValue = "") String subjectId) {
        return entries.find(before, author.strip(), action, subjectId.strip(), Limit.of(PAGE)).stream().map(AuditEntry::json).toList();
    }
}
