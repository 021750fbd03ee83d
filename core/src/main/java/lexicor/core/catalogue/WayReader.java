package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.lookup.Keyed;
import lexicor.core.source.CsvTable;
import lexicor.core.source.Place;
import org.apache.commons.csv.CSVRecord;

/** Reads the ways of doing tests; a fault names file, line and what is allowed. */
final class WayReader {

    private static final List<String> COLUMNS =
            List.of("test", "way", "label", "differs", "capture", "covered_by", "else");
    private static final java.util.regex.Pattern SLUG = java.util.regex.Pattern.compile("[a-z0-9]+(-[a-z0-9]+)*");
    private static final java.util.regex.Pattern ELSE = java.util.regex.Pattern.compile("(same|wider|note): (\\S.*)");
    private static final Map<String, Way.Effect> EFFECTS =
            Map.of("same", Way.Effect.SAME, "wider", Way.Effect.WIDER, "note", Way.Effect.NOTED);

    private final String file;

    private WayReader(String file) {
        this.file = file;
    }

    /** The ways of each test, the usual one first. */
    static Map<String, List<Way>> read(String file, String csv) {
        return new WayReader(file).read(csv);
    }

    private Map<String, List<Way>> read(String csv) {
        Map<String, List<Way>> ways = new LinkedHashMap<>();
        CsvTable.read(file, csv, COLUMNS, (record, place) -> {
            List<Way> known = ways.computeIfAbsent(record.get("test"), test -> new ArrayList<>());
            Way way = way(record, place);
            if (known.stream().anyMatch(each -> each.value().equals(way.value()))) {
                throw place.fault(
                        "way '" + way.value() + "' of '" + record.get("test") + "' stands here twice; allowed: once");
            }
            known.add(way);
        });
        return ways;
    }

    private static Way way(CSVRecord record, Place place) {
        String value = record.get("way");
        if (!SLUG.matcher(value).matches() || value.equals(Way.USUAL)) {
            throw place.fault(
                    "way is '" + value + "'; allowed: small letters, digits and hyphens, and not '" + Way.USUAL + "'");
        }
        Set<String> covered = Stream.of(record.get("covered_by").split("\\|"))
                .map(String::strip)
                .filter(id -> !id.isEmpty())
                .collect(Collectors.toUnmodifiableSet());
        String said = record.get("else").strip();
        Matcher other = ELSE.matcher(said);
        if (!other.matches() && (!said.isEmpty() || covered.isEmpty())) {
            throw place.fault(
                    "else is '" + said
                            + "'; allowed: same, wider or note with a reason behind a colon, or nothing where records cover it");
        }
        return new Way(
                value,
                record.get("label"),
                record.get("differs"),
                record.get("capture"),
                covered,
                said.isEmpty() ? Optional.empty() : Optional.of(Keyed.at(EFFECTS, other.group(1))),
                said.isEmpty() ? "" : other.group(2),
                place);
    }
}
