package lexicor.server.practice;

import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;

/** Practice cases and their steps, as they are kept. */
@Component
class PracticeStore {

    private static final RowMapper<PracticeRow> ROW = (row, number) -> {
        int place = row.getInt("place");
        OptionalInt at = row.wasNull() ? OptionalInt.empty() : OptionalInt.of(place);
        return new PracticeRow(
                row.getObject("id", UUID.class),
                row.getString("owner"),
                row.getString("written"),
                row.getString("title"),
                row.getString("region"),
                row.getObject("visit_day", LocalDate.class),
                PracticeRow.Showing.valueOf(row.getString("showing")),
                row.getString("evidence_revision"),
                row.getTimestamp("begun_at").toInstant(),
                Optional.ofNullable(row.getTimestamp("ended_at")).map(Timestamp::toInstant),
                Optional.ofNullable(row.getObject("series_id", UUID.class)),
                at,
                Optional.ofNullable(row.getString("review")));
    };

    private final JdbcTemplate database;

    PracticeStore(JdbcTemplate database) {
        this.database = database;
    }

    void add(PracticeRow row) {
        database.update(
                "insert into practice_case (id, owner, written, title, region, visit_day, showing, evidence_revision,"
                        + " begun_at, series_id, place) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                row.id(),
                row.owner(),
                row.written(),
                row.title(),
                row.region(),
                row.day(),
                row.showing().name(),
                row.evidence(),
                Timestamp.from(row.begunAt()),
                row.series().orElse(null),
                row.place().isPresent() ? row.place().getAsInt() : null);
    }

    /** One's own cases, the last begun first. */
    List<PracticeRow> of(String owner) {
        return database.query("select * from practice_case where owner = ? order by begun_at desc, id", ROW, owner);
    }

    /** A case of one's own; empty where there is none of that id. */
    Optional<PracticeRow> of(String owner, UUID id) {
        return database.query("select * from practice_case where owner = ? and id = ?", ROW, owner, id).stream()
                .findFirst();
    }

    /** The cases of several people that were ended, by owner and time. */
    List<PracticeRow> ended(UUID ofClass) {
        return database.query(
                "select practice_case.* from practice_case join practice_member on member = owner"
                        + " where class_id = ? and ended_at >= joined_at order by owner, ended_at",
                ROW,
                ofClass);
    }

    /** The steps of a case, in order, as JSON. */
    List<String> steps(UUID id) {
        return database.queryForList(
                "select body from practice_step where case_id = ? order by number", String.class, id);
    }

    /** Adds a step, unless another one has its number. */
    boolean add(UUID id, int number, String body, Instant at) {
        try {
            database.update(
                    "insert into practice_step (case_id, number, body, at) values (?, ?, ?, ?)",
                    id,
                    number,
                    body,
                    Timestamp.from(at));
            return true;
        } catch (DuplicateKeyException taken) {
            return false;
        }
    }

    void end(UUID id, Instant at, String review) {
        database.update(
                "update practice_case set ended_at = ?, review = ? where id = ? and ended_at is null",
                Timestamp.from(at),
                review,
                id);
    }

    void remove(UUID id) {
        database.update("delete from practice_case where id = ?", id);
    }
}
