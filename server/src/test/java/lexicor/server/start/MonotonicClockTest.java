package lexicor.server.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class MonotonicClockTest {

    private static final Instant NOON = Instant.parse("2026-11-29T12:00:00Z");

    private Instant machine = NOON;

    private final MonotonicClock clock = new MonotonicClock(new Clock() {
        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return machine;
        }
    });

    @Test
    void stands_still_while_the_machines_clock_is_set_back_and_goes_on_once_it_has_caught_up() {
        assertThat(clock.instant()).isEqualTo(NOON);
        machine = NOON.minus(Duration.ofHours(2));
        assertThat(clock.instant()).isEqualTo(NOON);
        machine = NOON.plusSeconds(1);
        assertThat(clock.instant()).isEqualTo(NOON.plusSeconds(1));
    }

    @Test
    void begins_no_earlier_than_the_record_ends() {
        clock.notBefore(NOON.plus(Duration.ofHours(3)));
        assertThat(clock.instant()).isEqualTo(NOON.plus(Duration.ofHours(3)));
    }

    @Test
    void a_clock_that_was_years_ahead_is_put_right() {
        machine = Instant.parse("2099-01-01T00:00:00Z");
        clock.instant();
        machine = NOON;
        assertThat(clock.instant()).isEqualTo(NOON);
        clock.notBefore(Instant.parse("2099-01-01T00:00:00Z"));
        assertThat(clock.instant()).isEqualTo(NOON);
    }

    @Test
    void tells_whole_microseconds() {
        machine = NOON.plusNanos(123_456_789);
        assertThat(clock.instant()).isEqualTo(NOON.plusNanos(123_456_000));
    }
}
