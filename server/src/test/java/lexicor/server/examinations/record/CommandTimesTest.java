package lexicor.server.examinations.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import lexicor.server.problems.BadInput;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CommandTimesTest {

    private static final Instant BEGAN = Instant.parse("2026-11-29T09:00:00Z");
    private static final Instant NOW = Instant.parse("2026-11-29T10:00:00Z");

    @ParameterizedTest
    @ValueSource(strings = {"2026-11-28T09:00:00Z", "2026-11-29T09:30:00Z", "2026-11-29T10:05:00Z"})
    void a_time_within_the_bounds_is_believed(String at) {
        assertThat(CommandTimes.of(BEGAN, NOW, null).corrected("at", Instant.parse(at)))
                .isEqualTo(at);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "-999999999-01-01T00:00:00Z",
                "2026-11-28T08:59:59Z",
                "2026-11-29T10:05:01Z",
                "+999999999-12-31T23:59:59Z"
            })
    void a_time_out_of_bounds_names_the_field_and_what_is_allowed(String at) {
        assertThatThrownBy(() -> CommandTimes.of(BEGAN, NOW, null).corrected("commands[0].at", Instant.parse(at)))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("commands[0].at")
                .hasMessageContaining("2026-11-28T09:00:00Z")
                .hasMessageContaining("2026-11-29T10:05:00Z");
    }

    @Test
    void a_device_whose_clock_is_years_wrong_is_put_right() {
        Instant shown = Instant.parse("2019-01-01T00:00:00Z");
        CommandTimes times = CommandTimes.of(BEGAN, NOW, shown);
        assertThat(times.corrected("at", shown.minusSeconds(90))).isEqualTo(NOW.minusSeconds(90));
    }

    @Test
    void the_way_of_a_message_is_no_wrong_clock() {
        Instant at = NOW.minusSeconds(20);
        assertThat(CommandTimes.of(BEGAN, NOW, NOW.minusSeconds(9)).corrected("at", at))
                .isEqualTo(at);
    }

    @Test
    void a_clock_that_was_changed_while_offline_gives_the_nearest_time_that_can_be() {
        CommandTimes times = CommandTimes.of(BEGAN, NOW, NOW);
        assertThat(times.corrected("at", BEGAN.minus(Duration.ofDays(400)))).isEqualTo(BEGAN);
        assertThat(times.corrected("at", NOW.plus(Duration.ofDays(400)))).isEqualTo(NOW);
    }

    @Test
    void what_no_clock_can_show_is_refused() {
        assertThatThrownBy(() -> CommandTimes.of(BEGAN, NOW, Instant.MAX))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("sentAt");
        assertThatThrownBy(() -> CommandTimes.of(BEGAN, NOW, NOW).corrected("at", Instant.MAX))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("at");
    }
}
