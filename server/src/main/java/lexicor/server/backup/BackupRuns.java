package lexicor.server.backup;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;

/** The plan of copies, and what became of each one that was tried. */
@Component
class BackupRuns {

    private static final int SHOWN = 20;
    private static final int LONGEST_FAULT = 1000;

    private static final RowMapper<BackupRun> ROW = (row, number) -> new BackupRun(
            row.getTimestamp("at").toInstant(),
            row.getString("file"),
            row.getLong("bytes"),
            row.getString("holds"),
            row.getString("fault"));

    private final JdbcTemplate database;

    BackupRuns(JdbcTemplate database) {
        this.database = database;
    }

    BackupPlan plan() {
        return database.queryForObject(
                "select every_hours, keep from backup_plan",
                (row, number) -> new BackupPlan(row.getInt("every_hours"), row.getInt("keep")));
    }

    void decide(BackupPlan plan) {
        database.update("update backup_plan set every_hours = ?, keep = ?", plan.everyHours(), plan.keep());
    }

    /** When the plan began to hold: the record's beginning, or the last change of the plan. */
    Instant since() {
        return database.queryForObject("select since from backup_plan", Timestamp.class)
                .toInstant();
    }

    void restart(Instant now) {
        database.update("update backup_plan set since = ?", Timestamp.from(now));
    }

    void add(BackupRun run) {
        String fault = run.fault();
        database.update(
                "insert into backup_run (at, file, bytes, holds, fault) values (?, ?, ?, ?, ?)",
                Timestamp.from(run.at()),
                run.file(),
                run.bytes(),
                run.holds(),
                fault.substring(0, Math.min(fault.length(), LONGEST_FAULT)));
    }

    /** The last ones, latest first. */
    List<BackupRun> last() {
        return database.query("select * from backup_run order by at desc, id desc limit " + SHOWN, ROW);
    }

    Optional<BackupRun> lastGood() {
        return database
                .query("select * from backup_run where fault = '' order by at desc, id desc limit 1", ROW)
                .stream()
                .findFirst();
    }
}
