package lexicor.server.audit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
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
    private final List<SubjectNames> names;

    AuditController(AuditEntries entries, List<SubjectNames> names) {
        this.entries = entries;
        this.names = names;
    }

    /**
     * A page of lines, newest first.
     *
     * @param before only lines with a smaller number; where to go on from a page
     */
    @GetMapping
    @Traced(action = Action.SAW, subject = "audit")
    public List<AuditEntry.Json> page(
            @RequestParam(defaultValue = "9223372036854775807") long before,
            @RequestParam(defaultValue = "") String author,
            @RequestParam(required = false) Action action,
            @RequestParam(defaultValue = "") String subjectId) {
        List<AuditEntry> found = entries.find(before, author.strip(), action, subjectId.strip(), Limit.of(PAGE));
        List<UUID> ids = found.stream()
                .flatMap(entry -> entry.subjectUuid().stream())
                .distinct()
                .toList();
        Map<UUID, String> known = new HashMap<>();
        names.forEach(kind -> known.putAll(kind.of(ids)));
        return found.stream()
                .map(entry -> entry.json(entry.subjectUuid().map(known::get).orElse("")))
                .toList();
    }
}
