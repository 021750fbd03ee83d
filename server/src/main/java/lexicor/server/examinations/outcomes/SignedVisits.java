package lexicor.server.examinations.outcomes;

import jakarta.annotation.PreDestroy;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.examination.Reading;
import lexicor.core.outcomes.Calibration;
import lexicor.server.disk.DiskRoom;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.record.ExaminationMoved;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.SignatureRow;
import lexicor.server.examinations.signing.Results;
import lexicor.server.load.CatchUp;
import lexicor.server.problems.NotFound;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What signed examinations found and said, in a form that can be counted over thousands of them. It follows from the
 * record alone, and is made for what was signed since, behind the back of those who sign; whoever counts asks to
 * {@link #settle} first.
 */
@Component
class SignedVisits {

    private static final Logger LOG = LoggerFactory.getLogger(SignedVisits.class);

    /** Examinations looked up at one go. */
    private static final int MOST = 200;

    private static final String BEHIND = "select s.examination_id from signature s"
            + " where s.version = (select max(version) from signature t where t.examination_id = s.examination_id)"
            + " and not exists (select 1 from signed_visit v where v.examination_id = s.examination_id"
            + " and v.version = s.version) limit " + MOST;

    private final JdbcTemplate database;
    private final TransactionTemplate transaction;
    private final ExaminationRecords examinations;
    private final Assessments assessments;
    private final Results results;
    private final DiskRoom room;
    private final CatchUp behind = new CatchUp("signed visits", this::settle);

    SignedVisits(
            JdbcTemplate database,
            PlatformTransactionManager transactions,
            ExaminationRecords examinations,
            Assessments assessments,
            Results results,
            DiskRoom room) {
        this.database = database;
        this.transaction = new TransactionTemplate(transactions);
        this.examinations = examinations;
        this.assessments = assessments;
        this.results = results;
        this.room = room;
    }

    /**
     * A signed examination.
     *
     * @param signedBy sign-in name
     * @param working the working diagnosis; empty where none was named
     * @param confidence how sure, 0..1
     * @param again the day of the next visit
     * @param askedFor conditions whose settling step was taken up
     * @param follows the visit that it was begun after, with what that one had found in view
     */
    record Visit(
            UUID examination,
            UUID complaint,
            Optional<UUID> follows,
            String signedBy,
            LocalDate day,
            CareSetting setting,
            Optional<ConditionId> working,
            OptionalDouble confidence,
            Optional<LocalDate> again,
            List<ConditionId> askedFor) {}

    /** The chance of a condition in a signed examination; {@code start} before anything was found. */
    record Claim(UUID examination, ConditionId condition, double start, double stated) {
        Calibration.Claim turnedOut(boolean present) {
            return new Calibration.Claim(start, stated, present);
        }
    }

    /** A test by a criterion. */
    record Judged(TestId test, CriterionId criterion) {}

    /** What a test answered by a criterion. */
    record Finding(UUID examination, Judged judged, boolean positive) {}

    @EventListener(ApplicationReadyEvent.class)
    void started() {
        behind.ask();
    }

    @TransactionalEventListener
    void moved(ExaminationMoved event) {
        if (event.what() == ExaminationMoved.What.SIGNED) {
            behind.ask();
        }
    }

    /** Reads what was signed since. */
    void settle() {
        settle(() -> true);
    }

    private synchronized void settle(BooleanSupplier goOn) {
        List<UUID> unread;
        do {
            unread = room.isThere() ? database.queryForList(BEHIND, UUID.class) : List.of();
            unread.stream().takeWhile(id -> goOn.getAsBoolean()).forEach(this::read);
        } while (unread.size() == MOST && goOn.getAsBoolean());
    }

    private void read(UUID id) {
        try {
            Recorded recorded = examinations.examination(id);
            SignatureRow last = recorded.versions().last().orElseThrow();
            Recorded then = recorded.asSigned(last);
            transaction.executeWithoutResult(status -> {
                database.update("delete from signed_visit where examination_id = ?", id);
                keep(then, last);
            });
        } catch (NotFound gone) {
            LOG.debug("Examination {} is gone", id);
        }
    }

    private void keep(Recorded then, SignatureRow signature) {
        UUID id = then.row().getId();
        Conclusion conclusion = Conclusion.of(then.told());
        database.update(
                "insert into signed_visit (examination_id, episode_id, version, signed_by, visit_day, setting, working,"
                        + " confidence, test_again, asked_for) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                id,
                then.row().episode().getId(),
                signature.version(),
                signature.author(),
                then.row().day(),
                then.row().setting().name(),
                conclusion.working().map(ConditionId::value).orElse(""),
                conclusion.confidence().isPresent() ? conclusion.confidence().getAsDouble() : null,
                conclusion.again().orElse(null),
                String.join(
                        ",", conclusion.steps().stream().map(ConditionId::value).toList()));
        database.batchUpdate(
                "insert into signed_claim (examination_id, condition_id, start_chance, stated_chance) values (?, ?, ?, ?)",
                results.weighing(signature).standings().stream()
                        .filter(standing -> standing.informed())
                        .map(standing -> new Object[] {id, standing.conditionId(), standing.before(), standing.now()})
                        .toList());
        database.batchUpdate(
                "insert into signed_finding (examination_id, test_id, condition_id, criterion_id, positive)"
                        + " values (?, ?, ?, ?, ?)",
                assessments.of(then).readings().stream()
                        .flatMap(test -> test.readings().stream())
                        .filter(Reading::definite)
                        .map(reading -> new Object[] {
                            id,
                            reading.test().value(),
                            reading.condition().value(),
                            reading.criterion().value(),
                            reading.result() == Reading.Result.POSITIVE
                        })
                        .toList());
    }

    /** All of them, in the order in which they were begun. */
    List<Visit> visits() {
        return database.query(
                "select v.*, e.follows_id from signed_visit v join examination e on e.id = v.examination_id"
                        + " order by e.started_at, e.id",
                SignedVisits::visit);
    }

    List<Claim> claims() {
        return database.query(
                "select * from signed_claim",
                (row, number) -> new Claim(
                        row.getObject("examination_id", UUID.class),
                        ConditionId.of(row.getString("condition_id")),
                        row.getDouble("start_chance"),
                        row.getDouble("stated_chance")));
    }

    List<Finding> findings(ConditionId condition) {
        return database.query(
                "select * from signed_finding where condition_id = ?", SignedVisits::finding, condition.value());
    }

    /** What the tests of one examination answered; one answer by one criterion stands there once. */
    List<Finding> findings(UUID examination) {
        return database.query(
                "select distinct examination_id, test_id, criterion_id, positive from signed_finding"
                        + " where examination_id = ?",
                SignedVisits::finding,
                examination);
    }

    private static Finding finding(ResultSet row, int number) throws SQLException {
        return new Finding(
                row.getObject("examination_id", UUID.class),
                new Judged(TestId.of(row.getString("test_id")), CriterionId.of(row.getString("criterion_id"))),
                row.getBoolean("positive"));
    }

    private static Visit visit(ResultSet row, int number) throws SQLException {
        String working = row.getString("working");
        double confidence = row.getDouble("confidence");
        OptionalDouble sure = row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(confidence);
        return new Visit(
                row.getObject("examination_id", UUID.class),
                row.getObject("episode_id", UUID.class),
                Optional.ofNullable(row.getObject("follows_id", UUID.class)),
                row.getString("signed_by"),
                row.getObject("visit_day", LocalDate.class),
                CareSetting.valueOf(row.getString("setting")),
                working.isEmpty() ? Optional.empty() : Optional.of(ConditionId.of(working)),
                sure,
                Optional.ofNullable(row.getObject("test_again", LocalDate.class)),
                Arrays.stream(row.getString("asked_for").split(","))
                        .filter(each -> !each.isEmpty())
                        .map(ConditionId::of)
                        .toList());
    }

    @PreDestroy
    void stop() {
        behind.close();
    }
}
