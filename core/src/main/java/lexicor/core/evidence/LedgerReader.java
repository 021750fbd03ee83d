package lexicor.core.evidence;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import lexicor.core.source.CsvTable;
import lexicor.core.source.SourceException;
import org.apache.commons.csv.CSVRecord;

/** Reads the ledger of accuracy records (RFC 4180, header row) and names file, line, column and what is allowed. */
public final class LedgerReader {

    private static final List<String> COLUMNS = List.of(
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

    private LedgerReader(String file) {
        this.file = file;
    }

    /** Every record by key, in the order of the file. */
    public static Map<RecordId, AccuracyRecord> read(String file, String csv) {
        return new LedgerReader(file).read(csv);
    }

    private Map<RecordId, AccuracyRecord> read(String csv) {
        Map<RecordId, AccuracyRecord> records = new LinkedHashMap<>();
        CsvTable.read(file, csv, COLUMNS, (row, place) -> {
            AccuracyRecord record = record(row, place.line());
            if (records.put(record.id(), record) != null) {
                throw place.fault("record '" + record.id() + "' stands here twice");
            }
        });
        return Collections.unmodifiableMap(records);
    }

    private AccuracyRecord record(CSVRecord row, int line) {
        OptionalInt with = size(row, line, "n_with");
        OptionalInt without = size(row, line, "n_without");
        OptionalInt total = size(row, line, "n_total");
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
                id(row, line),
                AccuracyRecord.Kind.valueOf(oneOf(row, line, "kind", Set.of("test", "cluster", "history"))
                        .toUpperCase()),
                row.get("subject"),
                row.get("subject_text"),
                row.get("criterion"),
                row.get("condition"),
                row.get("condition_text"),
                number(row, line, "sensitivity", 0, 1),
                number(row, line, "specificity", 0, 1),
                number(row, line, "lr_positive", 0, 10_000),
                number(row, line, "lr_negative", 0, 10_000),
                orTheRest(with, without, total),
                orTheRest(without, with, total),
                total,
                row.get("design"),
                oneOf(row, line, "originator", Set.of("yes", "no")).equals("yes"),
                row.get("reference_standard"),
                row.get("population"),
                row.get("citation"),
                row.get("transcription"),
                row.get("review_state"),
                row.get("note"),
                line);
    }

    /** A group's size, or what the other group leaves of all patients. */
    private static OptionalInt orTheRest(OptionalInt size, OptionalInt other, OptionalInt total) {
        return size.isEmpty() && other.isPresent() && total.isPresent()
                ? OptionalInt.of(total.getAsInt() - other.getAsInt())
                : size;
    }

    private RecordId id(CSVRecord row, int line) {
        try {
            return RecordId.of(row.get("record"));
        } catch (IllegalArgumentException fault) {
            throw new SourceException(file, line, fault.getMessage());
        }
    }

    private String oneOf(CSVRecord row, int line, String column, Set<String> allowed) {
        if (!allowed.contains(row.get(column))) {
            throw new SourceException(
                    file,
                    line,
                    column + " is '" + row.get(column) + "'; allowed: "
                            + String.join(", ", allowed.stream().sorted().toList()));
        }
        return row.get(column);
    }

    private OptionalDouble number(CSVRecord row, int line, String column, double least, double most) {
        String text = row.get(column);
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

    private OptionalInt size(CSVRecord row, int line, String column) {
        OptionalDouble value = number(row, line, column, 0, 10_000_000);
        if (value.isPresent() && value.getAsDouble() != Math.rint(value.getAsDouble())) {
            throw new SourceException(
                    file, line, column + " is '" + row.get(column) + "'; allowed: empty, or a whole number");
        }
        return value.isPresent() ? OptionalInt.of((int) value.getAsDouble()) : OptionalInt.empty();
    }
}
