package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.UUID;
import lexicor.core.catalogue.TestId;
import lexicor.server.BothDatabases;
import lexicor.server.examinations.planning.TestLaps;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** Times learnt from the record: the demo's examinations, timed as they were entered. */
@BothDatabases
class TestLapsTest extends AtTheBench {

    @Autowired
    private TestLaps laps;

    @Autowired
    private StandingKeeper standings;

    @Autowired
    private JdbcTemplate database;

    @Test
    void a_test_counts_once_it_was_timed_ten_times_and_then_by_its_median() {
        TestId rare = TestId.of("sh-kim");
        for (int i = 1; i <= 10; i++) {
            assertThat(laps.learnt()).as("after %d", i - 1).doesNotContainKey(rare);
            String id = therapist
                    .post(
                            "/api/cases",
                            Visit.start("LP-" + UUID.randomUUID().toString().substring(0, 8)),
                            201)
                    .get("id")
                    .asString();
            standings.settle();
            database.update(
                    "insert into test_lap values (?, ?, ?)",
                    UUID.fromString(id),
                    rare.value(),
                    i == 10 ? 500.0 : 20.0 + i);
            laps.kept();
        }
        assertThat(laps.learnt().get(rare)).isCloseTo(25.5, within(1e-9));
    }

    @Test
    void the_time_from_one_entry_to_the_next_is_kept_with_the_examination() {
        String id = therapist
                .post(
                        "/api/cases",
                        Visit.start("LP-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .get("id")
                .asString();
        send(id, visit.record("sh-arc", "pain=none"));
        send(id, visit.record("sh-er-resist", "pain=none"));
        Integer timed = database.queryForObject(
                "select count(*) from test_lap where examination_id = ?", Integer.class, UUID.fromString(id));
        assertThat(timed)
                .as("the first entry has none before it; the second came at once")
                .isZero();
    }
}
