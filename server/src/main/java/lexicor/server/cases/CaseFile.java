package lexicor.server.cases;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lexicor.core.intake.Person;
import org.hibernate.envers.AuditTable;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** A person known by a code, and by a name only where the clinic wants it. */
@Entity
@Audited
@AuditTable("case_file_history")
public class CaseFile {

    @Id
    private UUID id;

    @Column(nullable = false, updatable = false, unique = true)
    private String code;

    private String name;

    private Integer birthYear;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(15)")
    private Dominance dominance;

    @Column(nullable = false)
    private String occupation;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private Person.Sex sex;

    @NotAudited
    @Column(nullable = false, updatable = false)
    private Instant createdAt;

    @Version
    private int version;

    protected CaseFile() {
        // for the mapper
    }

    CaseFile(UUID id, String code, CaseDetails details, Instant createdAt) {
        this.id = id;
        this.code = code;
        this.createdAt = createdAt;
        change(details);
    }

    final void change(CaseDetails details) {
        this.name = details.name() == null || details.name().isBlank()
                ? null
                : details.name().strip();
        this.birthYear = details.birthYear();
        this.dominance = details.dominance();
        this.sex = details.sex();
        this.occupation =
                details.occupation() == null ? "" : details.occupation().strip();
    }

    public UUID id() {
        return id;
    }

    public String code() {
        return code;
    }

    public Optional<String> name() {
        return Optional.ofNullable(name);
    }

    public Optional<Integer> birthYear() {
        return Optional.ofNullable(birthYear);
    }

    public Optional<Dominance> dominance() {
        return Optional.ofNullable(dominance);
    }

    /** Empty where nobody said. */
    public String occupation() {
        return occupation;
    }

    /** Empty where nobody said, or it is neither. */
    public Optional<Person.Sex> sex() {
        return Optional.ofNullable(sex);
    }

    public Instant createdAt() {
        return createdAt;
    }

    public int version() {
        return version;
    }
}
