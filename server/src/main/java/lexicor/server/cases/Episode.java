package lexicor.server.cases;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.UUID;
import lexicor.server.audit.AddedOnce;

/** One complaint of a person: a region with the side or sides affected. Several examinations may follow it. */
@Entity
public class Episode extends AddedOnce {

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "case_id", updatable = false)
    private CaseFile caseFile;

    @Column(nullable = false, updatable = false)
    private String region;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, updatable = false, columnDefinition = "varchar(10)")
    private Affected side;

    @Column(nullable = false, updatable = false)
    private Instant openedAt;

    protected Episode() {
        // for the mapper
    }

    Episode(UUID id, CaseFile caseFile, String region, Affected side, Instant openedAt) {
        super(id);
        this.caseFile = caseFile;
        this.region = region;
        this.side = side;
        this.openedAt = openedAt;
    }

    public CaseFile caseFile() {
        return caseFile;
    }

    public String region() {
        return region;
    }

    public Affected side() {
        return side;
    }

    public Instant openedAt() {
        return openedAt;
    }
}
