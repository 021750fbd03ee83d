package lexicor.core.evidence;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.UnaryOperator;
import lexicor.core.source.CsvTable;
import lexicor.core.source.Place;
import lexicor.core.source.SourceException;

/** Reads the ledger of accuracy records (RFC 4180, header row) and names file, line, column and what is allowed. */
public final class LedgerReader {

    /** The columns, in order. */
    static final List<String> COLUMNS = List.of(
            "record",
            "kind",
            "subject",
            "subject_text",
            "criterion",
            "condition",
            "condition_text",
            "sensitivity",
            "specificity",
            "lr_positive",
            "lr_negative",
            "n_with",
            "n_without",
            "n_total",
            "design",
            "originator",
            "reference_standard",
            "population",
            "citation",
            "transcription",
            "review_state",
            "note");

    private final String file;
    private final UnaryOperator<String> cells;
    private final int line;

    private LedgerReader(String file, UnaryOperator<String> cells, int line) {
        this.file = file;
        this.cells = cells;
        this.line = line;
    }

    /** Every record by key, in the order of the file. */
    public static Map<RecordId, AccuracyRecord> read(String file, String csv) {
        Map<RecordId, AccuracyRecord> records = new LinkedHashMap<>();
        CsvTable.read(file, csv, COLUMNS, (row, place) -> {
            AccuracyRecord record = record(file, id(row.get("record"), place), row::get, place.line());
            if (records.put(record.id(), record) != null) {
                throw place.fault("record '" + record.id() + "' stands here twice");
            }
        });
        return Collections.unmodifiableMap(records);
    }

    /**
     * One row as a record.
     *
     * @param cells text by column
     * @throws SourceException that names the column and what is allowed
     */
    static AccuracyRecord record(String file, RecordId id, UnaryOperator<String> cells, int line) {
        return new LedgerReader(file, cells, line).record(id);
    }

    private AccuracyRecord record(RecordId id) {
        OptionalInt with = size("n_with");
        OptionalInt without = size("n_without");
        OptionalInt total = size("n_total");
        if (with.isPresent()
                && without.isPresent()
                && total.isPresent()
                && with.getAsInt() + without.getAsInt() != total.getAsInt()) {
            throw new SourceException(
                    file,
                    line,
                    "n_total is " + total.getAsInt() + "; allowed: n_with + n_without = "
                            + (with.getAsInt() + without.getAsInt()));
        }
        if (with.isPresent() && total.isPresent() && with.getAsInt() > total.getAsInt()
                || without.isPresent() && total.isPresent() && without.getAsInt() > total.getAsInt()) {
            throw new SourceException(
                    file, line, "n_total is " + total.getAsInt() + "; allowed: not less than n_with or n_without");
        }
        return new AccuracyRecord(
                id,
                AccuracyRecord.Kind.valueOf(
                        oneOf("kind", Set.of("test", "cluster", "history")).toUpperCase()),
                cells.apply("subject"),
                cells.apply("subject_text"),
                cells.apply("criterion"),
                cells.apply("condition"),
                cells.apply("condition_text"),
                number("sensitivity", 0, 1),
                number("specificity", 0, 1),
                number("lr_positive", 0, 10_000),
                number("lr_negative", 0, 10_000),
                orTheRest(with, without, total),
                orTheRest(without, with, total),
                total,
                cells.apply("design"),
                oneOf("originator", Set.of("yes", "no")).equals("yes"),
                cells.apply("reference_standard"),
                cells.apply("population"),
                cells.apply("citation"),
                cells.apply("transcription"),
                cells.apply("review_state"),
                cells.apply("note"),
                line);
    }

    /** A group's size, or what the other group leaves of all patients. */
    private static OptionalInt orTheRest(OptionalInt size, OptionalInt other, OptionalInt total) {
        return size.isEmpty() && other.isPresent() && total.isPresent()
                ? OptionalInt.of(total.getAsInt() - other.getAsInt())
                : size;
    }

    private static RecordId id(String text, Place place) {
        try {
            return RecordId.of(text);
        } catch (IllegalArgumentException fault) {
            throw new SourceException(place.file(), place.line(), fault.getMessage());
        }
    }

    private String oneOf(String column, Set<String> allowed) {
        if (!allowed.contains(cells.apply(column))) {
            throw new SourceException(
                    file,
                    line,
                    column + " is '" + cells.apply(column) + "'; allowed: "
                            + String.join(", ", allowed.stream().sorted().toList()));
        }
        return cells.apply(column);
    }

    private OptionalDouble number(String column, double least, double most) {
        String text = cells.apply(column);
        if (text.isBlank()) {
            return OptionalDouble.empty();
        }
        try {
            double value = Double.parseDouble(text);
            if (value >= least && value <= most) {
                return OptionalDouble.of(value);
            }
        } catch (NumberFormatException notANumber) {
            // named below, with what is allowed
        }
        throw new SourceException(
                file, line, column + " is '" + text + "'; allowed: empty, or a number from " + least + " to " + most);
    }

    private OptionalInt size(String column) {
        OptionalDouble value = number(column, 0, 10_000_000);
        if (value.isPresent() && value.getAsDouble() != Math.rint(value.getAsDouble())) {
            throw new SourceException(
                    file, line, column + " is '" + cells.apply(column) + "'; allowed: empty, or a whole number");
        }
        return value.isPresent() ? OptionalInt.of((int) value.getAsDouble()) : OptionalInt.empty();
    }
}
