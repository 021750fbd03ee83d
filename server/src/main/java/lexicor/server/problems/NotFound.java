package lexicor.server.problems;

/** Something that was asked for and is not there. */
public final class NotFound extends RuntimeException {

    public NotFound(String message) {
        super(message);
    }
}
