package lexicor.server.problems;

/** A request that contradicts what is already on record. */
public final class Conflict extends RuntimeException {

    public Conflict(String message) {
        super(message);
    }
}
