package lexicor.server.start;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The machine's clock in whole microseconds, as the database keeps them, which never runs backwards: where the
 * machine's clock is set back, time stands still until it has caught up. A clock that was ahead by more than
 * {@link #LONGEST_STAND} is believed to have been wrong before, and is followed backwards.
 */
public final class MonotonicClock extends Clock {

    /** Time stands still for no longer. */
    static final Duration LONGEST_STAND = Duration.ofHours(26);

    private static final Logger LOG = LoggerFactory.getLogger(MonotonicClock.class);

    private final Clock machine;
    private final AtomicReference<Instant> last;

    public MonotonicClock(Clock machine) {
        this.machine = machine;
        this.last = new AtomicReference<>(Instant.MIN);
    }

    /** The record holds an entry of this time: it is not earlier than that. */
    void notBefore(Instant recorded) {
        Instant now = machine.instant();
        Duration ahead = Duration.between(now, recorded);
        if (ahead.compareTo(LONGEST_STAND) > 0) {
            LOG.warn(
                    "The record holds entries of {}, which lies ahead of this machine's clock ({}). Check the clock.",
                    recorded,
                    now);
        } else {
            if (ahead.toMinutes() > 0) {
                LOG.warn(
                        "This machine's clock ({}) is behind the last entry of the record ({}). Entries bear that time until the clock has caught up.",
                        now,
                        recorded);
            }
            last.accumulateAndGet(recorded, MonotonicClock::later);
        }
    }

    @Override
    public Instant instant() {
        Instant now = machine.instant().truncatedTo(ChronoUnit.MICROS);
        return last.updateAndGet(before ->
                before.isAfter(now) && Duration.between(now, before).compareTo(LONGEST_STAND) <= 0 ? before : now);
    }

    private static Instant later(Instant one, Instant other) {
        return one.isAfter(other) ? one : other;
    }

    @Override
    public ZoneId getZone() {
        return machine.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new MonotonicClock(machine.withZone(zone));
    }
}
