package lexicor.core.posttest;

/** A chance in words that promise no more than it holds: whole numbers in 100, and never 0 or 100. */
public final class Percent {

    private Percent() {}

    /** Such as "38", "under 1" or "over 99". */
    public static String of(double chance) {
        if (chance < 0.01) {
            return "under 1";
        }
        return chance > 0.99 ? "over 99" : String.valueOf(Math.round(100 * chance));
    }
}
