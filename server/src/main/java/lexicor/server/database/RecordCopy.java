package lexicor.server.database;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Copies a whole record from one database to another, table by table and row by row, as it stands at one moment, and
 * reads the copy back. Both databases have the tables of this version, and nobody works with the one that is filled.
 */
public final class RecordCopy {

    private static final int ROWS = 500;

    /** The sequence from which changes of what may be changed are numbered, and the table that holds the numbers. */
    private static final String REVISIONS = "revision_seq";

    private final Connection from;
    private final Connection to;
    private final List<Table> tables;

    private RecordCopy(Connection from, Connection to) throws SQLException {
        this.from = from;
        this.to = to;
        this.tables = Table.all(from);
    }

    /**
     * What was copied of a table.
     *
     * @param checksum of all its rows, in whatever order, hexadecimal
     */
    public record Copied(String table, long rows, String checksum) {}

    /**
     * Copies everything; what migrations put into the new tables gives way. All of it is committed at the end, or
     * nothing.
     *
     * @return the tables, by name
     * @throws CopyFault where the tables are not the same, or the copy does not read back as what was copied
     */
    public static List<Copied> copy(Connection from, Connection to) throws SQLException {
        from.setAutoCommit(false);
        from.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
        to.setAutoCommit(false);
        try {
            List<Copied> copied = new RecordCopy(from, to).all();
            to.commit();
            return copied;
        } finally {
            to.rollback();
            from.rollback();
        }
    }

    /** What every table of a record sums up to, by name. */
    public static List<Copied> sums(Connection record) throws SQLException {
        List<Copied> sums = new ArrayList<>();
        for (Table table : Table.all(record)) {
            sums.add(read(record, table));
        }
        return byName(sums);
    }

    private static List<Copied> byName(List<Copied> tables) {
        return tables.stream().sorted(Comparator.comparing(Copied::table)).toList();
    }

    private List<Copied> all() throws SQLException {
        List<Table> there = Table.all(to);
        if (!shape(there).equals(shape(tables))) {
            throw new CopyFault("The two databases do not have the same tables.");
        }
        List<Table> last = new ArrayList<>(there);
        Collections.reverse(last);
        for (Table table : last) {
            execute("delete from " + table.name());
        }
        List<Copied> copied = new ArrayList<>();
        for (Table table : tables) {
            Copied sent = send(table);
            Copied found = read(to, table);
            if (!sent.equals(found)) {
                throw new CopyFault("The table " + table.name() + " does not read back as it was copied: "
                        + found.rows() + " rows instead of " + sent.rows() + ", or other values.");
            }
            copied.add(sent);
        }
        numberOn(there);
        return byName(copied);
    }

    private static List<String> shape(List<Table> tables) {
        return tables.stream()
                .map(table -> table.name() + table.names())
                .sorted()
                .toList();
    }

    /** The rows as they are, but for references within the table, which follow when all its rows are there. */
    private Copied send(Table table) throws SQLException {
        Predicate<Column> later = column -> table.own().contains(column.name());
        Checksum sum = new Checksum();
        try (Statement source = reading(from);
                ResultSet rows = source.executeQuery(select(table));
                PreparedStatement insert = to.prepareStatement(insert(table))) {
            long count = 0;
            while (rows.next()) {
                List<@Nullable Object> row = row(rows, table);
                sum.add(row);
                for (int c = 0; c < row.size(); c++) {
                    Column.write(insert, c + 1, later.test(table.columns().get(c)) ? null : row.get(c));
                }
                insert.addBatch();
                if (++count % ROWS == 0) {
                    insert.executeBatch();
                }
            }
            insert.executeBatch();
        }
        for (String column : table.own()) {
            refer(table, column);
        }
        return sum.of(table.name());
    }

    private void refer(Table table, String column) throws SQLException {
        String key = table.key().get(0);
        List<Column> both = List.of(column(table, column), column(table, key));
        try (Statement source = reading(from);
                ResultSet rows = source.executeQuery("select " + column + ", " + key + " from " + table.name()
                        + " where " + column + " is not null");
                PreparedStatement update = to.prepareStatement(
                        "update " + table.name() + " set " + column + " = ? where " + key + " = ?")) {
            long count = 0;
            while (rows.next()) {
                Column.write(update, 1, both.get(0).read(rows, 1));
                Column.write(update, 2, both.get(1).read(rows, 2));
                update.addBatch();
                if (++count % ROWS == 0) {
                    update.executeBatch();
                }
            }
            update.executeBatch();
        }
    }

    private static Column column(Table table, String name) {
        return table.columns().stream()
                .filter(each -> each.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Copied read(Connection record, Table table) throws SQLException {
        Checksum sum = new Checksum();
        try (Statement statement = reading(record);
                ResultSet rows = statement.executeQuery(select(table))) {
            while (rows.next()) {
                sum.add(row(rows, table));
            }
        }
        return sum.of(table.name());
    }

    /** A statement that does not hold all rows in memory at once. */
    private static Statement reading(Connection record) throws SQLException {
        Statement statement = record.createStatement();
        statement.setFetchSize(ROWS);
        return statement;
    }

    private static List<@Nullable Object> row(ResultSet rows, Table table) throws SQLException {
        List<@Nullable Object> row = new ArrayList<>(table.columns().size());
        for (int c = 0; c < table.columns().size(); c++) {
            row.add(table.columns().get(c).read(rows, c + 1));
        }
        return row;
    }

    private static String select(Table table) {
        return "select " + String.join(", ", table.names()) + " from " + table.name();
    }

    private static String insert(Table table) {
        return "insert into " + table.name() + " (" + String.join(", ", table.names())
                + ") overriding system value values ("
                + table.columns().stream().map(column -> "?").collect(Collectors.joining(", ")) + ")";
    }

    /** The next row that the database numbers by itself follows the last one that was copied. */
    private void numberOn(List<Table> there) throws SQLException {
        for (Table table : there) {
            for (Column column : table.columns()) {
                if (column.numbered()) {
                    execute("alter table " + table.name() + " alter column " + column.name() + " restart with "
                            + next(table.name(), column.name()));
                }
            }
        }
        execute("alter sequence " + REVISIONS + " restart with " + next("revision", "id"));
    }

    private long next(String table, String column) throws SQLException {
        try (Statement statement = to.createStatement();
                ResultSet last = statement.executeQuery("select coalesce(max(" + column + "), 0) + 1 from " + table)) {
            last.next();
            return last.getLong(1);
        }
    }

    private void execute(String command) throws SQLException {
        try (Statement statement = to.createStatement()) {
            statement.execute(command);
        }
    }
}
