package lexicor.server.examinations.record;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import java.util.UUID;
import lexicor.server.audit.AddedOnce;

/** What somebody did to bring about a version of an examination. */
@MappedSuperclass
public abstract class VersionStep extends AddedOnce {

    @Column(name = "examination_id", nullable = false)
    private UUID examination;

    private int version;

    @Column(nullable = false)
    private String author;

    @Column(nullable = false)
    private String signedAs;

    @Column(nullable = false)
    private Instant at;

    protected VersionStep() {
        // for the mapper
    }

    VersionStep(UUID examination, int version, By by) {
        super(UUID.randomUUID());
        this.examination = examination;
        this.version = version;
        this.author = by.author();
        this.signedAs = by.name();
        this.at = by.at();
    }

    /**
     * Who did it.
     *
     * @param author sign-in name
     * @param name how the person is called
     */
    record By(String author, String name, Instant at) {}

    UUID examination() {
        return examination;
    }

    /** The version that it is or leads to, from 1. */
    public int version() {
        return version;
    }

    /** Sign-in name of who did it. */
    public String author() {
        return author;
    }

    /** How the person was called then. */
    public String signedAs() {
        return signedAs;
    }

    public Instant at() {
        return at;
    }
}
