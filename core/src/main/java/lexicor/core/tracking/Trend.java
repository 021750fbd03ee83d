package lexicor.core.tracking;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.DoubleStream;
import lexicor.core.evidence.Estimate;

/**
 * How a measure goes over time, whatever single visits do: the median of the slopes between all pairs of visits
 * (Theil-Sen).
 *
 * @param slope change a day, in the unit of the measure
 * @param lower lower 95 % limit of the slope
 * @param upper upper 95 % limit
 * @param pairs number of pairs of visits on different days
 */
public record Trend(double slope, double lower, double upper, int pairs) {

    /**
     * The trend of {@code values} over {@code days}, with the limits of Sen (1968, equation 2.6): ranks of the sorted
     * slopes by the normal approximation of Kendall's S, whose variance counts ties among days and among values; a rank
     * between two is rounded to the nearest, halves to the even one. O(n² log n).
     *
     * @throws IllegalArgumentException if the lengths differ, a number is not finite, or all visits are on one day
     */
    public static Trend of(double[] days, double[] values) {
        if (days.length != values.length) {
            throw new IllegalArgumentException(
                    "there are " + days.length + " days and " + values.length + " values; allowed: as many of both");
        }
        if (!DoubleStream.concat(Arrays.stream(days), Arrays.stream(values)).allMatch(Double::isFinite)) {
            throw new IllegalArgumentException("a number is not finite");
        }
        double[] slopes = slopes(days, values);
        if (slopes.length == 0) {
            throw new IllegalArgumentException("all visits are on one day; allowed: at least two days");
        }
        double sigma = Math.sqrt(Math.max(0, varianceOfKendall(days, values)));
        int upper = (int) Math.min(slopes.length - 1, Math.rint((slopes.length + Estimate.Z * sigma) / 2));
        int lower = (int) Math.max(0, Math.rint((slopes.length - Estimate.Z * sigma) / 2) - 1);
        return new Trend(median(slopes), slopes[lower], slopes[upper], slopes.length);
    }

    /** The same of a measure that is better the less it is, so that more of the slope is better. */
    Trend reversed() {
        return new Trend(-slope, -upper, -lower, pairs);
    }

    private static double[] slopes(double[] days, double[] values) {
        double[] slopes = new double[days.length * (days.length - 1) / 2];
        int count = 0;
        for (int i = 0; i < days.length; i++) {
            for (int j = i + 1; j < days.length; j++) {
                if (days[i] != days[j]) {
                    slopes[count++] = (values[j] - values[i]) / (days[j] - days[i]);
                }
            }
        }
        double[] found = Arrays.copyOf(slopes, count);
        Arrays.sort(found);
        return found;
    }

    private static double median(double[] sorted) {
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }

    private static double varianceOfKendall(double[] days, double[] values) {
        return (untied(days.length) - tied(days) - tied(values)) / 18;
    }

    private static double tied(double[] values) {
        Map<Double, Integer> times = new HashMap<>();
        Arrays.stream(values).forEach(value -> times.merge(value + 0.0, 1, Integer::sum));
        return times.values().stream().mapToDouble(Trend::untied).sum();
    }

    private static double untied(int n) {
        return (double) n * (n - 1) * (2.0 * n + 5);
    }
}
