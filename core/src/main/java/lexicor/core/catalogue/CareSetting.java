package lexicor.core.catalogue;

/** Where the patient is seen, which decides where the odds start. */
public enum CareSetting {
    FIRST_CONTACT,
    SPECIALIST
}
