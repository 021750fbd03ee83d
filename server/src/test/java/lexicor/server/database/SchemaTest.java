package lexicor.server.database;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.TreeSet;
import lexicor.server.PrivateCluster;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The embedded database and the server database hold the same record. */
class SchemaTest {

    private static Connection file;
    private static Connection server;

    @BeforeAll
    static void migrate(@TempDir Path folder) throws SQLException {
        String address = "jdbc:h2:mem:schema;DB_CLOSE_DELAY=-1";
        Schema.H2.migrate(address, PrivateCluster.USER, "");
        file = DriverManager.getConnection(address, PrivateCluster.USER, "");
        String database = PrivateCluster.get().database("schema");
        Schema.POSTGRESQL.migrate(
                database, PrivateCluster.USER, PrivateCluster.get().password());
        server = PrivateCluster.get().open(database);
    }

    @AfterAll
    static void close() throws SQLException {
        file.close();
        server.close();
    }

    @Test
    void both_know_their_kind_and_the_same_last_migration() throws SQLException {
        assertThat(Schema.of(file)).isEqualTo(Schema.H2);
        assertThat(Schema.of(server)).isEqualTo(Schema.POSTGRESQL);
        assertThat(Schema.POSTGRESQL.last()).isEqualTo(Schema.known());
        assertThat(Schema.in(file)).isEqualTo(OptionalInt.of(Schema.known()));
        assertThat(Schema.in(server)).isEqualTo(OptionalInt.of(Schema.known()));
    }

    @Test
    void both_have_the_same_tables_columns_keys_and_references() throws SQLException {
        assertThat(Table.all(server)).containsExactlyInAnyOrderElementsOf(Table.all(file));
        assertThat(Table.all(server)).hasSizeGreaterThan(40);
    }

    @Test
    void both_allow_the_same_lengths_and_gaps() throws SQLException {
        assertThat(limits(server)).isEqualTo(limits(file));
    }

    @Test
    void both_look_up_and_keep_apart_by_the_same_columns() throws SQLException {
        assertThat(indexes(server)).isEqualTo(indexes(file));
    }

    private static Map<String, String> limits(Connection record) throws SQLException {
        Map<String, String> limits = new TreeMap<>();
        try (ResultSet rows = record.getMetaData().getColumns(null, record.getSchema(), "%", "%")) {
            while (rows.next()) {
                String table = rows.getString("TABLE_NAME").toLowerCase(Locale.ROOT);
                if (table.equals(Schema.HISTORY)) {
                    continue;
                }
                int size = rows.getInt("COLUMN_SIZE");
                boolean words =
                        rows.getString("TYPE_NAME").toLowerCase(Locale.ROOT).matches("varchar|character varying");
                limits.put(
                        table + "." + rows.getString("COLUMN_NAME").toLowerCase(Locale.ROOT),
                        (words ? "up to " + size + " " : "") + rows.getString("IS_NULLABLE"));
            }
        }
        return limits;
    }

    /**
     * The columns of every index, the unique ones marked; one that begins another of the same table stands for itself.
     */
    private static Map<String, TreeSet<String>> indexes(Connection record) throws SQLException {
        DatabaseMetaData data = record.getMetaData();
        Map<String, TreeSet<String>> all = new TreeMap<>();
        for (Table table : Table.all(record)) {
            String name = Schema.of(record) == Schema.H2 ? table.name().toUpperCase(Locale.ROOT) : table.name();
            Map<String, String> columns = new TreeMap<>();
            try (ResultSet rows = data.getIndexInfo(null, record.getSchema(), name, false, false)) {
                while (rows.next()) {
                    columns.merge(
                            rows.getString("INDEX_NAME"),
                            (rows.getBoolean("NON_UNIQUE") ? "" : "unique ")
                                    + rows.getString("COLUMN_NAME").toLowerCase(Locale.ROOT),
                            (before, after) -> before + ", " + after.replace("unique ", ""));
                }
            }
            TreeSet<String> found = new TreeSet<>(columns.values());
            found.removeIf(one -> found.stream()
                    .anyMatch(other -> other.replace("unique ", "").startsWith(one + ", ")));
            all.put(table.name(), found);
        }
        return all;
    }
}
