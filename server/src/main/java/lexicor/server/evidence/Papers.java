package lexicor.server.evidence;

import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.RecordId;
import lexicor.server.accounts.AccountService;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.NotFound;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Original papers kept with records of the ledger, as PDF. */
@Service
public class Papers {

    private static final int MOST_OF_A_RECORD = 5;
    private static final byte[] BEGIN = "%PDF-".getBytes(StandardCharsets.US_ASCII);
    private static final String END = "%%EOF";

    /** Where the end has to stand: in the last bytes of the file. */
    private static final int TAIL = 2048;

    private static final String ALL =
            "select id, record_id, name, size, author, at, removed_by, removed_at from ledger_paper ";

    private final JdbcTemplate database;
    private final LivingEvidence living;
    private final AccountService accounts;
    private final Clock clock;

    Papers(JdbcTemplate database, LivingEvidence living, AccountService accounts, Clock clock) {
        this.database = database;
        this.living = living;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** Papers of a record, those taken away among them, the latest first. */
    List<PaperJson> of(String record) {
        return database.query(
                ALL + "where record_id = ? order by at desc",
                this::paper,
                known(record).value());
    }

    /**
     * Keeps a paper, once however often it is sent.
     *
     * @param id given by the page
     */
    @Transactional
    public List<PaperJson> add(String record, UUID id, String name, byte[] content) {
        RecordId known = known(record);
        if (name.isBlank() || name.length() > 200) {
            throw new BadInput("name", "allowed: the name of a file, 1 to 200 letters");
        }
        if (!isPdf(content)) {
            throw new BadInput("file", "is no PDF; allowed: a whole PDF of at most 10 MB");
        }
        List<PaperJson> before = of(record);
        if (before.stream().noneMatch(paper -> paper.id().equals(id))) {
            if (before.stream().filter(paper -> paper.removed() == null).count() >= MOST_OF_A_RECORD) {
                throw new BadInput(
                        "file",
                        "record " + known + " has " + MOST_OF_A_RECORD + " papers; allowed: at most " + MOST_OF_A_RECORD
                                + ", so take one away first");
            }
            database.update(
                    "insert into ledger_paper (id, record_id, name, size, content, author, at) values (?, ?, ?, ?, ?, ?, ?)",
                    id,
                    known.value(),
                    name.strip(),
                    content.length,
                    content,
                    CurrentUser.isHere(),
                    Timestamp.from(clock.instant()));
        }
        return of(record);
    }

    /** Takes a paper away; its line stays. */
    @Transactional
    public void remove(UUID id) {
        int removed = database.update(
                "update ledger_paper set content = null, removed_by = ?, removed_at = ? where id = ? and removed_at is null",
                CurrentUser.isHere(),
                Timestamp.from(clock.instant()),
                id);
        if (removed == 0) {
            throw missing(id);
        }
    }

    /** @param name of the file */
    record Content(String name, byte[] bytes) {}

    Content content(UUID id) {
        return database
                .query(
                        "select name, content from ledger_paper where id = ? and removed_at is null",
                        (row, number) -> new Content(row.getString(1), row.getBytes(2)),
                        id)
                .stream()
                .findFirst()
                .orElseThrow(() -> missing(id));
    }

    private static NotFound missing(UUID id) {
        return new NotFound("There is no paper " + id + " with the ledger, or it was taken away.");
    }

    private RecordId known(String record) {
        return living.evidence().records().stream()
                .map(AccuracyRecord::id)
                .filter(id -> id.value().equals(record))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no record " + record + " in the ledger."));
    }

    /** Whether it begins and ends as a PDF does. */
    static boolean isPdf(byte[] content) {
        if (content.length < BEGIN.length || !Arrays.equals(Arrays.copyOf(content, BEGIN.length), BEGIN)) {
            return false;
        }
        int from = Math.max(0, content.length - TAIL);
        return new String(content, from, content.length - from, StandardCharsets.ISO_8859_1).contains(END);
    }

    private PaperJson paper(ResultSet row, int number) throws SQLException {
        Timestamp removed = row.getTimestamp("removed_at");
        return new PaperJson(
                row.getObject("id", UUID.class),
                row.getString("name"),
                row.getInt("size"),
                accounts.displayName(row.getString("author")),
                row.getTimestamp("at").toInstant(),
                removed == null
                        ? null
                        : new PaperJson.RemovedJson(
                                accounts.displayName(row.getString("removed_by")), removed.toInstant()));
    }
}
