package lexicor.server.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.regex.Pattern;
import lexicor.server.database.Schema;

/**
 * A PostgreSQL that holds the record in place of the file, looked at before anything is started that would write to it.
 *
 * @param address such as {@code jdbc:postgresql://host:5432/lexicor}
 * @param passwordFile whose first line is the password; empty where the database asks for none
 */
public record ServerDatabase(String address, String user, String passwordFile) {

    private static final String ADDRESS = "lexicor.database.address";
    private static final String USER = "lexicor.database.user";
    private static final String PASSWORD_FILE = "lexicor.database.password-file";

    private static final Pattern ALLOWED = Pattern.compile("jdbc:postgresql://[^/?\\s]+/[^/?\\s]+(\\?\\S*)?");

    /** The oldest PostgreSQL that is worked with, as its {@code server_version_num}. */
    private static final int OLDEST = 140_000;

    private static final int VERSION_STEP = 10_000;

    /** Number of the lock by which servers keep each other out. */
    private static final long HOLD = 5_143_110_427L;

    /** Kept open as long as the process lives. */
    private static Optional<Connection> held = Optional.empty();

    private static final int LOOKS = 20;

    private static final int PAUSE = 100;

    private static final int UNUSABLE = 6;
    private static final int IN_USE = 3;
    private static final int WRONG_CALL = 2;

    /** How long the first connection may take, in seconds. */
    private static final String PATIENCE = "10";

    /** How long a request waits for a connection before it is told that the record is away, in milliseconds. */
    private static final int LONGEST_WAIT = 5000;

    /** The one that a call or its environment names; empty where the record stays in a file. */
    public static Optional<ServerDatabase> of(String[] arguments, Map<String, String> environment) {
        Optional<String> address = said(ADDRESS, arguments, environment);
        return address.map(each -> new ServerDatabase(
                each,
                said(USER, arguments, environment).orElse("lexicor"),
                said(PASSWORD_FILE, arguments, environment).orElse("")));
    }

    private static Optional<String> said(String name, String[] arguments, Map<String, String> environment) {
        String argument = "--" + name + "=";
        return Arrays.stream(arguments)
                .filter(each -> each.startsWith(argument))
                .map(each -> each.substring(argument.length()))
                .findFirst()
                .or(() -> Optional.ofNullable(environment.get(
                        name.toUpperCase(Locale.ROOT).replace('.', '_').replace("-", ""))))
                .filter(each -> !each.isBlank());
    }

    /** What a server is started with. */
    public Map<String, Object> properties() {
        Map<String, Object> properties = new LinkedHashMap<>();
        properties.put(ADDRESS, address);
        properties.put(USER, user);
        properties.put("lexicor.database.password", password());
        properties.put("spring.datasource.hikari.connection-timeout", LONGEST_WAIT);
        return properties;
    }

    private String password() {
        try {
            return passwordFile.isEmpty()
                    ? ""
                    : Files.readAllLines(Path.of(passwordFile)).stream()
                            .findFirst()
                            .orElse("");
        } catch (IOException unreadable) {
            throw new IllegalStateException("The file of the password was there a moment ago", unreadable);
        }
    }

    /** Opens it. */
    Connection connect() throws SQLException {
        Properties properties = new Properties();
        properties.setProperty("user", user);
        properties.setProperty("password", password());
        properties.setProperty("connectTimeout", PATIENCE);
        properties.setProperty("loginTimeout", PATIENCE);
        return DriverManager.getConnection(address, properties);
    }

    /**
     * Takes the database for one server, which keeps in memory what another one would not see: a lock of PostgreSQL's
     * that goes with its connection.
     *
     * @return the connection that holds it; empty where another server does
     */
    Optional<Connection> hold() throws SQLException {
        Connection connection = connect();
        if (isSoon(connection, "select pg_try_advisory_lock(" + HOLD + ")")) {
            return Optional.of(connection);
        }
        connection.close();
        return Optional.empty();
    }

    /** Whether something is so within two seconds: PostgreSQL ends a connection a moment after it was closed. */
    static boolean isSoon(Connection connection, String question) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            for (int look = 0; look < LOOKS; look++) {
                try (ResultSet row = statement.executeQuery(question)) {
                    row.next();
                    if (row.getBoolean(1)) {
                        return true;
                    }
                }
                Thread.sleep(PAUSE);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        return false;
    }

    /** Why a server cannot have it for itself; empty where it has it now, until the process ends. */
    public Optional<RecordFile.Refusal> refusalToHold() {
        try {
            held = hold();
            return held.isPresent()
                    ? Optional.empty()
                    : refuse(
                            IN_USE,
                            "The database " + address
                                    + " is in use by another server. Stop that one, or start this one with another database.");
        } catch (SQLException fault) {
            return refuse(UNUSABLE, words(fault));
        }
    }

    /** Makes the tables of this version where there are none. */
    void migrate() {
        Schema.POSTGRESQL.migrate(address, user, password());
    }

    /** Why a server cannot work with it; empty where it can. */
    public Optional<RecordFile.Refusal> refusal() {
        if (!ALLOWED.matcher(address).matches()) {
            return refuse(WRONG_CALL, "The database is '" + address + "'; allowed: jdbc:postgresql://HOST:PORT/NAME.");
        }
        if (address.contains("password=")) {
            return refuse(
                    WRONG_CALL,
                    "The address of the database holds a password, which others can read in the list of processes."
                            + " Put it into a file (--database-password-file FILE).");
        }
        if (!passwordFile.isEmpty() && !Files.isReadable(Path.of(passwordFile))) {
            return refuse(UNUSABLE, "The file " + passwordFile + " with the password of the database cannot be read.");
        }
        try (Connection connection = connect();
                Statement statement = connection.createStatement()) {
            int version = (int) Long.parseLong(shown(statement, "server_version_num"));
            if (version < OLDEST) {
                return refuse(
                        RecordFile.NEWER,
                        "The database " + address + " is PostgreSQL " + version / VERSION_STEP + "; allowed: "
                                + OLDEST / VERSION_STEP + " and later.");
            }
            String encoding = shown(statement, "server_encoding");
            if (!"UTF8".equals(encoding)) {
                return refuse(
                        UNUSABLE,
                        "The database " + address + " keeps words in " + encoding
                                + "; allowed: UTF8 (create database … encoding 'UTF8').");
            }
            return RecordFile.Refusal.ofNewer(connection, "The record in " + address);
        } catch (SQLException fault) {
            return refuse(UNUSABLE, words(fault));
        }
    }

    private static String shown(Statement statement, String setting) throws SQLException {
        try (ResultSet row = statement.executeQuery("show " + setting)) {
            row.next();
            return row.getString(1);
        }
    }

    private String words(SQLException fault) {
        String state = String.valueOf(fault.getSQLState());
        return switch (state.length() < 2 ? "" : state.substring(0, 2)) {
            case "28" -> "The database " + address + " refuses the user " + user + " or the password.";
            case "3D" -> "There is no database " + address + ". Make it: createdb --encoding=UTF8 NAME.";
            case "08" ->
                "The database " + address
                        + " cannot be reached. Check that it is running and that the address is right.";
            default -> "The database " + address + " cannot be used: " + fault.getMessage();
        };
    }

    private static Optional<RecordFile.Refusal> refuse(int exitCode, String line) {
        return Optional.of(new RecordFile.Refusal(line, exitCode));
    }
}
