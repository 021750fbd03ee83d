package lexicor.server.library;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.server.accounts.AccountService;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.BadInput;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cards of tests and how they are read, as people have looked them through. */
@Service
public class CardReviews {

    private static final int LEAST_REASON = 3;
    private static final String REVIEWED = "reviewed";

    private final JdbcTemplate database;
    private final AccountService accounts;
    private final Clock clock;

    CardReviews(JdbcTemplate database, AccountService accounts, Clock clock) {
        this.database = database;
        this.accounts = accounts;
        this.clock = clock;
    }

    private record Kept(String test, String of, CardReviewJson.Verdict verdict) {}

    /** How every card stands, by the id of its test. */
    Map<String, CardState> states(Map<TestId, ExaminationTest> tests) {
        Map<String, CardState> states = new HashMap<>();
        tests.forEach((id, test) -> states.put(id.value(), shipped(test)));
        database.query(
                        "select test_id, of_card, verdict from card_review where number in"
                                + " (select max(number) from card_review group by test_id)",
                        (row, ordinal) -> new Kept(
                                row.getString(1), row.getString(2), CardReviewJson.Verdict.valueOf(row.getString(3))))
                .forEach(kept -> Optional.ofNullable(tests.get(TestId.of(kept.test())))
                        .ifPresent(test -> states.put(kept.test(), state(test, kept.of(), kept.verdict()))));
        return states;
    }

    /** As a card ships. */
    private static CardState shipped(ExaminationTest test) {
        return test.review().equals(REVIEWED) ? CardState.AGREED : CardState.DRAFTED;
    }

    private CardState state(ExaminationTest test, String of, CardReviewJson.Verdict verdict) {
        return of.equals(test.fingerprint()) ? CardState.valueOf(verdict.name()) : CardState.CHANGED_SINCE;
    }

    /** The last review of a card; empty where nobody has looked it through here. */
    Optional<CardReviewJson> last(ExaminationTest test) {
        return database
                .query(
                        "select * from card_review where test_id = ? order by number desc limit 1",
                        (row, ordinal) -> {
                            CardReviewJson.Verdict verdict = CardReviewJson.Verdict.valueOf(row.getString("verdict"));
                            return new CardReviewJson(
                                    state(test, row.getString("of_card"), verdict),
                                    verdict,
                                    row.getString("words"),
                                    accounts.displayName(row.getString("author")),
                                    row.getTimestamp("at").toInstant());
                        },
                        test.id().value())
                .stream()
                .findFirst();
    }

    /** Number of the last review of any card, so that what is kept ready can be known to be current. */
    long last() {
        Long last = database.queryForObject("select coalesce(max(number), 0) from card_review", Long.class);
        return last == null ? 0 : last;
    }

    /** Keeps a review, once however often it is sent. */
    @Transactional
    public void add(ExaminationTest test, CardReviewJson.CardReviewRequest request) {
        String words = request.words().strip();
        if (request.verdict() != CardReviewJson.Verdict.AGREED && words.length() < LEAST_REASON) {
            throw new BadInput("words", "allowed: what is doubtful or wrong, in 3 to 600 letters");
        }
        Integer known =
                database.queryForObject("select count(*) from card_review where id = ?", Integer.class, request.id());
        if (known != null && known > 0) {
            return;
        }
        database.update(
                "insert into card_review (id, test_id, of_card, verdict, words, author, at) values (?, ?, ?, ?, ?, ?, ?)",
                request.id(),
                test.id().value(),
                test.fingerprint(),
                request.verdict().name(),
                words,
                CurrentUser.isHere(),
                Timestamp.from(clock.instant()));
    }
}
