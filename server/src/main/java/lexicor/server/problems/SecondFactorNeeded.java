package lexicor.server.problems;

/** A sign-in whose password is right and that lacks the code of the second factor. */
public final class SecondFactorNeeded extends RuntimeException {

    public SecondFactorNeeded(String message) {
        super(message);
    }
}
