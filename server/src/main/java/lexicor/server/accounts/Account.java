package lexicor.server.accounts;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.hibernate.envers.AuditTable;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;

/** Somebody who may sign in. Never deleted, so that what they entered keeps its author; switched off instead. */
@Entity
@Audited
@AuditTable("account_history")
class Account {

    @Id
    private UUID id;

    @Column(nullable = false, updatable = false)
    private String name;

    @Column(nullable = false)
    private String displayName;

    @Convert(converter = RolesColumn.class)
    @Column(nullable = false)
    private Set<Role> roles;

    @NotAudited
    @Column(nullable = false)
    private String passwordHash;

    private boolean active;

    @NotAudited
    private boolean mustChange;

    @NotAudited
    private String secondFactor;

    @NotAudited
    private long lastStep;

    @NotAudited
    @Column(nullable = false, updatable = false)
    private Instant createdAt;

    @Version
    private int version;

    protected Account() {
        // for the mapper
    }

    Account(UUID id, String name, String displayName, Set<Role> roles, String passwordHash, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.createdAt = createdAt;
        this.passwordHash = passwordHash;
        change(displayName, roles, true);
    }

    final void change(String displayName, Set<Role> roles, boolean active) {
        this.displayName = displayName;
        this.roles = EnumSet.copyOf(roles);
        this.active = active;
    }

    /** @param byAnother whether somebody else chose it, so that the person has to change it at the next sign-in */
    void password(String hash, boolean byAnother) {
        this.passwordHash = hash;
        this.mustChange = byAnother;
    }

    /** The same password under a newer kind of hash. */
    void rehashed(String hash) {
        this.passwordHash = hash;
    }

    /** @param secret of an authenticator in Base32; null for none */
    void secondFactor(String secret) {
        this.secondFactor = secret;
        this.lastStep = 0;
    }

    /** A code of this step was used. */
    void usedStep(long step) {
        this.lastStep = step;
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    String displayName() {
        return displayName;
    }

    Set<Role> roles() {
        return Set.copyOf(roles);
    }

    String passwordHash() {
        return passwordHash;
    }

    boolean mustChange() {
        return mustChange;
    }

    Optional<String> secondFactor() {
        return Optional.ofNullable(secondFactor);
    }

    long lastStep() {
        return lastStep;
    }

    boolean active() {
        return active;
    }

    Instant createdAt() {
        return createdAt;
    }

    int version() {
        return version;
    }
}
