package lexicor.server.examinations;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lexicor.core.catalogue.Setting;
import lexicor.core.examination.Side;

/** One visit's examination as it is kept. Never changed after it began; what happens in it is commands. */
@Entity
@Table(name = "examination")
class ExaminationRow extends AddedOnce {

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "case_id", updatable = false)
    private CaseFile caseFile;

    @Column(updatable = false)
    private int age;

    @Column(nullable = false, updatable = false)
    private String occupation;

    @Column(nullable = false, updatable = false)
    private String region;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, updatable = false, columnDefinition = "varchar(10)")
    private Side side;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, updatable = false, columnDefinition = "varchar(30)")
    private Setting setting;

    @Column(nullable = false, updatable = false)
    private String author;

    @Column(nullable = false, updatable = false)
    private Instant startedAt;

    @Column(nullable = false, updatable = false)
    private String catalogueRevision;

    @Column(nullable = false, updatable = false)
    private String evidenceRevision;

    @Column(nullable = false, updatable = false)
    private String settingsRevision;

    protected ExaminationRow() {
        // for the mapper
    }

    ExaminationRow(UUID id, CaseFile caseFile, StartRequest start, String author, Instant startedAt, Revisions revisions) {
        super(id);
        this.caseFile = caseFile;
        this.age = start.age();
        this.occupation = start.occupation().strip();
        this.region = start.region();
        this.side = start.side();
        this.setting = start.setting();
        this.author = author;
        this.startedAt = startedAt;
        this.catalogueRevision = revisions.catalogue();
        this.evidenceRevision = revisions.evidence();
        this.settingsRevision = revisions.settings();
    }

    /** The content by which an examination is read. */
    record Revisions(String catalogue, String evidence, String settings) {
    }

    CaseFile caseFile() {
        return caseFile;
    }

    int age() {
        return age;
    }

    String occupation() {
        return occupation;
    }

    String region() {
        return region;
    }

    Side side() {
        return side;
    }

    Setting setting() {
        return setting;
    }

    Instant startedAt() {
        return startedAt;
    }

    /** Seed of everything drawn for this examination. */
    long seed() {
        return getId().getMostSignificantBits() ^ Long.rotateLeft(getId().getLeastSignificantBits(), 17);
    }
}
