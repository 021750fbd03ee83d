package lexicor.server.examinations.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.List;
import org.hibernate.annotations.Immutable;

/** That somebody signed a version of an examination, and by which content it was read. */
@Entity
@Immutable
@Table(name = "signature")
public class SignatureRow extends VersionStep {

    /** Stands between names; no name holds a line break. */
    private static final String SEPARATOR = "\n";

    private long lastNumber;

    @Column(nullable = false)
    private String catalogueRevision;

    @Column(nullable = false)
    private String evidenceRevision;

    @Column(nullable = false)
    private String settingsRevision;

    private long seed;

    @Column(nullable = false)
    private String enteredBy;

    private boolean countersigned;

    protected SignatureRow() {
        // for the mapper
    }

    /** @param enteredBy who entered the findings, by the names they now have */
    public SignatureRow(Recorded recorded, By by, List<String> enteredBy, ExaminationRow.Revisions revisions) {
        super(recorded.row().getId(), recorded.versions().next(), by);
        this.lastNumber = recorded.lastNumber();
        this.catalogueRevision = revisions.catalogue();
        this.evidenceRevision = revisions.evidence();
        this.settingsRevision = revisions.settings();
        this.seed = recorded.row().seed();
        this.enteredBy = String.join(SEPARATOR, enteredBy);
        this.countersigned = !enteredBy.isEmpty() && !recorded.findingsBy().contains(by.author());
    }

    /** Number of the last command that was signed. */
    public long lastNumber() {
        return lastNumber;
    }

    public ExaminationRow.Revisions revisions() {
        return new ExaminationRow.Revisions(catalogueRevision, evidenceRevision, settingsRevision);
    }

    /** Names of those who entered the findings that were signed; none of a record signed before these were kept. */
    public List<String> enteredBy() {
        return enteredBy.isEmpty() ? List.of() : List.of(enteredBy.split(SEPARATOR));
    }

    /** Whether who signed entered none of the findings. */
    public boolean countersigned() {
        return countersigned;
    }

    public long seed() {
        return seed;
    }
}
