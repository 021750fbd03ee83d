package lexicor.core.catalogue;

/** Where the patient is seen, which decides where the odds start. */
public enum Setting {
    FIRST_CONTACT,
    SPECIALIST
}
