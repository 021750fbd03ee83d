package lexicor.server.database;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.flywaydb.core.Flyway;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The tables of a record, in the embedded database (H2) and in the server database (PostgreSQL). */
public enum Schema {
    H2,
    POSTGRESQL;

    private static final Pattern MIGRATION = Pattern.compile("V(\\d+)__.*\\.sql");

    /** The table in which the migrations keep their own history. */
    static final String HISTORY = "flyway_schema_history";

    /** Which of the two a connection leads to. */
    public static Schema of(Connection record) throws SQLException {
        return valueOf(record.getMetaData().getDatabaseProductName().toUpperCase(Locale.ROOT));
    }

    private String folder() {
        return "classpath:db/" + name().toLowerCase(Locale.ROOT);
    }

    /** Number of the last migration that this program brings; both databases have the same ones. */
    public static int known() {
        return H2.last();
    }

    int last() {
        try {
            int last = 0;
            for (Resource migration : new PathMatchingResourcePatternResolver().getResources(folder() + "/V*.sql")) {
                Matcher name = MIGRATION.matcher(String.valueOf(migration.getFilename()));
                last = name.matches() ? Math.max(last, Integer.parseInt(name.group(1))) : last;
            }
            return last;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Number of the last migration that a record has gone through; empty where it has no history of them. */
    public static OptionalInt in(Connection record) throws SQLException {
        try (Statement statement = record.createStatement()) {
            try (ResultSet table = statement.executeQuery(
                    "select count(*) from information_schema.tables where table_name = '" + HISTORY + "'")) {
                table.next();
                if (table.getInt(1) == 0) {
                    return OptionalInt.empty();
                }
            }
            try (ResultSet last = statement.executeQuery("select max(cast(\"version\" as integer)) from \"" + HISTORY
                    + "\" where \"success\" and \"version\" is not null")) {
                last.next();
                return OptionalInt.of(last.getInt(1));
            }
        }
    }

    /** Makes the tables of this version in an empty database, or brings older ones to it. */
    public void migrate(String address, String user, String password) {
        Flyway.configure()
                .dataSource(address, user, password)
                .locations(folder())
                .load()
                .migrate();
    }
}
