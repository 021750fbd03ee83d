package lexicor.server.json;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import lexicor.core.evidence.Estimate;

/** Numbers that may be absent, as columns and JSON hold them. */
public final class OrNull {

    private OrNull() {}

    public static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    /** Of a figure that is not a number where it is not known. */
    public static Double orNull(double value) {
        return Double.isNaN(value) ? null : value;
    }

    /** Of a figure that is not a number where it is not known. */
    public static Estimate orNull(Estimate estimate) {
        return Double.isNaN(estimate.estimate()) ? null : estimate;
    }

    public static Integer orNull(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }
}
