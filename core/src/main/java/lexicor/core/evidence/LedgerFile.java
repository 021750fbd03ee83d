package lexicor.core.evidence;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ClusterId;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.CsvTable;
import lexicor.core.source.SourceException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A ledger as a table that leaves the product and comes back: every column of a record, then what it speaks for (RFC
 * 4180, header row). Text that a spreadsheet would take for a formula has an apostrophe before it, which reading takes
 * away.
 */
public final class LedgerFile {

    /** The most records that a file may bring. */
    public static final int MOST_ROWS = 5_000;

    private static final List<String> TIE = List.of(
            "test", "tied_criterion", "tied_condition", "cluster", "clue", "series", "inventors", "tie_note", "unused");

    private static final int OWN_LINES = 100_000;

    private static final String FORMULA = "=+-@'\t\r";

    private LedgerFile() {}

    /** The columns, in order. */
    public static List<String> columns() {
        return Stream.concat(LedgerReader.COLUMNS.stream(), TIE.stream()).toList();
    }

    /** Every record of a ledger as a table, in its order. */
    public static String write(Evidence evidence) {
        return table(rows(evidence));
    }

    /** Every record of a ledger, in its order: texts by column, empty where there is nothing to say. */
    public static List<Map<String, String>> rows(Evidence evidence) {
        List<String> columns = columns();
        return evidence.records().stream()
                .map(record -> {
                    List<String> cells = Stream.concat(
                                    cells(record).stream(), cells(evidence.tie(record.id())).stream())
                            .toList();
                    Map<String, String> row = new LinkedHashMap<>();
                    for (int i = 0; i < cells.size(); i++) {
                        row.put(columns.get(i), cells.get(i));
                    }
                    return row;
                })
                .toList();
    }

    /** Rows as a table; a column that a row does not have is empty. */
    public static String table(List<Map<String, String>> rows) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            printer.printRecord(columns());
            for (Map<String, String> row : rows) {
                printer.printRecord(columns().stream()
                        .map(column -> guarded(row.getOrDefault(column, "")))
                        .toList());
            }
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
        return text.toString();
    }

    private static List<String> cells(AccuracyRecord record) {
        return List.of(
                record.id().value(),
                record.kind().name().toLowerCase(),
                record.subject(),
                record.subjectText(),
                record.criterion(),
                record.condition(),
                record.conditionText(),
                cell(record.sensitivity()),
                cell(record.specificity()),
                cell(record.lrPositive()),
                cell(record.lrNegative()),
                cell(record.with()),
                cell(record.without()),
                cell(record.total()),
                record.design(),
                record.originator() ? "yes" : "no",
                record.referenceStandard(),
                record.population(),
                record.citation(),
                record.transcription(),
                record.reviewState(),
                record.note());
    }

    private static List<String> cells(Tie tie) {
        if (tie instanceof Tie.ToTest to) {
            return List.of(
                    to.test().value(),
                    to.criterion().value(),
                    to.condition().value(),
                    "",
                    "",
                    to.series().name().toLowerCase(),
                    to.inventors() ? "yes" : "no",
                    to.note(),
                    "");
        }
        if (tie instanceof Tie.ToCluster to) {
            return List.of(
                    "", "", "", to.cluster().value(), "", to.series().name().toLowerCase(), "", "", "");
        }
        if (tie instanceof Tie.ToClue to) {
            return List.of(
                    "",
                    "",
                    to.condition().value(),
                    "",
                    to.clue(),
                    to.series().name().toLowerCase(),
                    "",
                    "",
                    "");
        }
        return List.of("", "", "", "", "", "", "", "", ((Tie.Unused) tie).because());
    }

    private static String cell(OptionalDouble value) {
        return value.isPresent() ? String.valueOf(value.getAsDouble()) : "";
    }

    private static String cell(OptionalInt value) {
        return value.isPresent() ? String.valueOf(value.getAsInt()) : "";
    }

    private static String guarded(String text) {
        return !text.isEmpty() && FORMULA.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }

    private static String plain(CSVRecord row, String column) {
        String text = row.get(column);
        return text.startsWith("'") ? text.substring(1) : text;
    }

    /**
     * What a file would bring.
     *
     * @param added studies that are not in the ledger
     * @param corrected records that say something else than the ledger's
     * @param same records that say the same
     * @param faults what keeps the file out, one a line at most
     */
    public record Import(List<LedgerEntry> added, List<LedgerEntry> corrected, int same, List<LineFault> faults) {}

    /** @param line line of the file, from 1 */
    public record LineFault(int line, String says) {}

    /**
     * Reads a file against a ledger and changes nothing. A record without a key is a new study and gets the next one.
     * Only the first fault of each line is told.
     */
    public static Import read(String file, String csv, Evidence ledger, Catalogue catalogue) {
        return new Reading(ledger, catalogue).read(file, csv);
    }

    /** The next key for a study of the clinic's own. */
    public static RecordId nextOwn(Evidence ledger) {
        return free(ledger, 1);
    }

    /** The first key from a number on that the ledger does not have. */
    private static RecordId free(Evidence ledger, int from) {
        int number = from;
        while (ledger.entry(own(number)).isPresent()) {
            number++;
        }
        return own(number);
    }

    /** Where a study of the clinic's own stands in the order of the ledger: behind all shipped ones. */
    public static int ownLine(RecordId id) {
        return OWN_LINES + Integer.parseInt(id.value().substring(1));
    }

    private static RecordId own(int number) {
        return RecordId.of(String.format("C%03d", number));
    }

    /** One file being read. */
    private static final class Reading {
        private final Evidence ledger;
        private final Catalogue catalogue;
        private final List<LedgerEntry> added = new ArrayList<>();
        private final List<LedgerEntry> corrected = new ArrayList<>();
        private final List<LineFault> faults = new ArrayList<>();
        private final Set<RecordId> seen = new HashSet<>();
        private final Map<String, RecordId> studies;
        private int same;
        private int rows;
        private int given;

        Reading(Evidence ledger, Catalogue catalogue) {
            this.ledger = ledger;
            this.studies = StudyCheck.studies(ledger);
            this.catalogue = catalogue;
        }

        Import read(String file, String csv) {
            try {
                CsvTable.read(file, csv, columns(), (row, place) -> {
                    rows++;
                    if (rows > MOST_ROWS) {
                        throw place.fault("the file has more than " + MOST_ROWS + " records; allowed: at most "
                                + MOST_ROWS + " in one file");
                    }
                    try {
                        take(file, row, place.line());
                    } catch (SourceException fault) {
                        faults.add(new LineFault(fault.line(), fault.says()));
                    }
                });
            } catch (SourceException fault) {
                faults.add(new LineFault(fault.line(), fault.says()));
            }
            return new Import(List.copyOf(added), List.copyOf(corrected), same, List.copyOf(faults));
        }

        private void take(String file, CSVRecord row, int line) {
            boolean keyless = row.get("record").isBlank();
            RecordId id = keyless
                    ? next()
                    : parsed(file, line, "record", row.get("record"), () -> RecordId.of(row.get("record")));
            if (!seen.add(id)) {
                throw new SourceException(file, line, "record '" + id + "' stands here twice");
            }
            AccuracyRecord record = LedgerReader.record(file, id, column -> plain(row, column), line);
            Optional<LedgerEntry> known = ledger.entry(id);
            LedgerEntry entry = new LedgerEntry(
                    record.withReviewState(known.map(each -> each.record().reviewState())
                                    .orElse(AccuracyRecord.UNREVIEWED))
                            .withLine(known.map(each -> each.record().line()).orElseGet(() -> ownLine(id))),
                    tie(file, line, row, id));
            if (known.isEmpty() && id.value().startsWith("E")) {
                throw new SourceException(
                        file,
                        line,
                        "record '" + id
                                + "' is not in the shipped ledger; allowed: one that is, a key with C, or none for a new study");
            }
            if (known.isPresent() && known.get().content().equals(entry.content())) {
                same++;
                return;
            }
            if (known.isPresent()
                    && id.value().startsWith("C")
                    && !StudyCheck.study(known.get().record()).equals(StudyCheck.study(record))) {
                throw new SourceException(
                        file,
                        line,
                        "record '" + id + "' is another study here ("
                                + known.get().record().citation()
                                + "); allowed: no key, so that it is added as a new one");
            }
            StudyCheck.of(entry, studies, catalogue).faults().stream()
                    .findFirst()
                    .ifPresent(fault -> {
                        throw new SourceException(file, line, fault.field() + " " + fault.says());
                    });
            studies.putIfAbsent(StudyCheck.study(record), id);
            (known.isPresent() ? corrected : added).add(entry);
        }

        /** The first free key after the last one given. */
        private RecordId next() {
            RecordId id = free(ledger, given + 1);
            given = Integer.parseInt(id.value().substring(1));
            return id;
        }

        private static Tie tie(String file, int line, CSVRecord row, RecordId id) {
            if (!plain(row, "unused").isBlank()) {
                return new Tie.Unused(id, plain(row, "unused"));
            }
            Series series = parsed(
                    file,
                    line,
                    "series",
                    row.get("series"),
                    () -> Series.valueOf(row.get("series").toUpperCase()));
            if (!row.get("cluster").isBlank()) {
                return parsed(
                        file,
                        line,
                        "cluster",
                        row.get("cluster"),
                        () -> new Tie.ToCluster(id, ClusterId.of(row.get("cluster")), series));
            }
            ConditionId condition = parsed(
                    file,
                    line,
                    "tied_condition",
                    row.get("tied_condition"),
                    () -> ConditionId.of(row.get("tied_condition")));
            if (!row.get("clue").isBlank()) {
                return new Tie.ToClue(id, row.get("clue"), condition, series);
            }
            return parsed(
                    file,
                    line,
                    "test",
                    row.get("test"),
                    () -> new Tie.ToTest(
                            id,
                            TestId.of(row.get("test")),
                            CriterionId.of(row.get("tied_criterion")),
                            condition,
                            series,
                            row.get("inventors").equals("yes"),
                            plain(row, "tie_note")));
        }

        private static <T> T parsed(String file, int line, String column, String text, Supplier<T> parse) {
            try {
                return parse.get();
            } catch (IllegalArgumentException fault) {
                throw new SourceException(
                        file,
                        line,
                        column + " is '" + text + "'; allowed: "
                                + switch (column) {
                                    case "record" -> "E or C and three to five digits, or empty for a new study";
                                    case "series" -> "surgical, specialist, first_contact, unstated";
                                    case "test" ->
                                        "a test with its criterion, a cluster, a clue, or unused with a reason";
                                    default -> "a name in small letters, digits and dashes";
                                });
            }
        }
    }
}
