package lexicor.server.examinations;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A person, known by a code alone. */
@Entity
class CaseFile {

    @Id
    private UUID id;

    @Column(nullable = false, updatable = false, unique = true)
    private String code;

    @Column(nullable = false, updatable = false)
    private Instant createdAt;

    protected CaseFile() {
        // for the mapper
    }

    CaseFile(UUID id, String code, Instant createdAt) {
        this.id = id;
        this.code = code;
        this.createdAt = createdAt;
    }

    String code() {
        return code;
    }

    UUID id() {
        return id;
    }
}
