package lexicor.server.examinations.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.examination.Side;
import lexicor.server.audit.AddedOnce;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.Episode;

/**
 * One visit's examination as it is kept. What happens in it is commands; the row itself never changes, but for the
 * evidence that it is weighed by.
 */
@Entity
@Table(name = "examination")
public class ExaminationRow extends AddedOnce {

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "case_id", updatable = false)
    private CaseFile caseFile;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "episode_id", updatable = false)
    private Episode episode;

    @Column(name = "follows_id", updatable = false)
    private UUID follows;

    @Column(updatable = false)
    private boolean otherSideInvolved;

    @Column(nullable = false, updatable = false)
    private String region;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, updatable = false, columnDefinition = "varchar(10)")
    private Side side;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, updatable = false, columnDefinition = "varchar(30)")
    private CareSetting setting;

    @Column(nullable = false, updatable = false)
    private String author;

    @Column(nullable = false, updatable = false)
    private Instant startedAt;

    @Column(nullable = false, updatable = false)
    private String catalogueRevision;

    @Column(nullable = false)
    private String evidenceRevision;

    @Column(nullable = false, updatable = false)
    private String settingsRevision;

    protected ExaminationRow() {
        // for the mapper
    }

    ExaminationRow(
            Episode episode, VisitRequest visit, Side side, String author, Instant startedAt, Revisions revisions) {
        super(visit.id());
        this.caseFile = episode.caseFile();
        this.episode = episode;
        this.follows = visit.follows();
        this.otherSideInvolved = visit.side() == Affected.BOTH;
        this.region = visit.region();
        this.side = side;
        this.setting = visit.setting();
        this.author = author;
        this.startedAt = startedAt;
        this.catalogueRevision = revisions.catalogue();
        this.evidenceRevision = revisions.evidence();
        this.settingsRevision = revisions.settings();
    }

    /** The content by which an examination is read. */
    public record Revisions(String catalogue, String evidence, String settings) {}

    public CaseFile caseFile() {
        return caseFile;
    }

    public Episode episode() {
        return episode;
    }

    public Optional<UUID> follows() {
        return Optional.ofNullable(follows);
    }

    /** Whether the other side is no normal to compare with. */
    public boolean otherSideInvolved() {
        return otherSideInvolved;
    }

    public String author() {
        return author;
    }

    /** The content that it was begun with. */
    public String catalogueRevision() {
        return catalogueRevision;
    }

    /** The evidence that it is weighed by: of its beginning, or what somebody has taken over since. */
    public String evidenceRevision() {
        return evidenceRevision;
    }

    /** Weighs it by another evidence from now on. */
    void weighBy(String revision) {
        evidenceRevision = revision;
    }

    /** Number of the clinic's settings by which it is read. */
    public int settingsRevision() {
        return settingsRevision.matches("\\d+") ? Integer.parseInt(settingsRevision) : 0;
    }

    public String region() {
        return region;
    }

    public Side side() {
        return side;
    }

    public CareSetting setting() {
        return setting;
    }

    public Instant startedAt() {
        return startedAt;
    }

    /** The day of the examination where the server stands. */
    public LocalDate day() {
        return startedAt.atZone(ZoneId.systemDefault()).toLocalDate();
    }

    /** Seed of everything drawn for this examination. */
    public long seed() {
        return getId().getMostSignificantBits() ^ Long.rotateLeft(getId().getLeastSignificantBits(), 17);
    }
}
