package lexicor.server.examinations;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lexicor.server.audit.AddedOnce;
import org.hibernate.annotations.Immutable;

/** That somebody signed a version of an examination, and by which content it was read. */
@Entity
@Immutable
@Table(name = "signature")
class SignatureRow extends AddedOnce {

    @Column(name = "examination_id", nullable = false)
    private UUID examination;

    private int version;

    @Column(nullable = false)
    private String author;

    @Column(nullable = false)
    private String signedAs;

    @Column(nullable = false)
    private Instant at;

    private long lastNumber;

    @Column(nullable = false)
    private String catalogueRevision;

    @Column(nullable = false)
    private String evidenceRevision;

    @Column(nullable = false)
    private String settingsRevision;

    private long seed;

    protected SignatureRow() {
        // for the mapper
    }

    SignatureRow(ExaminationService.Recorded recorded, int version, String author, String signedAs, Instant at, ExaminationRow.Revisions revisions) {
        super(UUID.randomUUID());
        this.examination = recorded.row().getId();
        this.version = version;
        this.author = author;
        this.signedAs = signedAs;
        this.at = at;
        this.lastNumber = recorded.lastNumber();
        this.catalogueRevision = revisions.catalogue();
        this.evidenceRevision = revisions.evidence();
        this.settingsRevision = revisions.settings();
        this.seed = recorded.row().seed();
    }

    UUID examination() {
        return examination;
    }

    /** From 1. */
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

    /** Number of the last command that was signed. */
    long lastNumber() {
        return lastNumber;
    }

    ExaminationRow.Revisions revisions() {
        return new ExaminationRow.Revisions(catalogueRevision, evidenceRevision, settingsRevision);
    }

    long seed() {
        return seed;
    }
}
