package lexicor.server.page;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A table as comma-separated values by RFC 4180, with a header. */
public final class CsvText {

    private final int columns;
    private final StringBuilder text = new StringBuilder();
    private final CSVPrinter rows;

    public CsvText(String... header) {
        columns = header.length;
        try {
            rows = new CSVPrinter(
                    text, CSVFormat.RFC4180.builder().setHeader(header).get());
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /**
     * Adds a row. What is null, and what is missing at the end, stays empty. Words that a spreadsheet would take for a
     * formula are kept from being one by an apostrophe before them.
     */
    public void row(Object... cells) {
        List<Object> row = new ArrayList<>();
        for (Object cell : cells) {
            row.add(harmless(cell));
        }
        while (row.size() < columns) {
            row.add("");
        }
        try {
            rows.printRecord(row);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private static Object harmless(Object cell) {
        return cell instanceof String words && words.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + words : cell;
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
