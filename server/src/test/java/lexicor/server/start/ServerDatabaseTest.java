package lexicor.server.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import lexicor.server.PrivateCluster;
import lexicor.server.database.Schema;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A server database that cannot be worked with is refused in one line that says what to do. */
class ServerDatabaseTest {

    private static final Map<String, String> NOTHING = Map.of();

    @TempDir
    private Path folder;

    private Path secret(String words) throws IOException {
        return Files.writeString(folder.resolve("secret"), words + "\n");
    }

    private static String refused(ServerDatabase database, int exitCode) {
        RecordFile.Refusal refusal = database.refusal().orElseThrow();
        assertThat(refusal.exitCode()).as(refusal.line()).isEqualTo(exitCode);
        assertThat(refusal.line()).doesNotContain("Exception", "\n").endsWith(".");
        return refusal.line();
    }

    @Test
    void the_call_names_it_or_else_the_environment() {
        assertThat(ServerDatabase.of(new String[] {"--server.port=1"}, NOTHING)).isEmpty();
        assertThat(ServerDatabase.of(new String[] {"--lexicor.database.address="}, NOTHING))
                .isEmpty();
        assertThat(ServerDatabase.of(
                        new String[] {"--lexicor.database.user=them"},
                        Map.of(
                                "LEXICOR_DATABASE_ADDRESS",
                                "jdbc:postgresql://a/b",
                                "LEXICOR_DATABASE_USER",
                                "us",
                                "LEXICOR_DATABASE_PASSWORDFILE",
                                "/secret")))
                .contains(new ServerDatabase("jdbc:postgresql://a/b", "them", "/secret"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"jdbc:oracle:thin:x", "postgresql://host/name", "jdbc:postgresql://host", "jdbc:h2:file:x"})
    void an_address_of_another_kind_is_refused(String address) {
        assertThat(refused(new ServerDatabase(address, "lexicor", ""), 2))
                .contains("'" + address + "'; allowed: jdbc:postgresql://HOST:PORT/NAME");
    }

    @Test
    void a_password_does_not_belong_into_the_address() {
        assertThat(refused(new ServerDatabase("jdbc:postgresql://h/n?password=open", "lexicor", ""), 2))
                .contains("--database-password-file")
                .doesNotContain("open");
    }

    @Test
    void what_refuses_or_is_not_there_is_told_apart() throws IOException {
        PrivateCluster cluster = PrivateCluster.get();
        String right = secret(cluster.password()).toString();
        assertThat(refused(new ServerDatabase(cluster.address("nowhere"), PrivateCluster.USER, right), 6))
                .contains("There is no database", "createdb");
        assertThat(refused(new ServerDatabase("jdbc:postgresql://127.0.0.1:1/x", PrivateCluster.USER, right), 6))
                .contains("cannot be reached");
        assertThat(refused(new ServerDatabase(cluster.address("postgres"), PrivateCluster.USER, "/no/file"), 6))
                .contains("/no/file with the password of the database cannot be read");
        String wrong = secret("wrong").toString();
        assertThat(refused(new ServerDatabase(cluster.address("postgres"), PrivateCluster.USER, wrong), 6))
                .contains("refuses the user lexicor or the password")
                .doesNotContain("wrong");
    }

    @Test
    void a_record_of_a_newer_version_is_refused_and_one_of_this_version_taken() throws IOException, SQLException {
        PrivateCluster cluster = PrivateCluster.get();
        String address = cluster.database("newer");
        ServerDatabase database = new ServerDatabase(
                address, PrivateCluster.USER, secret(cluster.password()).toString());
        assertThat(database.refusal()).as("an empty one").isEmpty();
        database.migrate();
        assertThat(database.refusal()).isEmpty();
        try (Connection record = cluster.open(address);
                Statement statement = record.createStatement()) {
            statement.execute("update flyway_schema_history set version = '" + (Schema.known() + 2) + "'");
        }
        assertThat(refused(database, 5)).contains("newer Lexicor (schema " + (Schema.known() + 2));
    }

    @Test
    void one_server_has_it_until_that_one_ends() throws IOException, SQLException {
        PrivateCluster cluster = PrivateCluster.get();
        ServerDatabase database = new ServerDatabase(
                cluster.database("held"),
                PrivateCluster.USER,
                secret(cluster.password()).toString());
        try (Connection first = database.hold().orElseThrow()) {
            assertThat(first.isValid(1)).isTrue();
            RecordFile.Refusal refusal = database.refusalToHold().orElseThrow();
            assertThat(refusal.exitCode()).isEqualTo(3);
            assertThat(refusal.line()).contains("in use by another server");
        }
        try (Connection next = database.hold().orElseThrow()) {
            assertThat(next.isValid(1)).isTrue();
        }
    }

    @Test
    void words_are_kept_in_one_encoding() throws IOException, SQLException {
        PrivateCluster cluster = PrivateCluster.get();
        String secret = secret(cluster.password()).toString();
        try (Connection record = cluster.open(cluster.address("postgres"));
                Statement statement = record.createStatement()) {
            statement.execute("create database latin encoding 'LATIN1' lc_collate 'C' lc_ctype 'C' template template0");
        }
        assertThat(refused(new ServerDatabase(cluster.address("latin"), PrivateCluster.USER, secret), 6))
                .contains("LATIN1", "allowed: UTF8");
    }
}
