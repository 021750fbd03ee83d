package lexicor.server.database;

import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * A table of a record as its database describes it.
 *
 * @param columns by name
 * @param key columns of the primary key, by name
 * @param needs other tables whose rows its rows refer to
 * @param own columns that refer to other rows of the same table
 */
record Table(String name, List<Column> columns, List<String> key, Set<String> needs, Set<String> own) {

    /** All tables of a record, each after those that it needs; without the history of the migrations. */
    static List<Table> all(Connection record) throws SQLException {
        DatabaseMetaData data = record.getMetaData();
        List<Table> left = new ArrayList<>();
        try (ResultSet tables = data.getTables(null, record.getSchema(), "%", new String[] {"TABLE", "BASE TABLE"})) {
            while (tables.next()) {
                String name = tables.getString("TABLE_NAME");
                if (!name.equalsIgnoreCase(Schema.HISTORY)) {
                    left.add(read(data, record.getSchema(), name));
                }
            }
        }
        left.sort(Comparator.comparing(Table::name));
        List<Table> ordered = new ArrayList<>();
        Set<String> there = new HashSet<>();
        while (!left.isEmpty()) {
            Table next = left.stream()
                    .filter(table -> there.containsAll(table.needs()))
                    .findFirst()
                    .orElseThrow(() -> new CopyFault("The tables of the record refer to each other in a circle."));
            left.remove(next);
            ordered.add(next);
            there.add(next.name());
        }
        return ordered;
    }

    private static Table read(DatabaseMetaData data, String schema, String name) throws SQLException {
        List<Column> columns = new ArrayList<>();
        try (ResultSet rows = data.getColumns(null, schema, name, "%")) {
            while (rows.next()) {
                columns.add(new Column(
                        plain(rows.getString("COLUMN_NAME")),
                        Column.Kind.of(rows.getInt("DATA_TYPE"), rows.getString("TYPE_NAME")),
                        "YES".equals(rows.getString("IS_AUTOINCREMENT"))));
            }
        }
        columns.sort(Comparator.comparing(Column::name));
        List<String> key = new ArrayList<>();
        try (ResultSet rows = data.getPrimaryKeys(null, schema, name)) {
            while (rows.next()) {
                key.add(plain(rows.getString("COLUMN_NAME")));
            }
        }
        key.sort(Comparator.naturalOrder());
        Set<String> needs = new LinkedHashSet<>();
        Set<String> own = new LinkedHashSet<>();
        try (ResultSet rows = data.getImportedKeys(null, schema, name)) {
            while (rows.next()) {
                String other = rows.getString("PKTABLE_NAME");
                if (other.equals(name)) {
                    own.add(plain(rows.getString("FKCOLUMN_NAME")));
                } else {
                    needs.add(plain(other));
                }
            }
        }
        return new Table(plain(name), List.copyOf(columns), List.copyOf(key), Set.copyOf(needs), Set.copyOf(own));
    }

    private static String plain(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    List<String> names() {
        return columns.stream().map(Column::name).toList();
    }
}
