package lexicor.core.examination;

/** One typed part of a response. */
public sealed interface Part {

    /** Name of the part in the catalogue. */
    String key();

    Context context();

    /**
     * The circumstances of a part.
     *
     * @param position such as a rotation position; empty where there is but one
     * @param repeat number of the repeat within the attempt, from 1
     * @param direction such as up or down; empty where there is but one
     */
    record Context(String position, int repeat, String direction) {

        public static final Context PLAIN = new Context("", 1, "");

        public Context {
            if (repeat < 1 || repeat > 99) {
                throw new IllegalArgumentException("repeat is " + repeat + "; allowed: 1 to 99");
            }
        }
    }

    /** An answer out of the part's list. */
    record Chosen(String key, String choice, Context context) implements Part {}

    /** A measure in {@code unit}. */
    record Measured(String key, double value, String unit, Context context) implements Part {}

    /** Free words. */
    record Said(String key, String text, Context context) implements Part {}
}
