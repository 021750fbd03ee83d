package lexicor.server.practice;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;

/** Classes, their members and what is set, as they are kept. */
@Component
class ClassStore {

    /** A class; {@code teacher} is a sign-in name. */
    record ClassRow(UUID id, String name, String joinCode, String teacher) {}

    /** Cases set together. */
    record SeriesRow(UUID id, UUID ofClass, String name) {}

    /** A case that is set. */
    record SetRow(UUID series, int place, String title, String region, String written) {}

    private static final RowMapper<ClassRow> CLASS = (row, number) -> new ClassRow(
            row.getObject("id", UUID.class),
            row.getString("name"),
            row.getString("join_code"),
            row.getString("teacher"));

    private static final RowMapper<SeriesRow> SERIES = (row, number) -> new SeriesRow(
            row.getObject("id", UUID.class), row.getObject("class_id", UUID.class), row.getString("name"));

    private static final RowMapper<SetRow> SET = (row, number) -> new SetRow(
            row.getObject("series_id", UUID.class),
            row.getInt("place"),
            row.getString("title"),
            row.getString("region"),
            row.getString("written"));

    private final JdbcTemplate database;

    ClassStore(JdbcTemplate database) {
        this.database = database;
    }

    void add(ClassRow row, Instant at) {
        database.update(
                "insert into practice_class (id, name, join_code, teacher, made_at) values (?, ?, ?, ?, ?)",
                row.id(),
                row.name(),
                row.joinCode(),
                row.teacher(),
                Timestamp.from(at));
    }

    /** Those that somebody teaches or is a member of, by name. */
    List<ClassRow> of(String person) {
        return database.query(
                "select * from practice_class where teacher = ? or id in (select class_id from practice_member"
                        + " where member = ?) order by name, id",
                CLASS,
                person,
                person);
    }

    Optional<ClassRow> of(UUID id) {
        return database.query("select * from practice_class where id = ?", CLASS, id).stream()
                .findFirst();
    }

    Optional<ClassRow> byCode(String code) {
        return database.query("select * from practice_class where join_code = ?", CLASS, code).stream()
                .findFirst();
    }

    /** Sign-in names, in order. */
    List<String> members(UUID id) {
        return database.queryForList(
                "select member from practice_member where class_id = ? order by member", String.class, id);
    }

    void join(UUID id, String member, Instant at) {
        leave(id, member);
        database.update(
                "insert into practice_member (class_id, member, joined_at) values (?, ?, ?)",
                id,
                member,
                Timestamp.from(at));
    }

    void leave(UUID id, String member) {
        database.update("delete from practice_member where class_id = ? and member = ?", id, member);
    }

    void add(SeriesRow row, List<SetRow> cases, Instant at) {
        database.update(
                "insert into practice_series (id, class_id, name, made_at) values (?, ?, ?, ?)",
                row.id(),
                row.ofClass(),
                row.name(),
                Timestamp.from(at));
        cases.forEach(each -> database.update(
                "insert into practice_series_case (series_id, place, title, region, written) values (?, ?, ?, ?, ?)",
                each.series(),
                each.place(),
                each.title(),
                each.region(),
                each.written()));
    }

    List<SeriesRow> series(UUID ofClass) {
        return database.query(
                "select * from practice_series where class_id = ? order by made_at desc, id", SERIES, ofClass);
    }

    Optional<SeriesRow> oneSeries(UUID id) {
        return database.query("select * from practice_series where id = ?", SERIES, id).stream()
                .findFirst();
    }

    List<SetRow> cases(UUID series) {
        return database.query("select * from practice_series_case where series_id = ? order by place", SET, series);
    }

    void removeSeries(UUID id) {
        database.update("delete from practice_series where id = ?", id);
    }

    void remove(UUID id) {
        database.update("delete from practice_class where id = ?", id);
    }
}
