package lexicor.server.examinations;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import org.hibernate.annotations.Immutable;

/** That somebody signed a version of an examination, and by which content it was read. */
@Entity
@Immutable
@Table(name = "signature")
class SignatureRow extends VersionStep {

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

    SignatureRow(ExaminationService.Recorded recorded, By by, ExaminationRow.Revisions revisions) {
        super(recorded.row().getId(), recorded.versions().next(), by);
        this.lastNumber = recorded.lastNumber();
        this.catalogueRevision = revisions.catalogue();
        this.evidenceRevision = revisions.evidence();
        this.settingsRevision = revisions.settings();
        this.seed = recorded.row().seed();
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
