package lexicor.server.examinations.planning;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.planning.Laps;
import lexicor.server.examinations.record.Recorded;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How long tests take in this clinic, learnt from its own examinations. */
@Component
public class TestLaps {

    private final Catalogue catalogue;
    private final JdbcTemplate database;
    private final int enough;
    private final AtomicReference<Map<TestId, Double>> learnt = new AtomicReference<>();

    /** @param enough examinations in which a test has to have been timed before its time counts */
    TestLaps(Catalogue catalogue, JdbcTemplate database, @Value("${lexicor.times.enough}") int enough) {
        this.catalogue = catalogue;
        this.database = database;
        this.enough = enough;
    }

    /** Keeps the times of the tests of an examination as its record now gives them. */
    @Transactional
    public void keep(Recorded recorded) {
        UUID examination = recorded.row().getId();
        Map<TestId, Double> laps = Laps.of(catalogue, recorded.history().commands());
        database.update("delete from test_lap where examination_id = ?", examination);
        database.batchUpdate(
                "insert into test_lap (examination_id, test_id, seconds) values (?, ?, ?)",
                laps.entrySet().stream()
                        .map(lap -> new Object[] {examination, lap.getKey().value(), lap.getValue()})
                        .toList());
    }

    /** Times were kept: what is learnt is read anew when it is next asked for. */
    public void kept() {
        learnt.set(null);
    }

    /** The median seconds of every test that was timed often enough. Read once, and again when a time was added. */
    public Map<TestId, Double> learnt() {
        Map<TestId, Double> known = learnt.get();
        if (known == null) {
            known = Map.copyOf(read());
            learnt.set(known);
        }
        return known;
    }

    private Map<TestId, Double> read() {
        Map<TestId, Double> learnt = new HashMap<>();
        database.query(
                "select test_id, percentile_cont(0.5) within group (order by seconds) from test_lap group by test_id having count(*) >= ?",
                row -> {
                    learnt.put(TestId.of(row.getString(1)), row.getDouble(2));
                },
                enough);
        return learnt;
    }
}
