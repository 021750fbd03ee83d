package lexicor.server.backup;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import lexicor.server.database.Schema;

/** A record as a database in a folder, opened beside the server or without one. */
public final class RecordDatabase {

    /** What the file of the database is called in every folder. */
    public static final String FILE = "lexicor.mv.db";

    /** H2's error code where another program has the file open. */
    public static final int IN_USE = 90020;

    private static final String USER = "lexicor";

    private RecordDatabase() {}

    /** Opens the record of a folder; where there is none, none is made and it fails. */
    public static Connection open(Path folder) throws SQLException {
        return open(folder, "");
    }

    static Connection openToRead(Path folder) throws SQLException {
        return open(folder, ";ACCESS_MODE_DATA=r");
    }

    private static Connection open(Path folder, String how) throws SQLException {
        return DriverManager.getConnection(address(folder) + ";IFEXISTS=TRUE" + how, USER, "");
    }

    /** Makes a record without content in a folder that has none. */
    public static Connection make(Path folder) throws SQLException {
        Schema.H2.migrate(address(folder), USER, "");
        return open(folder);
    }

    private static String address(Path folder) {
        return "jdbc:h2:file:" + folder.toAbsolutePath().resolve("lexicor") + ";TRACE_LEVEL_FILE=0";
    }
}
