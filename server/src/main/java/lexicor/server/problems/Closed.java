package lexicor.server.problems;

/** A request to add to what is signed. What was sent stays with the sender until it is opened again. */
public final class Closed extends RuntimeException {

    public Closed(String message) {
        super(message);
    }
}
