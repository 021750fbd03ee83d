package lexicor.server.examinations;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.UUID;
import lexicor.core.catalogue.Setting;
import lexicor.core.examination.Side;
import org.springframework.data.domain.Persistable;

/** One visit's examination as it is kept. Never changed after it began; what happens in it is commands. */
@Entity
@Table(name = "examination")
class ExaminationRow implements Persistable<UUID> {

    @Id
    private UUID id;

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

    @Transient
    private boolean fresh;

    protected ExaminationRow() {
        // for the mapper
    }

    ExaminationRow(UUID id, CaseFile caseFile, StartRequest start, String author, Instant startedAt, Revisions revisions) {
        this.id = id;
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
        this.fresh = true;
    }

    /** The content by which an examination is read. */
    record Revisions(String catalogue, String evidence, String settings) {
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return fresh;
    }

    @PostLoad
    @PostPersist
    void known() {
        fresh = false;
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
        return id.getMostSignificantBits() ^ Long.rotateLeft(id.getLeastSignificantBits(), 17);
    }
}
