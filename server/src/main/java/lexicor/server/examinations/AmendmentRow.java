package lexicor.server.examinations;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lexicor.server.audit.AddedOnce;
import org.hibernate.annotations.Immutable;

/** That somebody opened a signed examination again, and why. */
@Entity
@Immutable
@Table(name = "amendment")
class AmendmentRow extends AddedOnce {

    @Column(name = "examination_id", nullable = false)
    private UUID examination;

    private int version;

    @Column(nullable = false)
    private String author;

    @Column(nullable = false)
    private String signedAs;

    @Column(nullable = false)
    private Instant at;

    @Column(nullable = false)
    private String reason;

    protected AmendmentRow() {
        // for the mapper
    }

    AmendmentRow(UUID examination, int version, String author, String signedAs, Instant at, String reason) {
        super(UUID.randomUUID());
        this.examination = examination;
        this.version = version;
        this.author = author;
        this.signedAs = signedAs;
        this.at = at;
        this.reason = reason;
    }

    UUID examination() {
        return examination;
    }

    /** The version that it leads to, from 2. */
    int version() {
        return version;
    }

    /** Sign-in name. */
    String author() {
        return author;
    }

    /** How the person was called then. */
    String signedAs() {
        return signedAs;
    }

    Instant at() {
        return at;
    }

    String reason() {
        return reason;
    }
}
