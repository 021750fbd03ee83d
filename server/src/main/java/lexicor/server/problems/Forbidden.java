package lexicor.server.problems;

/** A request that the person may not make. */
public final class Forbidden extends RuntimeException {

    public Forbidden(String message) {
        super(message);
    }
}
