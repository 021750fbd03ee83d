package lexicor.core.tracking;

import java.util.OptionalDouble;

/**
 * What one visit has of a measure.
 *
 * @param value in the unit of the measure
 * @param atLeast whether the measure is known only to be no less: nothing came on for as long as the hold lasted
 */
public record MeasuredValue(double value, boolean atLeast) {

    /** A value that was read. */
    public static MeasuredValue exactly(double value) {
        return new MeasuredValue(value, false);
    }

    /** A hold that ended before anything came on. */
    public static MeasuredValue atLeast(double value) {
        return new MeasuredValue(value, true);
    }

    /**
     * How far a later measure is from this one: the difference, or the least that it can be where one of the two is
     * known only to be no less; 0 where neither is known; empty where the longer hold would have been needed.
     */
    OptionalDouble differenceTo(MeasuredValue later) {
        double difference = later.value - value;
        if (atLeast && later.atLeast) {
            return OptionalDouble.of(0);
        }
        boolean told = !atLeast && !later.atLeast || (later.atLeast ? difference >= 0 : difference <= 0);
        return told ? OptionalDouble.of(difference) : OptionalDouble.empty();
    }
}
