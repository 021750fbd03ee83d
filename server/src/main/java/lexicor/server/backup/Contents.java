package lexicor.server.backup;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Locale;
import lexicor.server.database.Schema;

/**
 * How much a record holds.
 *
 * @param schema number of the last migration it has gone through
 */
public record Contents(int schema, long cases, long examinations, long entries, long signatures, long people) {

    static Contents of(Connection record) throws SQLException {
        try (Statement statement = record.createStatement()) {
            return new Contents(
                    Schema.in(record).orElseThrow(() -> new SQLException("the database has no history of its schema")),
                    rows(statement, "case_file"),
                    rows(statement, "examination"),
                    rows(statement, "command"),
                    rows(statement, "signature"),
                    rows(statement, "account"));
        }
    }

    /** Rows of a table; none where a record is too old to have it. */
    private static long rows(Statement statement, String table) throws SQLException {
        boolean there = number(
                        statement,
                        "select count(*) from information_schema.tables where lower(table_name) = '" + table + "'")
                > 0;
        return there ? number(statement, "select count(*) from " + table) : 0;
    }

    private static long number(Statement statement, String question) throws SQLException {
        try (ResultSet answer = statement.executeQuery(question)) {
            answer.next();
            return answer.getLong(1);
        }
    }

    /** In words: 31 cases, 40 examinations, 1,204 entries, 8 signatures, 5 people. */
    public String words() {
        return String.join(
                ", ",
                counted(cases, "case", "cases"),
                counted(examinations, "examination", "examinations"),
                counted(entries, "entry", "entries"),
                counted(signatures, "signature", "signatures"),
                counted(people, "person", "people"));
    }

    private static String counted(long number, String one, String several) {
        return String.format(Locale.UK, "%,d %s", number, number == 1 ? one : several);
    }
}
