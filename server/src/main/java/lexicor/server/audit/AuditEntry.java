package lexicor.server.audit;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.hibernate.annotations.Immutable;

/** One line of the audit. */
@Entity
@Immutable
class AuditEntry {

    private static final Pattern UUID_FORM = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Column(nullable = false)
    private Instant at;

    @Column(nullable = false)
    private String author;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, columnDefinition = "varchar(20)")
    private Action action;

    @Column(nullable = false)
    private String subject;

    @Column(nullable = false)
    private String subjectId;

    @Column(nullable = false)
    private String detail;

    protected AuditEntry() {
        // for the mapper
    }

    AuditEntry(Instant at, String author, Action action, String subject, String subjectId, String detail) {
        this.at = at;
        this.author = author;
        this.action = action;
        this.subject = subject;
        this.subjectId = subjectId;
        this.detail = detail;
    }

    /** The subject's id, where it is one that the record gave. */
    Optional<UUID> subjectUuid() {
        return UUID_FORM.matcher(subjectId).matches() ? Optional.of(UUID.fromString(subjectId)) : Optional.empty();
    }

    /** The line, with the name by which people know its subject. */
    Json json(String subjectName) {
        return new Json(id, at, author, action, subject, subjectId, subjectName == null ? "" : subjectName, detail);
    }

    /**
     * A line as the administrator reads it.
     *
     * @param subjectName empty where it has none or is no longer there
     */
    @io.swagger.v3.oas.annotations.media.Schema(name = "AuditEntryJson")
    record Json(
            long id,
            Instant at,
            String author,
            Action action,
            String subject,
            String subjectId,
            String subjectName,
            String detail) {}
}
