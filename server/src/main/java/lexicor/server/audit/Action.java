package lexicor.server.audit;

/** What somebody did. */
public enum Action {
    SAW,
    ENTERED,
    CHANGED,
    TOOK_OUT,
    SIGNED_IN,
    SIGNED_OUT,
    REFUSED;

    /** Whether a line of it may be written later: nothing else is kept with it. */
    boolean mayWait() {
        return reads() || this == SIGNED_IN || this == SIGNED_OUT || this == REFUSED;
    }

    /** Whether nothing on record is another afterwards. */
    public boolean reads() {
        return this == SAW || this == TOOK_OUT;
    }
}
