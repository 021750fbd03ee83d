package lexicor.server.examinations.record;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import lexicor.server.problems.BadInput;

/**
 * The times that a device gives to its commands, held against the server's clock. A device that says what its own clock
 * shows when it sends is corrected by the difference; one that does not has to be right.
 *
 * @param began when the visit began
 * @param now the server's time
 * @param ahead how far the server's clock is ahead of the device's; empty where the device did not say
 */
public record CommandTimes(Instant began, Instant now, Optional<Duration> ahead) {

    /**
     * A command may be older than the visit by as much: a visit opened after the first findings were taken elsewhere.
     */
    private static final Duration BEFORE_VISIT = Duration.ofDays(1);

    /** A command may come from the future by as much: clocks differ a little. */
    private static final Duration AFTER_NOW = Duration.ofMinutes(5);

    /** Below this a difference is the way of the message, not a wrong clock. */
    private static final Duration MESSAGE_DELAY = Duration.ofMinutes(1);

    /** No clock of a device shows a time outside these years; beyond them differences can no longer be computed. */
    private static final Instant EARLIEST_CLOCK = Instant.parse("1970-01-01T00:00:00Z");

    private static final Instant LATEST_CLOCK = Instant.parse("9999-12-31T23:59:59Z");

    /**
     * @param sentAt what the device's clock showed when it sent; null where it did not say
     * @throws BadInput where no clock can show that
     */
    public static CommandTimes of(Instant began, Instant now, Instant sentAt) {
        if (sentAt == null) {
            return new CommandTimes(began, now, Optional.empty());
        }
        if (sentAt.isBefore(EARLIEST_CLOCK) || sentAt.isAfter(LATEST_CLOCK)) {
            throw new BadInput(
                    "sentAt", "allowed: the time of the device's clock, " + EARLIEST_CLOCK + " to " + LATEST_CLOCK);
        }
        Duration ahead = Duration.between(sentAt, now);
        return new CommandTimes(
                began, now, Optional.of(ahead.abs().compareTo(MESSAGE_DELAY) < 0 ? Duration.ZERO : ahead));
    }

    /**
     * The time of a command by the server's clock. Of a device whose clock is known, a time that is still out of bounds
     * once corrected (its clock was changed while it was offline) becomes the nearest that can be.
     *
     * @throws BadInput where the device did not say what its clock shows and the time is out of bounds
     */
    public Instant corrected(String field, Instant claimed) {
        Instant earliest = began.minus(BEFORE_VISIT);
        Instant latest = now.plus(AFTER_NOW);
        if (ahead.isEmpty()) {
            if (claimed.isBefore(earliest) || claimed.isAfter(latest)) {
                throw new BadInput(
                        field,
                        "allowed: a time from " + earliest + ", a day before the visit began, to " + latest
                                + ", five minutes from now");
            }
            return claimed;
        }
        if (claimed.isBefore(EARLIEST_CLOCK) || claimed.isAfter(LATEST_CLOCK)) {
            throw new BadInput(field, "allowed: a time from " + EARLIEST_CLOCK + " to " + LATEST_CLOCK);
        }
        Instant corrected = claimed.plus(ahead.get());
        if (corrected.isBefore(earliest)) {
            return began;
        }
        return corrected.isAfter(latest) ? now : corrected;
    }
}
