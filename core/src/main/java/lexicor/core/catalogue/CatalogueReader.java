package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import lexicor.core.lookup.Keyed;
import lexicor.core.source.Fingerprint;
import lexicor.core.source.SourceNode;
import org.jspecify.annotations.Nullable;

/**
 * Reads the catalogue and checks it as a whole. Every fault is a {@link lexicor.core.source.SourceException} that names
 * file, line, field and what is allowed.
 */
public final class CatalogueReader {

    private static final String HOME = "/lexicor/catalogue/";

    private static final int OLDEST = 130;

    private static @Nullable Catalogue shipped;

    private final UnaryOperator<String> files;
    private final List<String> texts = new ArrayList<>();
    private final Known known = new Known();
    private final Map<TestId, SourceNode> places = new LinkedHashMap<>();
    private final Map<ConditionId, Pattern> patterns = new LinkedHashMap<>();
    private final List<DependencyGroup> groups = new ArrayList<>();
    private final LockReader locks = new LockReader(known);
    private final Map<String, RedFlag> redFlags = new LinkedHashMap<>();
    private final List<SharedName> sharedNames = new ArrayList<>();
    private final Map<String, Routine> routines = new LinkedHashMap<>();

    private CatalogueReader(UnaryOperator<String> files) {
        this.files = files;
    }

    /** The catalogue that ships with the product; read once in a process, since it cannot change meanwhile. */
    public static synchronized Catalogue shipped() {
        Catalogue known = shipped;
        if (known == null) {
            known = read(file -> SourceNode.resourceText(HOME + file));
            shipped = known;
        }
        return known;
    }

    /**
     * A catalogue from other files; {@code files} gives the text of a file by its name, starting with
     * {@code index.yaml}.
     */
    public static Catalogue read(UnaryOperator<String> files) {
        return new CatalogueReader(files).read();
    }

    private Catalogue read() {
        SourceNode index = open("index.yaml")
                .allowing(
                        "parts",
                        "schools",
                        "thresholds",
                        "clues",
                        "conditions",
                        "tests",
                        "patterns",
                        "clusters",
                        "groups",
                        "locks",
                        "red-flags",
                        "shared-names",
                        "routines",
                        "retired",
                        "ways",
                        "names");
        PartVocabulary vocabulary = PartVocabulary.read(open(index.text("parts")));
        SchoolReader schools = new SchoolReader(open(index.text("schools")));
        SourceNode working = open(index.text("thresholds"))
                .allowing("set-aside", "test", "act", "serious", "change-position-seconds", "least-bits");
        Thresholds thresholds = thresholds(working);
        Effort effort =
                new Effort(working.number("change-position-seconds", 0, 600), working.number("least-bits", 0, 1));
        open(index.text("clues")).items().forEach(this::clue);
        each(index, "conditions", this::condition);
        Map<String, List<Way>> ways =
                index.has("ways") ? WayReader.read(index.text("ways"), text(index.text("ways"))) : Map.of();
        Map<String, Names> names =
                index.has("names") ? NameReader.read(index.text("names"), text(index.text("names"))) : Map.of();
        TestReader testReader = new TestReader(vocabulary, known, schools, ways, names);
        each(index, "tests", node -> test(node, testReader.read(node)));
        requireKnownTests(ways);
        requireNamedTests(index, names.keySet());
        known.tests.values().forEach(this::requireKnownTests);
        PatternReader patternReader = new PatternReader(known);
        each(index, "patterns", node -> pattern(node, patternReader.read(node)));
        ClusterReader clusterReader = new ClusterReader(known, schools);
        each(index, "clusters", node -> once(node, known.clusters, clusterReader.read(node), Cluster::id, "cluster"));
        each(index, "groups", this::group);
        each(index, "locks", locks::read);
        each(index, "red-flags", this::redFlag);
        each(index, "shared-names", this::sharedName);
        each(index, "routines", this::routine);
        RetiredReader retired = new RetiredReader(known);
        if (index.has("retired")) {
            each(index, "retired", retired::read);
        }
        schools.requireUsed();
        requireReach();
        requireReadCriteria();
        requireExplainedNames(index);
        return new Catalogue(
                Fingerprint.of(texts),
                Collections.unmodifiableMap(known.tests),
                Collections.unmodifiableMap(known.conditions),
                Collections.unmodifiableMap(patterns),
                List.copyOf(known.clusters.values()),
                List.copyOf(groups),
                schools.questions(),
                locks.all(),
                List.copyOf(redFlags.values()),
                Map.copyOf(known.clues),
                List.copyOf(sharedNames),
                thresholds,
                effort,
                Collections.unmodifiableMap(routines),
                retired.retired());
    }

    /** A file holds one entry or a list of them. */
    private void each(SourceNode index, String field, Consumer<SourceNode> entry) {
        for (String file : index.texts(field)) {
            SourceNode root = open(file);
            if (root.isList()) {
                root.items().forEach(entry);
            } else {
                entry.accept(root);
            }
        }
    }

    private SourceNode open(String file) {
        return SourceNode.parse(file, text(file));
    }

    static <K, V> void once(SourceNode node, Map<K, V> map, V value, Function<V, K> id, String what) {
        if (map.put(id.apply(value), value) != null) {
            throw node.fault(what + " '" + id.apply(value) + "' stands in the catalogue twice");
        }
    }

    private static Thresholds thresholds(SourceNode node) {
        double setAside = node.number("set-aside", 0.001, 0.999);
        double test = node.number("test", setAside, 0.999);
        return new Thresholds(setAside, test, node.number("act", test, 0.999), node.number("serious", 0.001, 0.999));
    }

    private void clue(SourceNode node) {
        node.allowing("clue", "label", "age");
        if (known.clues.put(
                        node.text("clue"),
                        new Pattern.Clue(
                                node.text("clue"),
                                node.text("label"),
                                node.optionalChild("age").map(CatalogueReader::ages)))
                != null) {
            throw node.fault("clue '" + node.text("clue") + "' stands here twice");
        }
    }

    private static Pattern.Ages ages(SourceNode node) {
        node.allowing("from", "to");
        int from = node.has("from") ? node.whole("from", 0, OLDEST) : 0;
        return new Pattern.Ages(from, node.has("to") ? node.whole("to", from, OLDEST) : OLDEST);
    }

    private void condition(SourceNode node) {
        node.allowing("id", "name", "short", "everyday", "region", "scope", "start", "only-if", "within", "serious");
        Map<CareSetting, Double> start = new LinkedHashMap<>();
        SourceNode starts = node.child("start").allowing("first-contact", "specialist");
        start.put(CareSetting.FIRST_CONTACT, starts.number("first-contact", 0.001, 0.999));
        start.put(CareSetting.SPECIALIST, starts.number("specialist", 0.001, 0.999));
        Condition condition = new Condition(
                Known.named(node, "id", ConditionId::of),
                node.text("name"),
                node.text("short", node.text("name")),
                node.text("everyday"),
                node.text("region"),
                node.text("scope", ""),
                start,
                node.list("only-if").stream().map(known::clue).toList(),
                node.optionalChild("within").map(known::condition),
                node.optionalChild("serious").map(SourceNode::asText));
        once(node, known.conditions, condition, Condition::id, "condition");
    }

    private void test(SourceNode node, ExaminationTest test) {
        once(node, known.tests, test, ExaminationTest::id, "test");
        places.put(test.id(), node);
    }

    private String text(String file) {
        String text = files.apply(file);
        texts.add(text);
        return text;
    }

    private void requireNamedTests(SourceNode index, Set<String> named) {
        Set<String> ids = known.tests.keySet().stream().map(TestId::value).collect(Collectors.toUnmodifiableSet());
        named.stream().filter(test -> !ids.contains(test)).findFirst().ifPresent(test -> {
            throw index.child("names").fault("test '" + test + "' is not in the catalogue; allowed: the id of a test");
        });
        Map<String, TestId> shortNames = new HashMap<>();
        known.tests.values().forEach(test -> {
            TestId other = shortNames.put(test.shortName().toLowerCase(Locale.ROOT), test.id());
            if (other != null) {
                throw Keyed.at(places, test.id())
                        .fault("short name '" + test.shortName() + "' is that of '" + other
                                + "' too; allowed: one of its own");
            }
        });
    }

    private void requireKnownTests(Map<String, List<Way>> ways) {
        ways.forEach((test, each) -> {
            if (known.tests.keySet().stream().noneMatch(id -> id.value().equals(test))) {
                throw each.get(0)
                        .place()
                        .fault("test '" + test + "' is not in the catalogue; allowed: the id of a test");
            }
        });
    }

    private void requireKnownTests(ExaminationTest test) {
        SourceNode place = Keyed.at(places, test.id());
        place.list("after").forEach(item -> known.criterion(item.child("criterion"), known.test(item.child("test"))));
        place.list("stops").forEach(stop -> known.tests(stop, "spares"));
    }

    private void pattern(SourceNode node, Pattern pattern) {
        once(node, patterns, pattern, Pattern::condition, "pattern of");
    }

    private void group(SourceNode node) {
        node.allowing("id", "name", "conditions", "tests", "rho", "learn");
        List<TestId> tests = known.tests(node, "tests");
        if (tests.size() < 2) {
            throw node.fault("field 'tests' names " + tests.size() + "; allowed: two or more");
        }
        groups.add(new DependencyGroup(
                node.text("id"),
                node.text("name"),
                node.list("conditions").stream().map(known::condition).toList(),
                tests,
                node.number("rho", 0, 0.95),
                node.list("learn").stream().map(known::cluster).toList()));
    }

    private void redFlag(SourceNode node) {
        node.allowing("id", "sign", "think-of", "regions", "then");
        once(
                node,
                redFlags,
                new RedFlag(
                        node.text("id"),
                        node.text("sign"),
                        node.text("think-of"),
                        node.texts("regions"),
                        node.text("then")),
                RedFlag::id,
                "red flag");
    }

    private void sharedName(SourceNode node) {
        node.allowing("name", "meant");
        List<SharedName.Meant> meant = new ArrayList<>();
        for (SourceNode item : node.list("meant")) {
            item.allowing("test", "how");
            meant.add(new SharedName.Meant(known.test(item.child("test")), item.text("how")));
        }
        sharedNames.add(new SharedName(node.text("name"), meant));
    }

    private void routine(SourceNode node) {
        node.allowing("region", "conditions", "clusters", "always", "first", "steps");
        List<Routine.Step> steps = new ArrayList<>();
        for (SourceNode step : node.list("steps")) {
            step.allowing("name", "position", "zones", "tests", "together");
            List<Routine.Together> together = new ArrayList<>();
            List<TestId> tests = known.tests(step, "tests");
            for (SourceNode sheet : step.list("together")) {
                sheet.allowing("name", "tests");
                List<TestId> gathered = known.tests(sheet, "tests");
                if (!tests.containsAll(gathered)) {
                    throw sheet.fault("a sheet gathers tests of its own step; allowed: " + tests);
                }
                together.add(new Routine.Together(sheet.text("name"), gathered));
            }
            steps.add(new Routine.Step(
                    step.text("name", step.text("position")),
                    step.text("position"),
                    step.texts("zones"),
                    tests,
                    together));
        }
        List<ClusterId> clusters =
                node.list("clusters").stream().map(known::cluster).toList();
        routines.put(
                node.text("region"),
                new Routine(
                        node.text("region"),
                        node.list("conditions").stream().map(known::condition).toList(),
                        clusters,
                        known.tests(node, "always"),
                        known.tests(node, "first"),
                        steps));
    }

    /** Where a stop ends a position, every test of the joint that may hurt has to say where it takes the arm. */
    private void requireReach() {
        Set<String> regions = new HashSet<>();
        known.tests.values().stream()
                .filter(test -> test.conduct().stops().stream().anyMatch(stop -> stop.ends() == Conduct.Ends.POSITION))
                .forEach(test -> regions.add(test.region()));
        known.tests.values().stream()
                .filter(test -> regions.contains(test.region())
                        && test.provocation() >= 2
                        && test.reach().isEmpty())
                .findFirst()
                .ifPresent(test -> {
                    throw Keyed.at(places, test.id())
                            .fault(
                                    "test '" + test.id()
                                            + "' may hurt and does not say where it takes the arm; allowed: 'reach' with elevation, plane and rotation, or a pose");
                });
    }

    /** A criterion that nothing reads can never say anything. */
    private void requireReadCriteria() {
        Set<String> read = new HashSet<>();
        for (ExaminationTest test : known.tests.values()) {
            test.reads().forEach(reads -> reads.by().forEach(criterion -> read.add(test.id() + " " + criterion)));
            test.conduct().after().forEach(after -> read.add(after.test() + " " + after.criterion()));
        }
        for (Pattern pattern : patterns.values()) {
            pattern.against().forEach(finding -> read.add(finding.test() + " " + finding.criterion()));
        }
        for (ExaminationTest test : known.tests.values()) {
            for (SourceNode criterion : Keyed.at(places, test.id()).list("criteria")) {
                if (!read.contains(test.id() + " " + criterion.text("id"))) {
                    throw criterion.fault("criterion '" + criterion.text("id") + "' of '" + test.id()
                            + "' is read for no condition; allowed: a line under 'reads'");
                }
            }
        }
    }

    /**
     * A name that two tests share has to say how they differ; a name that is explained has to be an alias of each test.
     */
    private void requireExplainedNames(SourceNode index) {
        Map<String, Set<TestId>> byName = new TreeMap<>();
        for (ExaminationTest test : known.tests.values()) {
            test.aliases()
                    .forEach(alias -> byName.computeIfAbsent(alias.toLowerCase(Locale.ROOT), name -> new HashSet<>())
                            .add(test.id()));
            byName.computeIfAbsent(test.name().toLowerCase(Locale.ROOT), name -> new HashSet<>())
                    .add(test.id());
        }
        for (SharedName shared : sharedNames) {
            Set<TestId> meant = new HashSet<>(
                    shared.meant().stream().map(SharedName.Meant::test).toList());
            if (!meant.equals(byName.remove(shared.name().toLowerCase(Locale.ROOT)))) {
                throw index.child("shared-names")
                        .fault("'" + shared.name() + "' explains " + meant
                                + ", which are not the tests of that name or alias");
            }
        }
        byName.forEach((name, tests) -> {
            if (tests.size() > 1) {
                throw index.child("shared-names")
                        .fault("'" + name + "' is a name of " + tests
                                + "; allowed: one test, or an explanation of how they differ");
            }
        });
    }
}
