package lexicor.server.evidence;

import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.stream.IntStream;
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

    private static final Map<Class<? extends LedgerChange>, Kind> KINDS = Map.of(
            LedgerChange.Entered.class,
            Kind.ENTERED,
            LedgerChange.Withdrawn.class,
            Kind.WITHDRAWN,
            LedgerChange.Restored.class,
            Kind.RESTORED,
            LedgerChange.AsShipped.class,
            Kind.AS_SHIPPED,
            LedgerChange.Reviewed.class,
            Kind.REVIEWED,
            LedgerChange.Proposed.class,
            Kind.PROPOSED,
            LedgerChange.Agreed.class,
            Kind.AGREED,
            LedgerChange.Declined.class,
            Kind.DECLINED,
            LedgerChange.Policy.class,
            Kind.POLICY);

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
        REVIEWED,
        PROPOSED,
        AGREED,
        DECLINED,
        POLICY
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
            return KINDS.get(change.getClass());
        }

        /** Id of the record that was changed; empty where the change is about all of them. */
        String record() {
            return change instanceof LedgerChange.OfRecord about
                    ? about.record().value()
                    : "";
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
                kept.record(),
                kept.kind().name(),
                entry(change),
                change instanceof LedgerChange.Reviewed reviewed ? json.writeValueAsString(reviewed.review()) : null,
                change instanceof LedgerChange.Says now ? now.basis() : "",
                kept.why(),
                kept.author(),
                Timestamp.from(kept.at()));
        database.update("update ledger_turn set last_change = ? where id = 1", kept.number());
    }

    private @Nullable String entry(LedgerChange change) {
        if (change instanceof LedgerChange.Says now) {
            return json.writeValueAsString(StoredEntry.of(now.entry()));
        }
        return change instanceof LedgerChange.Policy now
                ? json.writeValueAsString(StoredPolicy.of(now.policy()))
                : null;
    }

    /** Whether changes that were asked for together were made. */
    boolean made(UUID request) {
        return find(together(request, 0)).isPresent();
    }

    private static UUID together(UUID request, int place) {
        return UUID.nameUUIDFromBytes((request + " " + place).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Changes that are asked for together, to be added behind the last one.
     *
     * @param request that asks for them, by which {@link #made} knows them
     * @param last number of the last change
     * @param author sign-in name
     */
    static List<Kept> together(
            UUID request, long last, List<? extends LedgerChange> changes, String why, String author, Instant at) {
        return IntStream.range(0, changes.size())
                .mapToObj(place ->
                        new Kept(last + 1 + place, together(request, place), changes.get(place), why, author, at))
                .toList();
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

    /** Changes of how studies are put together, the latest first. */
    List<Kept> policies() {
        return database.query(ALL + "where record_id = '' order by number desc", this::kept);
    }

    /** The last proposal of each record that has one, in order. */
    List<Kept> proposals() {
        return database.query(
                ALL
                        + "where number in (select max(number) from ledger_change where kind = 'PROPOSED' group by record_id)"
                        + " order by number",
                this::kept);
    }

    /** Keeps that the ledger had a revision after so many changes. */
    void register(String revision, long changes) {
        if (database.update("update evidence_revision set changes = ? where revision = ?", changes, revision) == 0) {
            database.update("insert into evidence_revision (revision, changes) values (?, ?)", revision, changes);
        }
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
        return new Kept(
                row.getLong("number"),
                row.getObject("id", UUID.class),
                change(row),
                row.getString("why"),
                row.getString("author"),
                row.getTimestamp("at").toInstant());
    }

    private LedgerChange change(ResultSet row) throws SQLException {
        Kind kind = Kind.valueOf(row.getString("kind"));
        return kind == Kind.POLICY
                ? new LedgerChange.Policy(
                        read(row.getString("entry"), StoredPolicy.class).policy())
                : change(kind, RecordId.of(row.getString("record_id")), row);
    }

    private LedgerChange change(Kind kind, RecordId record, ResultSet row) throws SQLException {
        return switch (kind) {
            case ENTERED ->
                new LedgerChange.Entered(
                        read(row.getString("entry"), StoredEntry.class).entry(record), row.getString("basis"));
            case PROPOSED ->
                new LedgerChange.Proposed(
                        read(row.getString("entry"), StoredEntry.class).entry(record), row.getString("basis"));
            case AGREED -> new LedgerChange.Agreed(record);
            case DECLINED -> new LedgerChange.Declined(record, row.getString("why"));
            case WITHDRAWN -> new LedgerChange.Withdrawn(record, row.getString("why"));
            case RESTORED -> new LedgerChange.Restored(record);
            case AS_SHIPPED -> new LedgerChange.AsShipped(record);
            case REVIEWED -> new LedgerChange.Reviewed(record, read(row.getString("review"), Review.class));
            case POLICY -> throw new IllegalStateException("read above");
        };
    }

    private <T> T read(@Nullable String text, Class<T> type) {
        return json.readValue(text, type);
    }
}
