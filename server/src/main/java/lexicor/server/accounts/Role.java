package lexicor.server.accounts;

/** What a person may do. Somebody may have several. */
public enum Role {
    /** Examines patients: the clinic's cases. */
    THERAPIST,
    /** Learns: the library, no cases. */
    STUDENT,
    /** Keeps evidence, schools and settings. */
    STEWARD,
    /** Keeps accounts and reads the audit. */
    ADMINISTRATOR;

    /** As Spring Security names it. */
    public String authority() {
        return "ROLE_" + name();
    }
}
