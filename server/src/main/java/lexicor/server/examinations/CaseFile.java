package lexicor.server.examinations;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;

/** A person, known by a code alone. */
@Entity
class CaseFile extends AddedOnce {

    @Column(nullable = false, updatable = false, unique = true)
    private String code;

    @Column(nullable = false, updatable = false)
    private Instant createdAt;

    protected CaseFile() {
        // for the mapper
    }

    CaseFile(UUID id, String code, Instant createdAt) {
        super(id);
        this.code = code;
        this.createdAt = createdAt;
    }

    String code() {
        return code;
    }
}
