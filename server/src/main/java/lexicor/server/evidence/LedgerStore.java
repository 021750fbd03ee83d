package lexicor.server.evidence;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import lexicor.core.evidence.LedgerChange;
import lexicor.core.evidence.RecordId;
import lexicor.core.evidence.Review;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Changes of the ledger as they are kept. */
@Component
class LedgerStore {

    private static final String ALL = "select * from ledger_change ";

    private final JdbcTemplate database;
    private final JsonMapper json;

    LedgerStore(JdbcTemplate database, JsonMapper json) {
        this.database = database;
        this.json = json;
    }

    /** What a change does. */
    enum Kind {
        ENTERED,
        WITHDRAWN,
        RESTORED,
        AS_SHIPPED,
        REVIEWED
    }

    /**
     * A change with who made it.
     *
     * @param number of the change, from 1
     * @param why in words; empty where none is asked for
     * @param author sign-in name
     */
    record Kept(long number, UUID id, LedgerChange change, String why, String author, Instant at) {

        Kind kind() {
            if (change instanceof LedgerChange.Entered) {
                return Kind.ENTERED;
            }
            if (change instanceof LedgerChange.Withdrawn) {
                return Kind.WITHDRAWN;
            }
            if (change instanceof LedgerChange.Restored) {
                return Kind.RESTORED;
            }
            return change instanceof LedgerChange.AsShipped ? Kind.AS_SHIPPED : Kind.REVIEWED;
        }
    }

    /**
     * Holds the turn until the present work is done; waits for it for as long as several changes before it may take.
     *
     * @return the number of the last change
     */
    long takeTurn() {
        Long last = database.queryForObject(
                "select last_change from ledger_turn where id = 1 for update wait 60", Long.class);
        return last == null ? 0 : last;
    }

    /** The number of the last change; 0 where there is none. */
    long last() {
        Long last = database.queryForObject("select last_change from ledger_turn where id = 1", Long.class);
        return last == null ? 0 : last;
    }

    void add(Kept kept) {
        LedgerChange change = kept.change();
        database.update(
                "insert into ledger_change (number, id, record_id, kind, entry, review, basis, why, author, at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                kept.number(),
                kept.id(),
                change.record().value(),
                kept.kind().name(),
                change instanceof LedgerChange.Entered entered
                        ? json.writeValueAsString(StoredEntry.of(entered.entry()))
                        : null,
                change instanceof LedgerChange.Reviewed reviewed ? json.writeValueAsString(reviewed.review()) : null,
                change instanceof LedgerChange.Entered entered ? entered.basis() : "",
                kept.why(),
                kept.author(),
                Timestamp.from(kept.at()));
        database.update("update ledger_turn set last_change = ? where id = 1", kept.number());
    }

    /** The change of an id; empty where there is none. */
    Optional<Kept> find(UUID id) {
        return database.query(ALL + "where id = ?", this::kept, id).stream().findFirst();
    }

    /** The first changes in order. */
    List<LedgerChange> upTo(long number) {
        return database.query(ALL + "where number <= ? order by number", this::kept, number).stream()
                .map(Kept::change)
                .toList();
    }

    /** Changes after a number, the latest first. */
    List<Kept> after(long number, int most) {
        return database.query(ALL + "where number > ? order by number desc limit ?", this::kept, number, most);
    }

    /** Changes of a record, the latest first. */
    List<Kept> of(RecordId record) {
        return database.query(ALL + "where record_id = ? order by number desc", this::kept, record.value());
    }

    /** Keeps that the ledger had a revision after so many changes. */
    void register(String revision, long changes) {
        database.update(
                "merge into evidence_revision (revision, changes) key (revision) values (?, ?)", revision, changes);
    }

    /** After how many changes the ledger had a revision; empty where nobody knows. */
    OptionalLong changes(String revision) {
        return database
                .queryForList("select changes from evidence_revision where revision = ?", Long.class, revision)
                .stream()
                .mapToLong(Long::longValue)
                .findFirst();
    }

    private Kept kept(ResultSet row, int ordinal) throws SQLException {
        RecordId record = RecordId.of(row.getString("record_id"));
        return new Kept(
                row.getLong("number"),
                row.getObject("id", UUID.class),
                change(row, record),
                row.getString("why"),
                row.getString("author"),
                row.getTimestamp("at").toInstant());
    }

    private LedgerChange change(ResultSet row, RecordId record) throws SQLException {
        return switch (Kind.valueOf(row.getString("kind"))) {
            case ENTERED ->
                new LedgerChange.Entered(
                        read(row.getString("entry"), StoredEntry.class).entry(record), row.getString("basis"));
            case WITHDRAWN -> new LedgerChange.Withdrawn(record, row.getString("why"));
            case RESTORED -> new LedgerChange.Restored(record);
            case AS_SHIPPED -> new LedgerChange.AsShipped(record);
            case REVIEWED -> new LedgerChange.Reviewed(record, read(row.getString("review"), Review.class));
        };
    }

    private <T> T read(@Nullable String text, Class<T> type) {
        return json.readValue(text, type);
    }
}
