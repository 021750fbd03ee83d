package lexicor.server.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import lexicor.server.database.Schema;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A record that cannot be worked with is refused in one line, and is left as it is. */
class RecordFileTest {

    @TempDir
    private Path data;

    private Path file;

    @BeforeEach
    void name() {
        file = data.resolve("lexicor.mv.db");
    }

    @Test
    void a_folder_without_a_record_is_no_fault() {
        assertThat(RecordFile.in(data).refusal()).isEmpty();
        assertThat(file).doesNotExist();
    }

    @Test
    void a_record_of_this_version_is_taken() throws SQLException {
        write(Schema.known());
        assertThat(RecordFile.in(data).refusal()).isEmpty();
    }

    @Test
    void an_empty_file_never_becomes_a_new_clinic() throws IOException {
        Files.createFile(file);
        assertRefused(4, "is empty", "last backup");
        assertThat(Files.size(file)).isZero();
    }

    @Test
    void a_cut_file_is_damaged_and_stays_as_it_is() throws SQLException, IOException {
        write(Schema.known());
        byte[] whole = Files.readAllBytes(file);
        byte[] cut = java.util.Arrays.copyOf(whole, 5000);
        Files.write(file, cut);
        assertRefused(4, "damaged", "last backup");
        assertThat(Files.readAllBytes(file)).isEqualTo(cut);
    }

    @Test
    void a_file_of_another_kind_is_damaged() throws IOException {
        Files.writeString(file, "not a record at all, but long enough to be taken for one\n".repeat(500));
        assertRefused(4, "damaged", "last backup");
    }

    @Test
    void a_record_of_a_newer_version_names_both() throws SQLException {
        write(Schema.known() + 3);
        assertRefused(5, "newer Lexicor", "schema " + (Schema.known() + 3));
    }

    @Test
    void a_record_that_another_server_works_with_says_so() throws Exception {
        write(Schema.known());
        Process other = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Holder.class.getName(),
                        "jdbc:h2:file:" + data.resolve("lexicor"))
                .redirectErrorStream(true)
                .start();
        try {
            assertThat(other.inputReader().readLine()).isEqualTo("holding");
            assertRefused(3, "in use by another server", "--data");
        } finally {
            other.destroy();
        }
    }

    /** Another program that has the record open. */
    static final class Holder {

        private Holder() {}

        public static void main(String[] arguments) throws Exception {
            try (Connection connection = DriverManager.getConnection(arguments[0], "lexicor", "")) {
                System.out.println("holding");
                System.in.read();
            }
        }
    }

    private void assertRefused(int exitCode, String... words) {
        Optional<RecordFile.Refusal> refusal = RecordFile.in(data).refusal();
        assertThat(refusal).isPresent();
        assertThat(refusal.get().exitCode()).isEqualTo(exitCode);
        assertThat(refusal.get().line())
                .contains(words)
                .contains(file.toString())
                .doesNotContain("\n", "Exception");
    }

    private void write(int version) throws SQLException {
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + data.resolve("lexicor"), "lexicor", "");
                Statement statement = connection.createStatement()) {
            statement.execute("create table \"flyway_schema_history\" (\"version\" varchar(50), \"success\" boolean)");
            statement.execute("insert into \"flyway_schema_history\" values ('" + version + "', true)");
            statement.execute("create table filler as select x, repeat('words ', 200) from system_range(1, 2000)");
        }
    }
}
