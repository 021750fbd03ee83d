package lexicor.server.problems;

import java.time.Duration;

/** A request that was made too often. */
public final class TooManyTries extends RuntimeException {

    private final long seconds;

    public TooManyTries(Duration wait) {
        super("Too many tries. Please wait " + seconds(wait) + " seconds.");
        this.seconds = seconds(wait);
    }

    private static long seconds(Duration wait) {
        return Math.max(1, wait.plusMillis(999).toSeconds());
    }

    /** How long to wait, at least 1. */
    public long seconds() {
        return seconds;
    }
}
