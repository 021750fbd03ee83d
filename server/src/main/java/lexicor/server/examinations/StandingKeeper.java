package lexicor.server.examinations;

import jakarta.annotation.PreDestroy;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import lexicor.server.cases.CaseService;
import lexicor.server.disk.DiskRoom;
import lexicor.server.examinations.planning.TestLaps;
import lexicor.server.examinations.record.ExaminationMoved;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.weighing.ExaminationAssessment;
import lexicor.server.load.CatchUp;
import lexicor.server.problems.NotFound;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Keeps the list's summaries and the times of tests in step with the record, behind the back of those who save: both
 * follow from the record alone, and the table knows which of them are behind. Whoever needs them asks to
 * {@link #settle} first.
 */
@Component
class StandingKeeper {

    private static final Logger LOG = LoggerFactory.getLogger(StandingKeeper.class);

    /** Summaries made anew at one go. */
    private static final int MOST = 100;

    private final ExaminationRecords examinations;
    private final ExaminationAssessment appraisal;
    private final CaseService cases;
    private final TestLaps laps;
    private final DiskRoom room;
    private final CatchUp behind = new CatchUp("standings", this::settle);

    StandingKeeper(
            ExaminationRecords examinations,
            ExaminationAssessment appraisal,
            CaseService cases,
            TestLaps laps,
            DiskRoom room) {
        this.examinations = examinations;
        this.appraisal = appraisal;
        this.cases = cases;
        this.laps = laps;
        this.room = room;
    }

    /** Something was saved: the summaries follow soon. */
    @TransactionalEventListener
    void moved(ExaminationMoved event) {
        behind.ask();
    }

    /** Makes the summaries anew that are behind the record, the latest first. */
    void settle() {
        settle(() -> true);
    }

    private synchronized void settle(BooleanSupplier goOn) {
        if (!room.isThere()) {
            return; // the list tells what it told before
        }
        cases.behind(MOST).stream().takeWhile(id -> goOn.getAsBoolean()).forEach(this::sum);
    }

    private void sum(UUID id) {
        try {
            Recorded recorded = examinations.examination(id);
            ExaminationAssessment.Stage stage = appraisal.stage(recorded);
            cases.summed(id, recorded.lastNumber(), stage.state(), stage.done(), stage.total());
            laps.keep(recorded);
            laps.kept();
        } catch (NotFound gone) {
            LOG.debug("Examination {} is gone", id);
        }
    }

    @PreDestroy
    void stop() {
        behind.close();
    }
}
