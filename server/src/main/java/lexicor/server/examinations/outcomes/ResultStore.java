package lexicor.server.examinations.outcomes;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.outcomes.ReferenceResult;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Reference results as they are kept. */
@Component
class ResultStore {

    private static final String ALL = "select * from reference_result ";

    private final JdbcTemplate database;

    ResultStore(JdbcTemplate database) {
        this.database = database;
    }

    /**
     * A result with who entered it.
     *
     * @param readBy who read it, in words; may be empty
     * @param words what else it says; may be empty
     * @param author sign-in name
     */
    record Kept(
            UUID id,
            UUID complaint,
            ReferenceResult result,
            String readBy,
            String words,
            String author,
            Instant at,
            Optional<Withdrawn> withdrawn) {}

    /** @param by sign-in name */
    record Withdrawn(String by, Instant at, String why) {}

    void add(Kept kept) {
        ReferenceResult result = kept.result();
        database.update(
                "insert into reference_result (id, episode_id, condition_id, truth, kind, found_on, reader, read_by, words,"
                        + " author, at) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                kept.id(),
                kept.complaint(),
                result.condition().value(),
                result.truth().name(),
                result.kind().name(),
                result.day(),
                result.reader().name(),
                kept.readBy(),
                kept.words(),
                kept.author(),
                Timestamp.from(kept.at()));
    }

    /** @return whether it stood until now */
    boolean withdraw(UUID id, Withdrawn withdrawn) {
        return database.update(
                        "update reference_result set withdrawn_by = ?, withdrawn_at = ?, withdrawn_why = ?"
                                + " where id = ? and withdrawn_at is null",
                        withdrawn.by(),
                        Timestamp.from(withdrawn.at()),
                        withdrawn.why(),
                        id)
                == 1;
    }

    Optional<Kept> find(UUID id) {
        return database.query(ALL + "where id = ?", ResultStore::kept, id).stream()
                .findFirst();
    }

    /** Of a complaint, the latest first, those withdrawn among them. */
    List<Kept> of(UUID complaint) {
        return database.query(
                ALL + "where episode_id = ? order by found_on desc, at desc", ResultStore::kept, complaint);
    }

    /** Every one that stands. */
    List<Kept> standing() {
        return database.query(ALL + "where withdrawn_at is null order by at", ResultStore::kept);
    }

    private static Kept kept(ResultSet row, int number) throws SQLException {
        Timestamp withdrawn = row.getTimestamp("withdrawn_at");
        return new Kept(
                row.getObject("id", UUID.class),
                row.getObject("episode_id", UUID.class),
                new ReferenceResult(
                        ConditionId.of(row.getString("condition_id")),
                        ReferenceResult.Truth.valueOf(row.getString("truth")),
                        ReferenceResult.Kind.valueOf(row.getString("kind")),
                        row.getObject("found_on", LocalDate.class),
                        ReferenceResult.Reader.valueOf(row.getString("reader"))),
                row.getString("read_by"),
                row.getString("words"),
                row.getString("author"),
                row.getTimestamp("at").toInstant(),
                withdrawn == null
                        ? Optional.empty()
                        : Optional.of(new Withdrawn(
                                row.getString("withdrawn_by"), withdrawn.toInstant(), row.getString("withdrawn_why"))));
    }
}
