package lexicor.server.examinations.outcomes;

import java.util.HashMap;
import java.util.Map;
import lexicor.server.library.FindingsHere;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Counts what signed examinations have found. */
@Component
class SignedFindingCounts implements FindingsHere {

    private final JdbcTemplate database;

    SignedFindingCounts(JdbcTemplate database) {
        this.database = database;
    }

    @Override
    public Map<Pair, Long> counts() {
        Map<Pair, Long> counts = new HashMap<>();
        database.query(
                "select test_id, condition_id, count(distinct examination_id) from signed_finding"
                        + " group by test_id, condition_id",
                row -> {
                    counts.put(new Pair(row.getString(1), row.getString(2)), row.getLong(3));
                });
        return counts;
    }
}
