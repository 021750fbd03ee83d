package lexicor.core.posttest;

/**
 * One test with its result, for the bare arithmetic of a calculator.
 *
 * @param sensitivity 0..1
 * @param specificity 0..1
 */
public record SingleTest(double sensitivity, double specificity, boolean positive) {

    /** @throws IllegalArgumentException if a proportion is outside 0..1 or the result is impossible under it */
    public SingleTest {
        require("sensitivity", sensitivity);
        require("specificity", specificity);
        if (positive && sensitivity == 0 && specificity == 1) {
            throw new IllegalArgumentException(
                    "sensitivity is 0 and specificity 1, so a positive cannot happen; allowed: one of them within");
        }
        if (positive && specificity == 1) {
            throw new IllegalArgumentException(
                    "specificity is 1, so a positive would be proof; allowed for a positive: below 1");
        }
        if (!positive && specificity == 0) {
            throw new IllegalArgumentException(
                    "specificity is 0, so a negative would be proof; allowed for a negative: above 0");
        }
    }

    /**
     * sensitivity / (1 - specificity) of a positive, (1 - sensitivity) / specificity of a negative; 0 or more, finite.
     */
    public double likelihoodRatio() {
        return positive ? sensitivity / (1 - specificity) : (1 - sensitivity) / specificity;
    }

    private static void require(String name, double value) {
        if (!(value >= 0 && value <= 1)) {
            throw new IllegalArgumentException(name + " is " + value + "; allowed: 0 to 1");
        }
    }
}
