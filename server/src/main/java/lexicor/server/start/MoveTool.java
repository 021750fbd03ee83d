package lexicor.server.start;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import lexicor.server.backup.RecordDatabase;
import lexicor.server.database.CopyFault;
import lexicor.server.database.RecordCopy;
import lexicor.server.database.Schema;
import org.flywaydb.core.api.FlywayException;
import org.springframework.util.FileSystemUtils;

/**
 * Moves a clinic from the file of a folder into a server database, or back: {@code move FROM TO}, where one is a folder
 * and the other an address of PostgreSQL. The one it is copied from stays as it was.
 */
public final class MoveTool {

    private static final int WRONG_CALL = 2;
    private static final int REFUSED = 4;

    private static final String SERVER = "jdbc:";

    /** How many connections others have to the same database. */
    private static final String OTHERS = "select count(*) from pg_stat_activity where datname = current_database()"
            + " and pid <> pg_backend_pid() and backend_type = 'client backend'";

    private final PrintStream out;
    private final PrintStream faults;

    public MoveTool(PrintStream out, PrintStream faults) {
        this.out = out;
        this.faults = faults;
    }

    /** Whether a call is one of this tool's. */
    public static boolean knows(String[] arguments) {
        return arguments.length > 0 && "move".equals(arguments[0]);
    }

    /** Does what a call asks for, says what came of it, and gives the code to exit with: 0 where it succeeded. */
    public int run(String[] arguments, Map<String, String> environment) {
        List<String> places = List.of(arguments).subList(1, arguments.length).stream()
                .filter(argument -> !argument.startsWith("--"))
                .toList();
        if (places.size() != 2 || isServer(places.get(0)) == isServer(places.get(1))) {
            faults.println("lexicor: move needs the place that has the record and the place it goes to; allowed: one"
                    + " folder and one jdbc:postgresql://HOST:PORT/NAME.");
            return WRONG_CALL;
        }
        try {
            String address = isServer(places.get(0)) ? places.get(0) : places.get(1);
            List<String> named = new ArrayList<>(List.of(arguments));
            named.add("--lexicor.database.address=" + address);
            ServerDatabase server =
                    ServerDatabase.of(named.toArray(String[]::new), environment).orElseThrow();
            server.refusal().ifPresent(refusal -> {
                throw new CopyFault(refusal.line());
            });
            List<RecordCopy.Copied> copied = isServer(places.get(0))
                    ? intoFolder(server, Path.of(places.get(1)))
                    : intoServer(Path.of(places.get(0)), server);
            copied.forEach(
                    table -> out.printf("%-28s %,12d rows  %.16s%n", table.table(), table.rows(), table.checksum()));
            out.printf(
                    "%,d rows of %d tables are in %s, read back and equal. %s is as it was.%n",
                    copied.stream().mapToLong(RecordCopy.Copied::rows).sum(),
                    copied.size(),
                    places.get(1),
                    places.get(0));
            return 0;
        } catch (CopyFault fault) {
            faults.println("lexicor: " + fault.getMessage());
        } catch (SQLException | IOException | FlywayException fault) {
            faults.println("lexicor: the record was not moved: " + fault.getMessage());
        }
        return REFUSED;
    }

    private static boolean isServer(String place) {
        return place.startsWith(SERVER);
    }

    private static List<RecordCopy.Copied> intoServer(Path folder, ServerDatabase server) throws SQLException {
        RecordFile file = RecordFile.in(folder);
        file.refusal().ifPresent(refusal -> {
            throw new CopyFault(refusal.line());
        });
        if (!Files.exists(file.file())) {
            throw new CopyFault("There is no record in " + folder + ".");
        }
        try (Connection from = file.connect();
                Connection to = server.connect()) {
            ofThisVersion(from, folder.toString());
            if (tables(to) > 0) {
                throw new CopyFault("The database " + server.address()
                        + " holds tables already, and was left as it was. Make an empty one.");
            }
            server.migrate();
            return RecordCopy.copy(from, to);
        }
    }

    /** The record appears in the folder whole or not at all. */
    private static List<RecordCopy.Copied> intoFolder(ServerDatabase server, Path folder)
            throws SQLException, IOException {
        Path place = RecordFile.in(folder).file();
        if (Files.exists(place)) {
            throw new CopyFault(place + " is there already, and was left as it was. Choose another folder.");
        }
        Files.createDirectories(folder);
        Path work = Files.createTempDirectory(folder, "lexicor-moving-");
        try (Connection from = server.connect()) {
            ofThisVersion(from, server.address());
            if (!ServerDatabase.isSoon(from, "select (" + OTHERS + ") = 0")) {
                int others = number(from, OTHERS);
                throw new CopyFault("The database " + server.address() + " is in use by " + others
                        + (others == 1 ? " connection" : " connections")
                        + ". Stop the servers that work with it first.");
            }
            List<RecordCopy.Copied> copied;
            try (Connection to = RecordDatabase.make(work)) {
                copied = RecordCopy.copy(from, to);
            }
            Files.move(work.resolve(RecordDatabase.FILE), place);
            return copied;
        } finally {
            FileSystemUtils.deleteRecursively(work);
        }
    }

    private static void ofThisVersion(Connection record, String place) throws SQLException {
        OptionalInt schema = Schema.in(record);
        if (schema.isEmpty()) {
            throw new CopyFault("There is no record in " + place + ".");
        }
        if (schema.getAsInt() != Schema.known()) {
            throw new CopyFault("The record in " + place + " has schema " + schema.getAsInt() + "; this version has "
                    + Schema.known() + ". Start it once with this version, stop it, and move it then.");
        }
    }

    private static int tables(Connection server) throws SQLException {
        return number(server, "select count(*) from information_schema.tables where table_schema = current_schema()");
    }

    private static int number(Connection record, String question) throws SQLException {
        try (Statement statement = record.createStatement();
                ResultSet answer = statement.executeQuery(question)) {
            answer.next();
            return answer.getInt(1);
        }
    }
}
