package lexicor.server.problems;

/**
 * A request that would have to wait too long behind others of its kind. The same request may succeed a little later.
 */
public final class Busy extends RuntimeException {

    private final int seconds;

    /** @param seconds after which trying again makes sense, at least 1 */
    public Busy(String message, int seconds) {
        super(message);
        this.seconds = seconds;
    }

    public int seconds() {
        return seconds;
    }
}
