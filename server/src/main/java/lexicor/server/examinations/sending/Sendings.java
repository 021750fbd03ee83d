package lexicor.server.examinations.sending;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;

/** The receiver, and everything that was asked to be sent, as it is kept. */
@Component
class Sendings {

    private static final int LONGEST = 600;
    private static final int MOST_AT_ONCE = 20;

    private static final RowMapper<Sending> ROW = (row, number) -> new Sending(
            row.getObject("id", UUID.class),
            row.getObject("examination_id", UUID.class),
            row.getObject("signature_id", UUID.class),
            new Receiver(row.getString("called"), row.getString("address")),
            row.getBoolean("with_name"),
            row.getString("author"),
            row.getTimestamp("asked_at").toInstant(),
            Sending.State.valueOf(row.getString("state")),
            row.getInt("tries"),
            row.getTimestamp("next_at").toInstant(),
            Optional.ofNullable(row.getTimestamp("done_at")).map(Timestamp::toInstant),
            row.getString("said"));

    private final JdbcTemplate database;

    Sendings(JdbcTemplate database) {
        this.database = database;
    }

    Optional<Receiver> receiver() {
        return database
                .query(
                        "select called, address from receiver",
                        (row, number) -> new Receiver(row.getString("called"), row.getString("address")))
                .stream()
                .findFirst();
    }

    /**
     * Puts a receiver in the place of the one before; without one nothing is sent any more. What waits for another
     * address is given up.
     */
    void decide(Optional<Receiver> receiver, Instant now) {
        database.update("delete from receiver");
        database.update(
                "update sending set state = 'REFUSED', said = 'It does not receive any more.', done_at = ?"
                        + " where state = 'WAITING' and address <> ?",
                Timestamp.from(now),
                receiver.map(Receiver::address).orElse(""));
        receiver.ifPresent(each -> database.update(
                "insert into receiver (only_one, called, address) values (1, ?, ?)", each.called(), each.address()));
    }

    /** Those of an examination, the last asked for first. */
    List<Sending> of(UUID examination) {
        return database.query(
                "select * from sending where examination_id = ? order by asked_at desc, id", ROW, examination);
    }

    /** Those to be tried now, the longest waiting first. */
    List<Sending> due(Instant now) {
        return database.query(
                "select * from sending where state = 'WAITING' and next_at <= ? order by next_at limit " + MOST_AT_ONCE,
                ROW,
                Timestamp.from(now));
    }

    /** Adds one, unless the same version was asked to go to the same address before. */
    void add(Sending sending) {
        if (isAskedFor(sending)) {
            return; // what became of it is what the person is shown
        }
        database.update(
                "insert into sending (id, examination_id, signature_id, called, address, with_name, author, asked_at,"
                        + " state, tries, next_at, said) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                sending.id(),
                sending.examination(),
                sending.signature(),
                sending.receiver().called(),
                sending.receiver().address(),
                sending.withName(),
                sending.author(),
                Timestamp.from(sending.askedAt()),
                sending.state().name(),
                sending.tries(),
                Timestamp.from(sending.nextAt()),
                sending.said());
    }

    private boolean isAskedFor(Sending sending) {
        return !database.queryForList(
                        "select id from sending where signature_id = ? and address = ?",
                        UUID.class,
                        sending.signature(),
                        sending.receiver().address())
                .isEmpty();
    }

    /** Notes before a try when the next would be, so that a try which nobody lives to see the end of is made again. */
    void tried(Sending sending, Instant next) {
        database.update(
                "update sending set tries = tries + 1, next_at = ? where id = ?", Timestamp.from(next), sending.id());
    }

    /** What a try came to. */
    void became(Sending sending, Sending.State state, String said, Instant at) {
        database.update(
                "update sending set state = ?, said = ?, done_at = ? where id = ?",
                state.name(),
                said.substring(0, Math.min(said.length(), LONGEST)),
                state == Sending.State.WAITING ? null : Timestamp.from(at),
                sending.id());
    }

    /** Lets those of an examination that have not arrived at a receiver be tried at once. */
    void again(UUID examination, Receiver receiver, Instant now) {
        database.update(
                "update sending set state = 'WAITING', next_at = ?, done_at = null"
                        + " where examination_id = ? and address = ? and state <> 'ARRIVED'",
                Timestamp.from(now),
                examination,
                receiver.address());
    }
}
