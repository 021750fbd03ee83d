package lexicor.core.story;

/** Whole weeks, both ends included. */
public record Weeks(int from, int to) {

    /** No complaint is older. */
    public static final int OLDEST = 10_000;

    /** Whether all of {@code other} lies within. */
    public boolean contains(Weeks other) {
        return from <= other.from && other.to <= to;
    }
}
