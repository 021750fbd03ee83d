package lexicor.server.examinations;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.planning.Laps;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** How long tests take in this clinic, learnt from its own examinations. */
@Component
public class TestLaps {

    /** Examinations in which a test has to have been timed before its time counts. */
    private static final int ENOUGH = 10;

    private final Catalogue catalogue;
    private final JdbcTemplate database;

    TestLaps(Catalogue catalogue, JdbcTemplate database) {
        this.catalogue = catalogue;
        this.database = database;
    }

    /** Keeps the times of some tests of an examination as its record now gives them. */
    void keep(ExaminationService.Recorded recorded, Collection<TestId> tests) {
        if (tests.isEmpty()) {
            return;
        }
        UUID examination = recorded.row().getId();
        Map<TestId, Double> laps = Laps.of(catalogue, recorded.commands().stream().map(CommandJson::of).map(CommandJson::toCore).toList());
        for (TestId test : tests) {
            if (laps.containsKey(test)) {
                database.update("merge into test_lap key (examination_id, test_id) values (?, ?, ?)", examination, test.value(), laps.get(test));
            } else {
                database.update("delete from test_lap where examination_id = ? and test_id = ?", examination, test.value());
            }
        }
    }

    /** The median seconds of every test that was timed often enough. */
    public Map<TestId, Double> learnt() {
        Map<TestId, Double> learnt = new HashMap<>();
        database.query("select test_id, median(seconds) from test_lap group by test_id having count(*) >= ?", row -> {
            learnt.put(TestId.of(row.getString(1)), row.getDouble(2));
        }, ENOUGH);
        return learnt;
    }
}
