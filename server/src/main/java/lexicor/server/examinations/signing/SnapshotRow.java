package lexicor.server.examinations.signing;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import lexicor.server.audit.AddedOnce;
import org.hibernate.annotations.Immutable;

/** What went in and what came out when a version was signed, as JSON. */
@Entity
@Immutable
@Table(name = "snapshot")
class SnapshotRow extends AddedOnce {

    // read as words from both databases, whatever each calls a long text
    @Column(nullable = false, columnDefinition = "character large object")
    private String content;

    protected SnapshotRow() {
        // for the mapper
    }

    SnapshotRow(UUID signature, String content) {
        super(signature);
        this.content = content;
    }

    String content() {
        return content;
    }
}
