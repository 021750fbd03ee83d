package lexicor.core.evidence;

/** Whether a record can be weighed, and with what belief. */
public sealed interface Weighable {

    /** Stands in for each group where a study's sizes were not published. */
    int UNKNOWN_SIZE = 20;

    /**
     * It can.
     *
     * @param counts by rounding its proportions
     * @param size patients behind it; where unpublished, what stands in for them
     * @param sizeKnown whether both group sizes were published
     */
    record Yes(TwoByTwo counts, int size, boolean sizeKnown) implements Weighable {

        /** What the record says by itself. */
        public Belief belief() {
            return Belief.of(counts);
        }
    }

    /** It cannot; {@code because} says why in plain words. */
    record No(String because) implements Weighable {}

    /**
     * Judges one record. A record with likelihood ratios alone is turned into proportions when both are given and LR+
     * &gt; 1 &gt; LR-: specificity = (LR+ - 1) / (LR+ - LR-), sensitivity = LR+ (1 - LR-) / (LR+ - LR-).
     */
    static Weighable of(AccuracyRecord record) {
        if (record.sensitivity().isPresent() && record.specificity().isPresent()) {
            return ofProportions(
                    record,
                    record.sensitivity().getAsDouble(),
                    record.specificity().getAsDouble());
        }
        if (record.sensitivity().isPresent() || record.specificity().isPresent()) {
            return new No("only one of sensitivity and specificity was published");
        }
        if (record.lrPositive().isEmpty() || record.lrNegative().isEmpty()) {
            return new No("no pair of figures was published");
        }
        double positive = record.lrPositive().getAsDouble();
        double negative = record.lrNegative().getAsDouble();
        if (!(positive > 1 && negative < 1)) {
            return new No("the published likelihood ratios contradict each other");
        }
        return ofProportions(
                record, positive * (1 - negative) / (positive - negative), (positive - 1) / (positive - negative));
    }

    private static Weighable ofProportions(AccuracyRecord record, double sensitivity, double specificity) {
        if (sensitivity == 0 || specificity == 0) {
            return new No("a sensitivity or specificity of 0 points to a broken comparison group");
        }
        int with = record.sizesKnown() ? record.with().getAsInt() : assumedSize(record);
        int without = record.sizesKnown() ? record.without().getAsInt() : assumedSize(record);
        if (with == 0 || without == 0) {
            return new No("there was no comparison group");
        }
        return new Yes(TwoByTwo.of(sensitivity, specificity, with, without), with + without, record.sizesKnown());
    }

    /** The size taken for each group where none was published: never more patients than there were in all. */
    static int assumedSize(AccuracyRecord record) {
        return Math.min(UNKNOWN_SIZE, record.total().orElse(2 * UNKNOWN_SIZE) / 2);
    }
}
