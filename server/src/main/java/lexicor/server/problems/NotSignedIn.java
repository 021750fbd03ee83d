package lexicor.server.problems;

/** A request without a person behind it. */
public final class NotSignedIn extends RuntimeException {

    public NotSignedIn(String message) {
        super(message);
    }
}
