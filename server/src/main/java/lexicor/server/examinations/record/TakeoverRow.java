package lexicor.server.examinations.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lexicor.server.audit.AddedOnce;
import org.hibernate.annotations.Immutable;

/** That somebody took over an examination from a colleague. */
@Entity
@Immutable
@Table(name = "takeover")
public class TakeoverRow extends AddedOnce {

    @Column(name = "examination_id", nullable = false)
    private UUID examination;

    private int ordinal;

    @Column(nullable = false)
    private String author;

    @Column(nullable = false)
    private String takenAs;

    @Column(nullable = false)
    private String takenFrom;

    @Column(nullable = false)
    private Instant at;

    protected TakeoverRow() {
        // for the mapper
    }

    /**
     * @param ordinal from 1
     * @param by who takes it over
     * @param from sign-in name of who had it
     */
    TakeoverRow(UUID examination, int ordinal, VersionStep.By by, String from) {
        super(UUID.randomUUID());
        this.examination = examination;
        this.ordinal = ordinal;
        this.author = by.author();
        this.takenAs = by.name();
        this.takenFrom = from;
        this.at = by.at();
    }

    UUID examination() {
        return examination;
    }

    int ordinal() {
        return ordinal;
    }

    /** Sign-in name of who took it over. */
    public String author() {
        return author;
    }

    /** How the person was called then. */
    public String takenAs() {
        return takenAs;
    }

    /** Sign-in name of who had it before. */
    public String takenFrom() {
        return takenFrom;
    }

    public Instant at() {
        return at;
    }
}
