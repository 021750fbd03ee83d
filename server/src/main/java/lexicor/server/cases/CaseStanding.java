package lexicor.server.cases;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** Where the latest examination of a case stands, kept for the list. It follows from the record. */
@Entity
public class CaseStanding {

    @Id
    private UUID caseId;

    @Column(nullable = false)
    private UUID examinationId;

    @Column(nullable = false)
    private String region;

    @Enumerated(EnumType.STRING)
    @Column(nullable = false, columnDefinition = "varchar(20)")
    private VisitState state;

    @Column(nullable = false)
    private Instant lastAt;

    private int visits;

    private int done;

    private int total;

    /** Number of the last command that is summed up here. */
    @SuppressWarnings("unused") // a column, read by queries alone
    private long knows;

    /** Number of the last command of the examination. */
    @SuppressWarnings("unused") // a column, read by queries alone
    private long lastNumber;

    protected CaseStanding() {
        // for the mapper
    }

    CaseStanding(UUID caseId) {
        this.caseId = caseId;
    }

    /** A further visit begins; from now on it is the one that is summed up. */
    void begins(UUID examination, String inRegion, Instant at) {
        examinationId = examination;
        visits++;
        region = inRegion;
        state = VisitState.BEGUN;
        lastAt = at;
        done = 0;
        total = 1;
        knows = -1;
        lastNumber = 0;
    }

    public UUID caseId() {
        return caseId;
    }

    public UUID examinationId() {
        return examinationId;
    }

    public String region() {
        return region;
    }

    public VisitState state() {
        return state;
    }

    public Instant lastAt() {
        return lastAt;
    }

    public int visits() {
        return visits;
    }

    public int done() {
        return done;
    }

    public int total() {
        return total;
    }
}
