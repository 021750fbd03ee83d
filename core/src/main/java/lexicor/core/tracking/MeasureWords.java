package lexicor.core.tracking;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Measures as they are written. */
public final class MeasureWords {

    private MeasureWords() {}

    /** To a tenth, with its unit. */
    public static String of(double value, String unit) {
        return rounded(value, 1) + (unit.equals("°") || unit.equals("%") ? "" : " ") + unit;
    }

    static String of(MeasuredValue value, String unit) {
        return (value.atLeast() ? "over " : "") + of(value.value(), unit);
    }

    /** To a hundredth, without a unit. */
    static String precisely(double value) {
        return rounded(value, 2);
    }

    private static String rounded(double value, int places) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
        return rounded.signum() == 0
                ? "0"
                : rounded.stripTrailingZeros().toPlainString().replace('-', '−');
    }
}
