package lexicor.core.weighing;

/**
 * The school that counts positives: of the tests that speak about a condition, about half positive is enough.
 *
 * @param positives tests found positive
 * @param counted tests found positive or negative
 * @param battery tests of the routine that speak about it, and any others done
 */
public record Tally(int positives, int counted, int battery) {

    /** What the count says so far. */
    public enum Verdict {
        MET,
        NOT_MET,
        OPEN,
        NO_BATTERY
    }

    /** Positives that are enough. */
    public int needed() {
        return (battery + 1) / 2;
    }

    public Verdict verdict() {
        if (battery == 0) {
            return Verdict.NO_BATTERY;
        }
        if (positives >= needed()) {
            return Verdict.MET;
        }
        return positives + battery - counted < needed() ? Verdict.NOT_MET : Verdict.OPEN;
    }
}
