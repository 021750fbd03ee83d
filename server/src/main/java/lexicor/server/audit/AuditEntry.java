package lexicor.server.audit;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** One line of the audit. */
@Entity
@Immutable
class AuditEntry {

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

    Json json() {
        return new Json(id, at, author, action, subject, subjectId, detail);
    }

    /** A line as the administrator reads it. */
    @io.swagger.v3.oas.annotations.media.Schema(name = "AuditEntryJson")
    record Json(long id, Instant at, String author, Action action, String subject, String subjectId, String detail) {
    }
}
