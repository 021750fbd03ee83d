package lexicor.core.catalogue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import lexicor.core.source.CsvTable;

/** Reads what the field calls the tests; a fault names file, line and what is allowed. */
final class NameReader {

    private static final List<String> COLUMNS = List.of("test", "usual", "also", "misspelt");

    private NameReader() {}

    /** The names of each test. */
    static Map<String, Names> read(String file, String csv) {
        Map<String, Names> names = new LinkedHashMap<>();
        CsvTable.read(file, csv, COLUMNS, (record, place) -> {
            Names read = new Names(
                    Optional.of(record.get("usual").strip()).filter(usual -> !usual.isEmpty()),
                    list(record.get("also")),
                    list(record.get("misspelt")));
            if (names.put(record.get("test"), read) != null) {
                throw place.fault("test '" + record.get("test") + "' stands here twice; allowed: once");
            }
        });
        return names;
    }

    private static List<String> list(String text) {
        return Stream.of(text.split("\\|"))
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList();
    }
}
