package lexicor.server.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;

/** A record in a file, of any schema that was ever released. */
public final class SmallRecord {

    private SmallRecord() {}

    static String address(Path data) {
        return "jdbc:h2:file:" + data.toAbsolutePath().resolve("lexicor");
    }

    public static Connection open(Path data) throws SQLException {
        return DriverManager.getConnection(address(data), "lexicor", "");
    }

    /** Makes an empty record, or brings one to a schema. */
    public static void migrate(Path data, String schema) {
        Flyway.configure()
                .dataSource(address(data), "lexicor", "")
                .locations("classpath:db/h2")
                .target(schema)
                .load()
                .migrate();
    }

    /** Enters something that can be told apart and is of no kind that a migration changes. */
    public static void enter(Connection record, int... numbers) throws SQLException {
        try (Statement statement = record.createStatement()) {
            for (int number : numbers) {
                statement.execute(
                        "insert into clinic_setting (name, chosen) values ('kept." + number + "', '" + number + "')");
            }
        }
    }

    /** Everything that a record holds, line by line. */
    static List<String> everything(Path data) throws SQLException {
        try (Connection record = open(data);
                Statement statement = record.createStatement();
                ResultSet lines = statement.executeQuery("script nopasswords nosettings")) {
            List<String> all = new ArrayList<>();
            while (lines.next()) {
                all.add(lines.getString(1));
            }
            return all;
        }
    }

    /** The settings that {@link #enter} made, in order. */
    public static List<String> entered(Path data) throws SQLException {
        try (Connection record = open(data);
                Statement statement = record.createStatement();
                ResultSet rows = statement.executeQuery(
                        "select chosen from clinic_setting where name like 'kept.%' order by name")) {
            List<String> all = new ArrayList<>();
            while (rows.next()) {
                all.add(rows.getString(1));
            }
            return all;
        }
    }

    /** Names of what lies in a folder, in order. */
    static List<String> names(Path folder) {
        try (Stream<Path> all = Files.list(folder)) {
            return all.map(each -> each.getFileName().toString()).sorted().toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
