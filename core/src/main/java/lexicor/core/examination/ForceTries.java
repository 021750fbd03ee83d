package lexicor.core.examination;

import java.util.List;
import java.util.OptionalDouble;

/**
 * Up to three tries of a gauge on one side, in the unit they were recorded in.
 *
 * @param values in the order of the tries
 * @param variation coefficient of variation in percent: sample standard deviation over mean; empty below two tries, or
 *     where the mean is 0
 */
public record ForceTries(List<Double> values, double best, double mean, OptionalDouble variation) {

    /** Which of the tries counts. */
    public enum Counts {
        BEST,
        MEAN
    }

    public ForceTries {
        values = List.copyOf(values);
    }

    /** {@link IllegalArgumentException} without any value. Never null. */
    public static ForceTries of(List<Double> values) {
        if (values.isEmpty()) {
            throw new IllegalArgumentException("no try was recorded; allowed: one or more");
        }
        double best = values.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        double mean = values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        double squares = values.stream()
                .mapToDouble(value -> (value - mean) * (value - mean))
                .sum();
        boolean defined = values.size() > 1 && mean > 0;
        return new ForceTries(
                values,
                best,
                mean,
                defined
                        ? OptionalDouble.of(100 * Math.sqrt(squares / (values.size() - 1)) / mean)
                        : OptionalDouble.empty());
    }

    /** The tries of a part in an attempt, in their order; empty where there are none. */
    public static List<Double> values(Attempt attempt, String part) {
        return attempt.parts().stream()
                .filter(Part.Measured.class::isInstance)
                .map(Part.Measured.class::cast)
                .filter(measured -> measured.key().equals(part))
                .sorted((one, other) ->
                        Integer.compare(one.context().repeat(), other.context().repeat()))
                .map(Part.Measured::value)
                .toList();
    }

    public double counted(Counts counts) {
        return counts == Counts.BEST ? best : mean;
    }

    /** This side as a percentage of the other; empty where the other is 0. */
    public OptionalDouble percentOf(ForceTries other, Counts counts) {
        return other.counted(counts) > 0
                ? OptionalDouble.of(100 * counted(counts) / other.counted(counts))
                : OptionalDouble.empty();
    }
}
