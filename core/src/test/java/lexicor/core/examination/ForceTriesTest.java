package lexicor.core.examination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;

class ForceTriesTest {

    @Test
    void best_mean_and_variation_by_hand() {
        ForceTries tries = ForceTries.of(List.of(90.0, 100.0, 110.0));
        assertThat(tries.best()).isEqualTo(110);
        assertThat(tries.mean()).isEqualTo(100);
        assertThat(tries.variation().orElseThrow())
                .isCloseTo(10, within(1e-12)); // sample standard deviation 10 of a mean of 100
    }

    @Test
    void one_try_has_no_variation_and_neither_have_three_of_nothing() {
        assertThat(ForceTries.of(List.of(80.0)).variation()).isEmpty();
        assertThat(ForceTries.of(List.of(0.0, 0.0, 0.0)).variation()).isEmpty();
    }

    @Test
    void the_ratio_follows_the_school() {
        ForceTries involved = ForceTries.of(List.of(40.0, 60.0));
        ForceTries well = ForceTries.of(List.of(100.0, 80.0));
        assertThat(involved.percentOf(well, ForceTries.Counts.BEST).orElseThrow())
                .isCloseTo(60, within(1e-12));
        assertThat(involved.percentOf(well, ForceTries.Counts.MEAN).orElseThrow())
                .isCloseTo(100 * 50.0 / 90, within(1e-12));
        assertThat(involved.percentOf(ForceTries.of(List.of(0.0)), ForceTries.Counts.BEST))
                .isEmpty();
    }

    @Test
    void tries_are_taken_in_their_order_however_they_came() {
        Attempt attempt = new Attempt(
                UUID.randomUUID(),
                TestId.of("ha-grip"),
                "usual",
                Side.LEFT,
                1,
                Set.of(),
                List.of(try_(3, 30), try_(1, 10), try_(2, 20)));
        assertThat(ForceTries.values(attempt, "force")).containsExactly(10.0, 20.0, 30.0);
        assertThat(ForceTries.values(attempt, "gave-way")).isEmpty();
    }

    @Test
    void without_a_try_there_is_nothing_to_say() {
        assertThatThrownBy(() -> ForceTries.of(List.of())).hasMessageContaining("one or more");
    }

    private static Part try_(int number, double newtons) {
        return new Part.Measured("force", newtons, "N", new Part.Context("", number, ""));
    }
}
