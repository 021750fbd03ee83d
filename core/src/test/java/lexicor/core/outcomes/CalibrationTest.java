package lexicor.core.outcomes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import lexicor.core.outcomes.Calibration.Claim;
import org.junit.jupiter.api.Test;

class CalibrationTest {

    private static Calibration of(Claim... claims) {
        return new Calibration(List.of(claims));
    }

    private static List<Claim> claims(double stated, int present, int absent) {
        List<Claim> claims = new ArrayList<>();
        IntStream.range(0, present).forEach(i -> claims.add(new Claim(0.5, stated, true)));
        IntStream.range(0, absent).forEach(i -> claims.add(new Claim(0.5, stated, false)));
        return claims;
    }

    private static double logit(double chance) {
        return Math.log(chance / (1 - chance));
    }

    @Test
    void scores_are_those_by_hand() {
        Calibration two = of(new Claim(0.2, 0.9, true), new Claim(0.2, 0.4, false));
        assertThat(two.brier()).isCloseTo((0.01 + 0.16) / 2, within(1e-15));
        assertThat(two.brierOfStart()).isCloseTo((0.64 + 0.04) / 2, within(1e-15));
        assertThat(two.logLoss()).isCloseTo(-(Math.log(0.9) + Math.log(0.6)) / 2, within(1e-15));
        assertThat(two.logLossOfStart()).isCloseTo(-(Math.log(0.2) + Math.log(0.8)) / 2, within(1e-15));
    }

    @Test
    void a_wrong_certainty_costs_much_and_not_everything() {
        assertThat(of(new Claim(0.5, 1, false)).logLoss()).isCloseTo(-Math.log(0.001), within(1e-12));
    }

    @Test
    void with_two_chances_the_line_goes_through_both_shares_exactly() {
        List<Claim> all = claims(0.3, 12, 18);
        all.addAll(claims(0.8, 30, 20));
        Calibration.Line line = new Calibration(all).line().orElseThrow();
        double slope = (logit(0.6) - logit(0.4)) / (logit(0.8) - logit(0.3));
        double intercept = logit(0.4) - slope * logit(0.3);
        assertThat(line.slope().estimate()).isCloseTo(slope, within(1e-9));
        assertThat(line.intercept().estimate()).isCloseTo(intercept, within(1e-9));
        // the two shares are independent, each with the variance 1 / (n p (1 - p)) of its logit
        double variance = 1 / (30 * 0.24) + 1 / (50 * 0.24);
        double half = 1.959963984540054 * Math.sqrt(variance) / (logit(0.8) - logit(0.3));
        assertThat(line.slope().lower()).isCloseTo(slope - half, within(1e-7));
        assertThat(line.slope().upper()).isCloseTo(slope + half, within(1e-7));
    }

    @Test
    void claims_that_hold_have_a_line_of_0_and_1_and_bold_ones_a_slope_below_it() {
        Random random = new Random(5);
        List<Claim> right = new ArrayList<>();
        List<Claim> bold = new ArrayList<>();
        for (int i = 0; i < 20_000; i++) {
            double chance = 0.02 + 0.96 * random.nextDouble();
            boolean present = random.nextDouble() < chance;
            right.add(new Claim(0.5, chance, present));
            bold.add(new Claim(0.5, 1 / (1 + Math.exp(-2 * logit(chance))), present));
        }
        Calibration.Line holds = new Calibration(right).line().orElseThrow();
        assertThat(holds.slope().estimate()).isCloseTo(1, within(0.05));
        assertThat(holds.intercept().estimate()).isCloseTo(0, within(0.05));
        assertThat(new Calibration(bold).line().orElseThrow().slope().estimate())
                .isCloseTo(0.5, within(0.03));
    }

    @Test
    void no_line_below_ten_on_each_side_nor_where_all_claims_are_alike_nor_where_they_part_without_fault() {
        assertThat(new Calibration(claims(0.3, 9, 40)).line()).isEmpty();
        assertThat(new Calibration(claims(0.3, 20, 40)).line()).isEmpty();
        List<Claim> parted = claims(0.3, 0, 20);
        parted.addAll(claims(0.7, 20, 0));
        assertThat(new Calibration(parted).line()).isEmpty();
    }

    @Test
    void the_curve_has_groups_as_large_as_each_other_with_wilsons_limits() {
        List<Claim> all = claims(0.1, 1, 9);
        all.addAll(claims(0.9, 8, 2));
        List<Calibration.Group> groups = new Calibration(all).groups();
        assertThat(groups).extracting(Calibration.Group::claims).containsExactly(5, 5, 5, 5);
        assertThat(groups.stream().mapToInt(Calibration.Group::present).sum()).isEqualTo(9);
        Calibration.Group one = new Calibration(claims(0.1, 1, 3)).groups().get(0);
        // Wilson for 1 of 4, worked by hand from (p - share)^2 = z^2 p (1 - p) / n
        for (double limit : new double[] {one.share().lower(), one.share().upper()}) {
            assertThat(Math.pow(limit - 0.25, 2))
                    .isCloseTo(Math.pow(1.959963984540054, 2) * limit * (1 - limit) / 4, within(1e-9));
        }
    }

    @Test
    void nothing_and_nonsense_are_refused() {
        assertThatThrownBy(() -> new Calibration(List.of())).hasMessageContaining("no claim");
        assertThatThrownBy(() -> of(new Claim(0.5, 1.2, true))).hasMessageContaining("outside 0 to 1");
    }
}
