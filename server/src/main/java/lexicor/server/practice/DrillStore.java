package lexicor.server.practice;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import lexicor.core.drills.Drill;
import lexicor.core.drills.LeitnerBox;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;

/** What people have drilled, as it is kept. */
@Component
class DrillStore {

    /**
     * An item that was asked.
     *
     * @param asked how often
     * @param missed how often it was not answered rightly
     */
    record Row(Drill.Item item, LeitnerBox box, int asked, int missed) {}

    private static final RowMapper<Row> ROW = (row, number) -> new Row(
            new Drill.Item(Drill.Kind.valueOf(row.getString("kind")), row.getString("region"), row.getString("about")),
            new LeitnerBox(row.getInt("box"), row.getObject("due", LocalDate.class)),
            row.getInt("asked"),
            row.getInt("missed"));

    private final JdbcTemplate database;

    DrillStore(JdbcTemplate database) {
        this.database = database;
    }

    List<Row> of(String owner) {
        return database.query("select * from practice_item where owner = ? order by due, about", ROW, owner);
    }

    Optional<Row> of(String owner, Drill.Item item) {
        return database
                .query(
                        "select * from practice_item where owner = ? and kind = ? and region = ? and about = ?",
                        ROW,
                        owner,
                        item.kind().name(),
                        item.region(),
                        item.about())
                .stream()
                .findFirst();
    }

    void keep(String owner, Row row) {
        database.update(
                "delete from practice_item where owner = ? and kind = ? and region = ? and about = ?",
                owner,
                row.item().kind().name(),
                row.item().region(),
                row.item().about());
        database.update(
                "insert into practice_item (owner, kind, region, about, box, due, asked, missed)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?)",
                owner,
                row.item().kind().name(),
                row.item().region(),
                row.item().about(),
                row.box().box(),
                row.box().due(),
                row.asked(),
                row.missed());
    }
}
