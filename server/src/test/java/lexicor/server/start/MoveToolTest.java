package lexicor.server.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.server.PrivateCluster;
import lexicor.server.backup.BackupArchive;
import lexicor.server.backup.RecordDatabase;
import lexicor.server.backup.SmallRecord;
import lexicor.server.database.RecordCopy;
import lexicor.server.database.Schema;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A clinic goes from its file into a server database and back, whole. */
class MoveToolTest {

    private static int made;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream faults = new ByteArrayOutputStream();

    @TempDir
    private Path folder;

    private Path password;
    private String server;

    @BeforeEach
    void make() throws IOException, SQLException {
        password = Files.writeString(
                folder.resolve("password"), PrivateCluster.get().password());
        server = PrivateCluster.get().database("moved_" + ++made);
    }

    private int move(String... places) {
        out.reset();
        faults.reset();
        List<String> arguments = new ArrayList<>(List.of("move"));
        arguments.addAll(List.of(places));
        arguments.add("--lexicor.database.password-file=" + password);
        return new MoveTool(new PrintStream(out, true), new PrintStream(faults, true))
                .run(arguments.toArray(String[]::new), Map.of());
    }

    private String said() {
        return out.toString(StandardCharsets.UTF_8) + faults.toString(StandardCharsets.UTF_8);
    }

    /** A record with a value of every kind, and rows that refer to later ones of their own table. */
    private Path clinic() throws SQLException {
        Path clinic = folder.resolve("clinic");
        try (Connection record = RecordDatabase.make(clinic);
                Statement statement = record.createStatement()) {
            for (String line : List.of(
                    "insert into case_file (id, code, created_at, birth_year, occupation) values"
                            + " ('00000000-0000-0000-0000-000000000001', 'MV-1', '2026-03-01 10:00:00.123456+02', 1970, 'Glasbläser, “Öfen” ≥ 2')",
                    "insert into episode (id, case_id, region, side, opened_at) values"
                            + " ('00000000-0000-0000-0000-000000000002', '00000000-0000-0000-0000-000000000001', 'elbow', 'LEFT', '2026-03-01 10:00:00+00')",
                    "set referential_integrity false",
                    "insert into examination (id, case_id, episode_id, follows_id, region, side, setting, author, started_at,"
                            + " catalogue_revision, evidence_revision, settings_revision) values"
                            + " ('00000000-0000-0000-0000-000000000003', '00000000-0000-0000-0000-000000000001',"
                            + " '00000000-0000-0000-0000-000000000002', '00000000-0000-0000-0000-000000000004', 'elbow', 'LEFT',"
                            + " 'FIRST_CONTACT', 'tarn', '2026-03-08 10:00:00+00', 'a', 'b', 'c')",
                    "insert into examination (id, case_id, episode_id, region, side, setting, author, started_at,"
                            + " catalogue_revision, evidence_revision, settings_revision) values"
                            + " ('00000000-0000-0000-0000-000000000004', '00000000-0000-0000-0000-000000000001',"
                            + " '00000000-0000-0000-0000-000000000002', 'elbow', 'LEFT',"
                            + " 'FIRST_CONTACT', 'tarn', '2026-03-01 10:00:00+00', 'a', 'b', 'c')",
                    "set referential_integrity true",
                    "insert into content_words (revision, kept_at, words) values ('r', '2026-03-01 10:00:00+00', repeat('long \"words\" ', 2000))",
                    "insert into server_secret (name, bytes) values ('s', X'00ff10')",
                    "insert into test_lap (examination_id, test_id, seconds) values ('00000000-0000-0000-0000-000000000003', 'el-mill', 0.1)",
                    "insert into signed_visit (examination_id, episode_id, version, signed_by, visit_day, setting, working, asked_for)"
                            + " values ('00000000-0000-0000-0000-000000000003', '00000000-0000-0000-0000-000000000002', 1, 'tarn',"
                            + " '2026-03-08', 'FIRST_CONTACT', '', '')",
                    "insert into audit_entry (at, author, action, subject, subject_id, detail) select"
                            + " '2026-03-01 10:00:00+00', 'tarn', 'SAW', 'case', 'x', '' from system_range(1, 1203)",
                    "delete from audit_entry where id = 7",
                    "insert into revision (id, at, author) values (41, 5, 'tarn')",
                    "update backup_plan set keep = 3")) {
                statement.execute(line);
            }
        }
        return clinic;
    }

    @Test
    void a_clinic_moves_into_a_server_database_and_back_and_is_the_same() throws SQLException {
        Path clinic = clinic();
        assertThat(move(clinic.toString(), server)).as(said()).isZero();
        assertThat(said()).contains("audit_entry", "1,202 rows", "read back and equal");
        try (Connection record = PrivateCluster.get().open(server);
                Statement statement = record.createStatement()) {
            assertThat(value(statement, "select occupation from case_file")).isEqualTo("Glasbläser, “Öfen” ≥ 2");
            assertThat(value(statement, "select created_at at time zone 'UTC' from case_file"))
                    .isEqualTo("2026-03-01 08:00:00.123456");
            assertThat(value(statement, "select length(words) from content_words"))
                    .isEqualTo("26000");
            assertThat(value(statement, "select encode(bytes, 'hex') from server_secret"))
                    .isEqualTo("00ff10");
            assertThat(value(statement, "select keep from backup_plan")).isEqualTo("3");
            assertThat(value(
                            statement,
                            "insert into audit_entry (at, author, action, subject, subject_id, detail)"
                                    + " values (now(), 'tarn', 'SAW', 'case', 'x', '') returning id"))
                    .as("numbered on")
                    .isEqualTo("1204");
            assertThat(value(statement, "select nextval('revision_seq')")).isEqualTo("42");
            statement.execute("delete from audit_entry where id = 1204");
        }

        Path back = folder.resolve("back");
        assertThat(move(server, back.toString())).as(said()).isZero();

        try (Connection before = RecordDatabase.open(clinic);
                Connection after = RecordDatabase.open(back)) {
            assertThat(RecordCopy.sums(after)).isEqualTo(RecordCopy.sums(before));
        }
        try (var left = Files.list(back)) {
            assertThat(left.map(each -> each.getFileName().toString())).containsExactly(RecordDatabase.FILE);
        } catch (IOException unreadable) {
            throw new IllegalStateException(unreadable);
        }
    }

    private static String value(Statement statement, String question) throws SQLException {
        try (ResultSet row = statement.executeQuery(question)) {
            row.next();
            return row.getString(1);
        }
    }

    @Test
    void the_copy_of_a_server_database_is_one_that_a_folder_takes_back() throws SQLException {
        Path clinic = clinic();
        assertThat(move(clinic.toString(), server)).as(said()).isZero();
        Path copy = folder.resolve("copy.zip");
        try (Connection record = PrivateCluster.get().open(server)) {
            BackupArchive.Taken taken =
                    BackupArchive.write(record, Instant.parse("2026-04-01T10:00:00Z"), copy, Optional.empty());
            assertThat(taken.manifest().contents().words()).contains("1 case, 2 examinations");
        }
        Path restored = folder.resolve("restored");
        BackupArchive.restore(copy, restored, Optional.empty(), Schema.known());
        try (Connection before = RecordDatabase.open(clinic);
                Connection after = RecordDatabase.open(restored)) {
            assertThat(RecordCopy.sums(after)).isEqualTo(RecordCopy.sums(before));
        }
    }

    @Test
    void what_cannot_be_moved_is_refused_in_words_and_stays() throws SQLException {
        assertThat(move("one", "two")).isEqualTo(2);
        assertThat(said()).contains("one folder and one jdbc:postgresql://HOST:PORT/NAME");
        assertThat(move(folder.resolve("nothing").toString(), server)).isEqualTo(4);
        assertThat(said()).contains("There is no record in");
        assertThat(move(server, folder.resolve("back").toString())).isEqualTo(4);
        assertThat(said()).contains("There is no record in jdbc:postgresql:");

        Path old = folder.resolve("old");
        SmallRecord.migrate(old, "9");
        assertThat(move(old.toString(), server)).isEqualTo(4);
        assertThat(said()).contains("has schema 9", "Start it once with this version");

        Path clinic = clinic();
        assertThat(move(clinic.toString(), server)).as(said()).isZero();
        assertThat(move(clinic.toString(), server)).isEqualTo(4);
        assertThat(said()).contains("holds tables already, and was left as it was");
        assertThat(move(server, clinic.toString())).isEqualTo(4);
        assertThat(said()).contains("is there already, and was left as it was");
        try (Connection other = PrivateCluster.get().open(server)) {
            assertThat(other.isValid(1)).isTrue();
            assertThat(move(server, folder.resolve("back").toString())).isEqualTo(4);
            assertThat(said()).contains("is in use by 1 connection.", "Stop the servers");
        }
    }
}
