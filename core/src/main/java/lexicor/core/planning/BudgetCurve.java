package lexicor.core.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.DoubleStream;

/**
 * What plans tell against the time that they take. A plan that takes longer than another and tells no more is left out.
 *
 * @param points from no time at all to as many tests as are worth doing; time and information both rise
 * @param knee from where each further minute tells much less; empty where there are too few points to bend
 */
public record BudgetCurve(List<Point> points, Optional<Point> knee) {

    /** Times for which a plan is made, among them those that are offered to choose from. */
    private static final double[] MINUTES = {2, 4, 5, 6, 8, 10, 12, 15, 20, Double.POSITIVE_INFINITY};

    /**
     * One plan.
     *
     * @param bits expected information
     */
    public record Point(double seconds, double bits, int tests) {}

    public BudgetCurve {
        points = List.copyOf(points);
    }

    static BudgetCurve of(DoubleFunction<Plan> plans) {
        return through(DoubleStream.of(MINUTES)
                .mapToObj(minutes -> plans.apply(60 * minutes))
                .map(plan -> new Point(plan.seconds(), plan.bits(), plan.steps().size()))
                .toList());
    }

    static BudgetCurve through(List<Point> plans) {
        List<Point> points = new ArrayList<>(List.of(new Point(0, 0, 0)));
        plans.stream()
                .sorted(Comparator.comparingDouble(Point::seconds)
                        .thenComparing(Comparator.comparingDouble(Point::bits).reversed()))
                .filter(point -> point.bits() > points.get(points.size() - 1).bits())
                .forEach(points::add);
        return new BudgetCurve(points, knee(points));
    }

    /**
     * The point furthest above the straight line from the first to the last (V. Satopää et al., ICDCSW 2011:166,
     * without smoothing).
     */
    private static Optional<Point> knee(List<Point> points) {
        Point last = points.get(points.size() - 1);
        return points.stream()
                .filter(point -> above(point, last) > 0)
                .max(Comparator.comparingDouble(point -> above(point, last)));
    }

    private static double above(Point point, Point last) {
        return last.bits() > 0 ? point.bits() / last.bits() - point.seconds() / last.seconds() : 0;
    }
}
