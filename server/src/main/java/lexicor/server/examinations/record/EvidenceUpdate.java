package lexicor.server.examinations.record;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.UUID;
import lexicor.server.audit.CurrentUser;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.evidence.OpenExaminations;
import lexicor.server.problems.Closed;
import lexicor.server.problems.Conflict;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets an open examination be weighed by the ledger of today instead of the one it began with. */
@Service
public class EvidenceUpdate implements OpenExaminations {

    private final ExaminationRecords examinations;
    private final LivingEvidence living;
    private final JdbcTemplate database;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    EvidenceUpdate(
            ExaminationRecords examinations,
            LivingEvidence living,
            JdbcTemplate database,
            ApplicationEventPublisher events,
            Clock clock) {
        this.examinations = examinations;
        this.living = living;
        this.database = database;
        this.events = events;
        this.clock = clock;
    }

    @Override
    public long count() {
        Long open = database.queryForObject(
                "select count(*) from examination e where not exists (select 1 from signature s"
                        + " where s.examination_id = e.id and s.version >= coalesce((select max(a.version)"
                        + " from amendment a where a.examination_id = e.id), 1))",
                Long.class);
        return open == null ? 0 : open;
    }

    /**
     * Weighs an examination by today's ledger from now on.
     *
     * @param revision that the person has seen the effect of; {@link Conflict} where the ledger has changed since
     */
    @Transactional
    public void take(UUID id, String revision) {
        Recorded held = examinations.held(id);
        Responsible.require(held.responsible(), "The ledger that it is weighed by was not changed.");
        if (held.versions().closed()) {
            throw new Closed("It is signed. Amend it, with a reason, to weigh it by another ledger.");
        }
        String now = living.now().revision();
        if (!now.equals(revision)) {
            throw new Conflict("The ledger has changed once more since you looked. Look at the effect again.");
        }
        String before = held.row().evidenceRevision();
        if (before.equals(now)) {
            return;
        }
        database.update(
                "insert into examination_evidence (examination_id, ordinal, revision, author, at) values (?,"
                        + " (select count(*) + 1 from examination_evidence where examination_id = ?), ?, ?, ?)",
                id,
                id,
                now,
                CurrentUser.isHere(),
                Timestamp.from(clock.instant()));
        held.row().weighBy(now);
        events.publishEvent(new ExaminationMoved(
                id, held.row().caseFile().id(), held.lastNumber(), ExaminationMoved.What.WEIGHED_ANEW));
    }
}
