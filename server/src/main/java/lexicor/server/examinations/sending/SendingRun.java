package lexicor.server.examinations.sending;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.locks.ReentrantLock;
import lexicor.server.audit.Action;
import lexicor.server.audit.AuditLog;
import lexicor.server.audit.CurrentUser;
import lexicor.server.examinations.fhir.FhirRecord;
import lexicor.server.problems.Busy;
import lexicor.server.problems.Conflict;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Sends what is due, one after the other. Where the receiver is not reached or cannot take it now, it is tried again
 * after one minute, then two, four and so on up to six hours, for a week.
 */
@Component
class SendingRun {

    private static final Duration FIRST_PAUSE = Duration.ofMinutes(1);
    private static final Duration LONGEST_PAUSE = Duration.ofHours(6);
    private static final Duration GIVEN_UP_AFTER = Duration.ofDays(7);
    private static final int DOUBLED = 9;

    private final Sendings sendings;
    private final FhirRecord record;
    private final Transport transport;
    private final AuditLog trail;
    private final Clock clock;
    private final ReentrantLock one = new ReentrantLock();

    SendingRun(Sendings sendings, FhirRecord record, Transport transport, AuditLog trail, Clock clock) {
        this.sendings = sendings;
        this.record = record;
        this.transport = transport;
        this.trail = trail;
        this.clock = clock;
    }

    @Scheduled(initialDelay = 20_000, fixedDelay = 2_000)
    void due() {
        one.lock();
        try {
            sendings.due(clock.instant()).forEach(this::send);
        } finally {
            one.unlock();
        }
    }

    /** Time from a try to the next, after so many. */
    static Duration pause(int tries) {
        Duration pause = FIRST_PAUSE.multipliedBy(1L << Math.min(tries, DOUBLED));
        return pause.compareTo(LONGEST_PAUSE) > 0 ? LONGEST_PAUSE : pause;
    }

    private void send(Sending sending) {
        Instant now = clock.instant();
        sendings.tried(sending, now.plus(pause(sending.tries())));
        Transport.Outcome outcome = tried(sending);
        boolean late = outcome.state() == Sending.State.WAITING
                && now.isAfter(sending.askedAt().plus(GIVEN_UP_AFTER));
        Sending.State state = late ? Sending.State.REFUSED : outcome.state();
        sendings.became(
                sending,
                state,
                late ? "Given up after a week. Last: " + outcome.said() : outcome.said(),
                clock.instant());
        if (state == Sending.State.ARRIVED) {
            trail.addFor(
                    sending.author(),
                    Action.TOOK_OUT,
                    "examination",
                    sending.examination().toString(),
                    "FHIR: sent to " + sending.receiver().called() + ", kept as " + outcome.said());
        }
    }

    private Transport.Outcome tried(Sending sending) {
        try {
            FhirRecord.Document document = CurrentUser.being(
                    sending.author(), () -> record.document(sending.examination(), sending.withName()));
            return document.id().equals(sending.signature())
                    ? transport.bring(sending.receiver(), document.id(), document.json())
                    : new Transport.Outcome(
                            Sending.State.REFUSED, "A later version was signed before it left. Send that one.");
        } catch (Busy busy) {
            return new Transport.Outcome(Sending.State.WAITING, "This server was busy.");
        } catch (Conflict conflict) {
            return new Transport.Outcome(Sending.State.REFUSED, conflict.getMessage());
        }
    }
}
