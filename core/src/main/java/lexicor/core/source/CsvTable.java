package lexicor.core.source;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.BiConsumer;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Content that is a table (RFC 4180, header row): fixed columns, one entry a row. */
public final class CsvTable {

    private CsvTable() {}

    /**
     * Gives every row with its place.
     *
     * @throws SourceException where columns are missing or not known, or a row has more or fewer
     */
    public static void read(String file, String csv, List<String> columns, BiConsumer<CSVRecord, Place> row) {
        try (CSVParser parser = CSVParser.parse(
                csv,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get())) {
            if (!parser.getHeaderNames().equals(columns)) {
                throw new SourceException(
                        file, 1, "the columns are " + parser.getHeaderNames() + "; allowed: " + columns);
            }
            for (CSVRecord record : parser) {
                Place place = new Place(file, (int) parser.getCurrentLineNumber());
                if (record.size() != columns.size()) {
                    throw place.fault("there are " + record.size() + " columns; allowed: " + columns.size());
                }
                row.accept(record, place);
            }
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }
}
