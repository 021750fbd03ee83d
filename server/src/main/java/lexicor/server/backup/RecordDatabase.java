package lexicor.server.backup;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.OptionalInt;

/** A record as a database in a folder, opened beside the server or without one. */
public final class RecordDatabase {

    /** What the file of the database is called in every folder. */
    public static final String FILE = "lexicor.mv.db";

    /** H2's error code where another program has the file open. */
    public static final int IN_USE = 90020;

    private RecordDatabase() {}

    /** Opens the record of a folder; where there is none, none is made and it fails. */
    public static Connection open(Path folder) throws SQLException {
        return open(folder, "");
    }

    static Connection openToRead(Path folder) throws SQLException {
        return open(folder, ";ACCESS_MODE_DATA=r");
    }

    private static Connection open(Path folder, String how) throws SQLException {
        return DriverManager.getConnection(
                "jdbc:h2:file:" + folder.toAbsolutePath().resolve("lexicor") + ";IFEXISTS=TRUE;TRACE_LEVEL_FILE=0"
                        + how,
                "lexicor",
                "");
    }

    /** Number of the last migration that a record has gone through; empty where it has no history of them. */
    public static OptionalInt schema(Connection record) throws SQLException {
        try (Statement statement = record.createStatement()) {
            try (ResultSet table = statement.executeQuery(
                    "select count(*) from information_schema.tables where table_name = 'flyway_schema_history'")) {
                table.next();
                if (table.getInt(1) == 0) {
                    return OptionalInt.empty();
                }
            }
            try (ResultSet last = statement.executeQuery("select max(cast(\"version\" as integer))"
                    + " from \"flyway_schema_history\" where \"success\" and \"version\" is not null")) {
                last.next();
                return OptionalInt.of(last.getInt(1));
            }
        }
    }
}
