package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lexicor.core.planning.BudgetCurve.Point;
import org.junit.jupiter.api.Test;

class BudgetCurveTest {

    @Test
    void the_knee_is_where_the_curve_is_furthest_above_the_straight_line() {
        BudgetCurve curve =
                BudgetCurve.through(List.of(new Point(100, 0.6, 3), new Point(200, 0.9, 6), new Point(400, 1.0, 10)));
        assertThat(curve.points()).first().isEqualTo(new Point(0, 0, 0));
        assertThat(curve.knee()).as("0.60 - 0.25, 0.90 - 0.50, 1 - 1").contains(new Point(200, 0.9, 6));
    }

    @Test
    void a_plan_that_takes_longer_and_tells_no_more_is_left_out() {
        BudgetCurve curve = BudgetCurve.through(List.of(
                new Point(300, 0.5, 5), new Point(100, 0.5, 2), new Point(200, 0.4, 3), new Point(400, 0.8, 7)));
        assertThat(curve.points()).extracting(Point::seconds).containsExactly(0.0, 100.0, 400.0);
    }

    @Test
    void a_straight_line_has_no_knee_nor_has_nothing() {
        assertThat(BudgetCurve.through(List.of(new Point(100, 0.5, 2), new Point(200, 1.0, 4)))
                        .knee())
                .isEmpty();
        BudgetCurve nothing = BudgetCurve.through(List.of(new Point(0, 0, 0)));
        assertThat(nothing.points()).hasSize(1);
        assertThat(nothing.knee()).isEmpty();
    }
}
