package lexicor.server.database;

import java.nio.charset.StandardCharsets;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A column of a table, and what its values are in both databases alike.
 *
 * @param numbered whether the database numbers its rows by itself
 */
record Column(String name, Kind kind, boolean numbered) {

    /** What a value is, whatever each database calls it. */
    enum Kind {
        ID,
        MOMENT,
        DAY,
        WORDS,
        BYTES,
        TRUTH,
        WHOLE,
        REAL;

        /**
         * @param type of {@link Types}
         * @param name as the database calls it
         */
        static Kind of(int type, String name) {
            if (name.equalsIgnoreCase("uuid")) {
                return ID;
            }
            if (name.equalsIgnoreCase("timestamptz")) {
                return MOMENT;
            }
            return switch (type) {
                case Types.TIMESTAMP_WITH_TIMEZONE -> MOMENT;
                case Types.DATE -> DAY;
                case Types.VARCHAR, Types.CLOB, Types.LONGVARCHAR -> WORDS;
                case Types.BLOB, Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY -> BYTES;
                case Types.BIT, Types.BOOLEAN -> TRUTH;
                case Types.TINYINT, Types.SMALLINT, Types.INTEGER, Types.BIGINT -> WHOLE;
                case Types.REAL, Types.FLOAT, Types.DOUBLE -> REAL;
                default -> throw new CopyFault("A column of type " + name + " cannot be copied.");
            };
        }
    }

    /** The value in a row; moments to the microsecond, which is what both databases hold of them. */
    @Nullable
    Object read(ResultSet row, int place) throws SQLException {
        Object value = switch (kind) {
            case ID -> row.getObject(place, UUID.class);
            case MOMENT -> moment(row.getObject(place, OffsetDateTime.class));
            case DAY -> row.getObject(place, LocalDate.class);
            case WORDS -> row.getString(place);
            case BYTES -> row.getBytes(place);
            case TRUTH -> row.getBoolean(place);
            case WHOLE -> row.getLong(place);
            case REAL -> row.getDouble(place);
        };
        return row.wasNull() ? null : value;
    }

    private static @Nullable OffsetDateTime moment(@Nullable OffsetDateTime moment) {
        return moment == null
                ? null
                : moment.withOffsetSameInstant(ZoneOffset.UTC).truncatedTo(ChronoUnit.MICROS);
    }

    static void write(PreparedStatement statement, int place, @Nullable Object value) throws SQLException {
        if (value == null) {
            statement.setNull(place, Types.NULL);
        } else {
            statement.setObject(place, value);
        }
    }

    /** A value as bytes, alike for both databases. */
    static byte[] bytes(Object value) {
        return value instanceof byte[] already ? already : value.toString().getBytes(StandardCharsets.UTF_8);
    }
}
