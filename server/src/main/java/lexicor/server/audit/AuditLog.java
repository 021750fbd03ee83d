package lexicor.server.audit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import lexicor.server.disk.DiskRoom;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Adds lines to the audit. Looking at the same thing again within ten minutes is one look. While the disk is full,
 * lines about what changes nothing wait in memory, and are written, with their own times, before the first line for
 * which there is room.
 */
@Service
public class AuditLog {

    private static final Logger LOG = LoggerFactory.getLogger(AuditLog.class);

    private static final Duration ONE_LOOK = Duration.ofMinutes(10);
    private static final int MOST_LOOKS = 20_000;
    private static final int LONGEST_DETAIL = 400;
    private static final int MOST_WAITING = 20_000;

    private final AuditEntries entries;
    private final DiskRoom room;
    private final Clock clock;
    private final Cache<String, Instant> looks = Caffeine.newBuilder()
            .maximumSize(MOST_LOOKS)
            .expireAfterWrite(ONE_LOOK)
            .build();
    private final Queue<AuditEntry> waiting = new ConcurrentLinkedQueue<>();
    private final AtomicInteger dropped = new AtomicInteger();

    AuditLog(AuditEntries entries, DiskRoom room, Clock clock) {
        this.entries = entries;
        this.room = room;
        this.clock = clock;
    }

    /**
     * A line about a request that the person's role does not allow. Asking the same again within ten minutes is one
     * try.
     */
    @Transactional
    public void refused(String request) {
        String author = CurrentUser.isHere();
        if (isNew(author + " refused " + request, clock.instant())) {
            write(author, Action.REFUSED, "access", "", request);
        }
    }

    /** A line about the person signed in. */
    @Transactional
    public void add(Action action, String subject, String subjectId, String detail) {
        addFor(CurrentUser.isHere(), action, subject, subjectId, detail);
    }

    /** A line about somebody who is named but not signed in. */
    @Transactional
    public void addFor(String author, Action action, String subject, String subjectId, String detail) {
        if (action != Action.SAW || isNew(author + " " + subject + " " + subjectId, clock.instant())) {
            write(author, action, subject, subjectId, detail);
        }
    }

    private void write(String author, Action action, String subject, String subjectId, String detail) {
        AuditEntry line = new AuditEntry(
                clock.instant(),
                author,
                action,
                subject,
                subjectId,
                detail.length() > LONGEST_DETAIL ? detail.substring(0, LONGEST_DETAIL) : detail);
        if (action.mayWait() && !room.isThere()) {
            keepWaiting(line);
            return;
        }
        for (AuditEntry earlier = waiting.poll(); earlier != null; earlier = waiting.poll()) {
            entries.save(earlier);
        }
        entries.save(line);
    }

    private void keepWaiting(AuditEntry line) {
        if (waiting.size() < MOST_WAITING) {
            waiting.add(line);
        } else if (dropped.getAndIncrement() == 0) {
            LOG.error("The disk is full and {} lines of the audit wait in memory: further ones are lost", MOST_WAITING);
        }
    }

    private boolean isNew(String look, Instant now) {
        Instant last = looks.getIfPresent(look);
        if (last != null && Duration.between(last, now).compareTo(ONE_LOOK) < 0) {
            return false;
        }
        looks.put(look, now);
        return true;
    }
}
