package lexicor.core.story;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.CsvTable;
import lexicor.core.source.Fingerprint;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.apache.commons.csv.CSVRecord;

/** Reads what a story does to the starts; a fault names file, line, field and what is allowed. */
public final class StoryReader {

    static final int OLDEST = 130;
    private static final String ROWS = "story.csv";
    private static final String RULES = "story.yaml";
    private static final List<String> COLUMNS =
            List.of("condition", "clue", "from", "direction", "strength", "kind", "reason");
    private static final Set<String> KINDS = Set.of("epidemiology", "mechanism", "site", "course");
    private static final Pattern RANGE = Pattern.compile("(age|weeks) (\\d*)\\.\\.(\\d*)");
    private static final Pattern OTHER = Pattern.compile("(with|without) (\\S+)");
    private static final String DENIED = "no:";

    private final Catalogue catalogue;
    private final Map<String, String> labels;
    private final Set<String> areas;

    private StoryReader(Catalogue catalogue, Map<String, String> told, Set<String> areas) {
        this.catalogue = catalogue;
        this.labels = new LinkedHashMap<>(told);
        this.areas = areas;
    }

    /**
     * The content that ships with the product.
     *
     * @param told words of the answers that the intake can give, by clue
     * @param areas ids of the areas that can be painted
     */
    public static StoryTable shipped(Catalogue catalogue, Map<String, String> told, Set<String> areas) {
        return read(
                catalogue,
                told,
                areas,
                SourceNode.resourceText("/lexicor/catalogue/" + ROWS),
                SourceNode.resourceText("/lexicor/catalogue/" + RULES));
    }

    /** The same from other text. */
    public static StoryTable read(
            Catalogue catalogue, Map<String, String> told, Set<String> areas, String rows, String rules) {
        return new StoryReader(catalogue, told, areas).read(rows, rules);
    }

    private StoryTable read(String rows, String rules) {
        SourceNode root = SourceNode.parse(RULES, rules)
                .allowing("factors", "most", "groups", "painted", "person", "repeats", "occupations");
        root.list("person").forEach(node -> label(node.allowing("clue", "label")));
        List<StoryTable.Painted> painted =
                root.list("painted").stream().map(this::painted).toList();
        Map<Integer, Double> factors = new LinkedHashMap<>();
        SourceNode given = root.child("factors").allowing("1", "2", "3");
        for (int strength = 1; strength <= 3; strength++) {
            factors.put(strength, given.number(String.valueOf(strength), 1, 100));
        }
        Map<String, String> groups = new LinkedHashMap<>();
        SourceNode grouped = root.child("groups");
        grouped.fields()
                .forEach((group, clues) -> clues.items().forEach(clue -> {
                    if (groups.put(known(clue), group) != null) {
                        throw clue.fault("clue '" + clue.asText() + "' stands in two groups; allowed: one");
                    }
                }));
        return new StoryTable(
                Fingerprint.of(List.of(rows, rules)),
                rows(rows),
                labels,
                groups,
                factors,
                root.number("most", 1, 1000),
                painted,
                root.list("repeats").stream().map(this::repeat).toList(),
                root.list("occupations").stream().map(this::occupation).toList());
    }

    private void label(SourceNode node) {
        if (labels.put(node.text("clue"), node.text("label")) != null) {
            throw node.fault("clue '" + node.text("clue") + "' stands here twice");
        }
    }

    private String known(SourceNode clue) {
        if (!labels.containsKey(clue.asText())) {
            throw clue.fault("clue '" + clue.asText() + "' is not known; allowed: " + labels.keySet());
        }
        return clue.asText();
    }

    private Set<String> known(SourceNode node, String field) {
        Set<String> clues = new LinkedHashSet<>();
        node.list(field).forEach(clue -> clues.add(known(clue)));
        return clues;
    }

    private StoryTable.Painted painted(SourceNode node) {
        node.allowing("clue", "label", "of", "regions", "any", "least", "none");
        label(node);
        if (!Set.of("pain", "tingling").contains(node.text("of"))) {
            throw node.child("of").fault("'" + node.text("of") + "' is not painted; allowed: pain, tingling");
        }
        List<Set<String>> any = node.list("any").stream().map(this::areas).toList();
        if (any.isEmpty()) {
            throw node.fault("field 'any' is empty; allowed: at least one list of areas");
        }
        return new StoryTable.Painted(
                node.text("clue"),
                node.text("of"),
                Set.copyOf(regions(node)),
                any,
                node.has("least") ? node.whole("least", 1, any.size()) : 1,
                node.has("none") ? areas(node.child("none")) : Set.of());
    }

    private Set<String> areas(SourceNode list) {
        Set<String> named = new LinkedHashSet<>();
        list.items().forEach(area -> {
            if (!areas.contains(area.asText())) {
                throw area.fault("area '" + area.asText() + "' is on no drawing; allowed: " + areas);
            }
            named.add(area.asText());
        });
        return named;
    }

    private List<String> regions(SourceNode node) {
        node.list("regions").stream()
                .filter(region -> !catalogue.routines().containsKey(region.asText()))
                .findFirst()
                .ifPresent(region -> {
                    throw region.fault("region '" + region.asText() + "' is not known; allowed: "
                            + catalogue.routines().keySet());
                });
        return node.texts("regions");
    }

    private StoryTable.Repeat repeat(SourceNode node) {
        node.allowing("test", "criterion", "shows", "clears");
        ExaminationTest test = catalogue.tests().values().stream()
                .filter(each -> each.id().value().equals(node.text("test")))
                .findFirst()
                .orElseThrow(() -> node.child("test")
                        .fault("test '" + node.text("test") + "' is not known; allowed: a test of the catalogue"));
        List<String> criteria = test.criteria().stream()
                .map(criterion -> criterion.id().value())
                .toList();
        if (!criteria.contains(node.text("criterion"))) {
            throw node.child("criterion")
                    .fault("criterion '" + node.text("criterion") + "' is not known; allowed: " + criteria);
        }
        return new StoryTable.Repeat(
                TestId.of(node.text("test")),
                CriterionId.of(node.text("criterion")),
                known(node, "shows"),
                known(node, "clears"));
    }

    private StoryTable.Occupation occupation(SourceNode node) {
        node.allowing("words", "loads", "regions");
        return new StoryTable.Occupation(node.texts("words"), known(node, "loads"), Set.copyOf(regions(node)));
    }

    private Map<ConditionId, List<StoryRow>> rows(String text) {
        Map<ConditionId, List<StoryRow>> rows = new LinkedHashMap<>();
        CsvTable.read(ROWS, text, COLUMNS, (record, place) -> {
            StoryRow row = row(record, place.line());
            rows.computeIfAbsent(row.condition(), condition -> new ArrayList<>())
                    .add(row);
        });
        return rows;
    }

    private StoryRow row(CSVRecord record, int line) {
        ConditionId condition = catalogue.conditions().keySet().stream()
                .filter(id -> id.value().equals(record.get("condition")))
                .findFirst()
                .orElseThrow(() -> new SourceException(
                        ROWS,
                        line,
                        "condition '" + record.get("condition") + "' is not known; allowed: "
                                + catalogue.conditions().keySet()));
        boolean denied = record.get("clue").startsWith(DENIED);
        String clue = denied ? record.get("clue").substring(DENIED.length()) : record.get("clue");
        StoryRow.When when = when(record.get("from"), line);
        if (clue.startsWith(StoryRow.AGE) ? when.ages().isEmpty() : !labels.containsKey(clue)) {
            throw new SourceException(
                    ROWS,
                    line,
                    clue.startsWith(StoryRow.AGE)
                            ? "clue '" + clue + "' says no ages in 'from'; allowed: age a..b"
                            : "clue '" + clue + "' is not known; allowed: " + labels.keySet());
        }
        String direction = oneOf(record, line, "direction", Set.of("up", "down"));
        int strength = Integer.parseInt(oneOf(record, line, "strength", Set.of("0", "1", "2", "3")));
        if (strength == 0 && direction.equals("up")) {
            throw new SourceException(ROWS, line, "strength is 0 and direction up; allowed: 1 to 3, or down");
        }
        return new StoryRow(
                condition,
                clue,
                !denied,
                when,
                direction.equals("up"),
                strength,
                oneOf(record, line, "kind", KINDS),
                record.get("reason"));
    }

    private static String oneOf(CSVRecord record, int line, String column, Set<String> allowed) {
        if (!allowed.contains(record.get(column))) {
            throw new SourceException(
                    ROWS,
                    line,
                    column + " is '" + record.get(column) + "'; allowed: "
                            + String.join(", ", allowed.stream().sorted().toList()));
        }
        return record.get(column);
    }

    private StoryRow.When when(String text, int line) {
        Optional<lexicor.core.catalogue.Pattern.Ages> ages = Optional.empty();
        Optional<Weeks> weeks = Optional.empty();
        List<String> with = new ArrayList<>();
        List<String> without = new ArrayList<>();
        for (String part : text.split(";")) {
            String said = part.strip();
            Matcher range = RANGE.matcher(said);
            Matcher other = OTHER.matcher(said);
            if (range.matches()) {
                boolean ofAge = range.group(1).equals("age");
                int from = range.group(2).isEmpty() ? 0 : Integer.parseInt(range.group(2));
                int to = range.group(3).isEmpty() ? (ofAge ? OLDEST : Weeks.OLDEST) : Integer.parseInt(range.group(3));
                ages = ofAge ? Optional.of(new lexicor.core.catalogue.Pattern.Ages(from, to)) : ages;
                weeks = ofAge ? weeks : Optional.of(new Weeks(from, to));
            } else if (other.matches() && labels.containsKey(other.group(2))) {
                (other.group(1).equals("with") ? with : without).add(other.group(2));
            } else if (!said.isEmpty()) {
                throw new SourceException(
                        ROWS,
                        line,
                        "from is '" + said
                                + "'; allowed: age a..b, weeks a..b, with or without a clue that is known, joined by ;");
            }
        }
        return new StoryRow.When(ages, weeks, with, without);
    }
}
