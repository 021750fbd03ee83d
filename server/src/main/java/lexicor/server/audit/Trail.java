package lexicor.server.audit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Adds lines to the audit. Looking at the same thing again within ten minutes is one look. */
@Service
public class Trail {

    private static final Duration ONE_LOOK = Duration.ofMinutes(10);
    private static final int MOST_LOOKS = 20_000;

    private final AuditEntries entries;
    private final Clock clock;
    private final Cache<String, Instant> looks = Caffeine.newBuilder().maximumSize(MOST_LOOKS).expireAfterWrite(ONE_LOOK).build();

    Trail(AuditEntries entries, Clock clock) {
        this.entries = entries;
        this.clock = clock;
    }

    /** A line about the person signed in. */
    @Transactional
    public void add(Action action, String subject, String subjectId, String detail) {
        addFor(Whoever.isHere(), action, subject, subjectId, detail);
    }

    /** A line about somebody who is named but not signed in. */
    @Transactional
    public void addFor(String author, Action action, String subject, String subjectId, String detail) {
        Instant now = clock.instant();
        if (action == Action.SAW) {
            String look = author + " " + subject + " " + subjectId;
            Instant last = looks.getIfPresent(look);
            if (last != null && Duration.between(last, now).compareTo(ONE_LOOK) < 0) {
                return;
            }
            looks.put(look, now);
        }
        entries.save(new AuditEntry(now, author, action, subject, subjectId, detail));
    }
}
