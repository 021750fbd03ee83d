package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import lexicor.core.source.Fingerprint;
import lexicor.core.source.SourceNode;

/**
 * Reads the catalogue and checks it as a whole. Every fault is a {@link lexicor.core.source.SourceException} that names
 * file, line, field and what is allowed.
 */
public final class CatalogueReader {

    private static final String HOME = "/lexicor/catalogue/";

    private final UnaryOperator<String> files;
    private final List<String> texts = new ArrayList<>();
    private final Map<TestId, ExaminationTest> tests = new LinkedHashMap<>();
    private final Map<ConditionId, Condition> conditions = new LinkedHashMap<>();
    private final List<Cluster> clusters = new ArrayList<>();
    private final Map<String, Routine> routines = new LinkedHashMap<>();

    private CatalogueReader(UnaryOperator<String> files) {
        this.files = files;
    }

    /** The catalogue that ships with the product. */
    public static Catalogue shipped() {
        return read(file -> SourceNode.resourceText(HOME + file));
    }

    /** A catalogue from other files; {@code files} gives the text of a file by its name, starting with {@code index.yaml}. */
    public static Catalogue read(UnaryOperator<String> files) {
        return new CatalogueReader(files).read();
    }

    private Catalogue read() {
        SourceNode index = open("index.yaml").allowing("parts", "conditions", "tests", "clusters", "routines");
        PartVocabulary vocabulary = PartVocabulary.read(open(index.text("parts")));
        for (String file : index.texts("conditions")) {
            open(file).items().forEach(this::condition);
        }
        TestReader testReader = new TestReader(vocabulary, conditions.keySet());
        for (String file : index.texts("tests")) {
            SourceNode node = open(file);
            ExaminationTest test = testReader.read(node);
            if (tests.put(test.id(), test) != null) {
                throw node.fault("test '" + test.id() + "' stands in the catalogue twice");
            }
        }
        for (String file : index.texts("clusters")) {
            open(file).items().forEach(this::cluster);
        }
        for (String file : index.texts("routines")) {
            open(file).items().forEach(this::routine);
        }
        return new Catalogue(Fingerprint.of(texts), Collections.unmodifiableMap(tests), Collections.unmodifiableMap(conditions),
                List.copyOf(clusters), Collections.unmodifiableMap(routines));
    }

    private SourceNode open(String file) {
        String text = files.apply(file);
        texts.add(text);
        return SourceNode.parse(file, text);
    }

    private void condition(SourceNode node) {
        node.allowing("id", "name", "short", "region", "scope", "start", "within");
        ConditionId id = named(node, "id", ConditionId::of);
        Map<Setting, Double> start = new LinkedHashMap<>();
        SourceNode starts = node.child("start").allowing("first-contact", "specialist");
        start.put(Setting.FIRST_CONTACT, starts.number("first-contact", 0.001, 0.999));
        start.put(Setting.SPECIALIST, starts.number("specialist", 0.001, 0.999));
        var within = node.optionalChild("within").map(wider -> known(wider, ConditionId.of(wider.asText()), conditions.keySet(), "condition"));
        Condition condition = new Condition(id, node.text("name"), node.text("short", node.text("name")), node.text("region"),
                node.text("scope", ""), start, within);
        if (conditions.put(id, condition) != null) {
            throw node.fault("condition '" + id + "' stands in the catalogue twice");
        }
    }

    private void cluster(SourceNode node) {
        node.allowing("id", "name", "condition", "components", "levels");
        ConditionId condition = known(node.child("condition"), ConditionId.of(node.text("condition")), conditions.keySet(), "condition");
        List<Cluster.Component> components = new ArrayList<>();
        for (SourceNode component : node.list("components")) {
            component.allowing("test", "criterion");
            TestId test = known(component.child("test"), TestId.of(component.text("test")), tests.keySet(), "test");
            CriterionId criterion = CriterionId.of(component.text("criterion"));
            List<CriterionId> criteria = tests.get(test).criteria().stream().map(Criterion::id).toList();
            known(component.child("criterion"), criterion, criteria, "criterion");
            components.add(new Cluster.Component(test, criterion));
        }
        List<Cluster.Level> levels = new ArrayList<>();
        Set<Integer> covered = new HashSet<>();
        for (SourceNode level : node.list("levels")) {
            level.allowing("name", "from", "to", "record", "direction");
            int from = level.whole("from", 0, components.size());
            int to = level.whole("to", from, components.size());
            for (int count = from; count <= to; count++) {
                if (!covered.add(count)) {
                    throw level.fault("a count of " + count + " falls into two levels");
                }
            }
            levels.add(new Cluster.Level(level.text("name"), from, to, level.text("record"), level.oneOf("direction", Cluster.Direction.class)));
        }
        if (covered.size() != components.size() + 1) {
            throw node.fault("the levels leave out a count; every count from 0 to " + components.size() + " belongs to one level");
        }
        clusters.add(new Cluster(named(node, "id", ClusterId::of), node.text("name"), condition, components, levels));
    }

    private void routine(SourceNode node) {
        node.allowing("region", "steps");
        List<Routine.Step> steps = new ArrayList<>();
        for (SourceNode step : node.list("steps")) {
            step.allowing("position", "tests");
            List<TestId> order = new ArrayList<>();
            for (SourceNode test : step.list("tests")) {
                order.add(known(test, TestId.of(test.asText()), tests.keySet(), "test"));
            }
            steps.add(new Routine.Step(step.text("position"), order));
        }
        routines.put(node.text("region"), new Routine(node.text("region"), steps));
    }

    static <T> T named(SourceNode node, String field, java.util.function.Function<String, T> form) {
        try {
            return form.apply(node.text(field));
        } catch (IllegalArgumentException fault) {
            throw node.child(field).fault("field '" + field + "': " + fault.getMessage());
        }
    }

    static <T> T known(SourceNode node, T id, java.util.Collection<T> allowed, String what) {
        if (!allowed.contains(id)) {
            throw node.fault(what + " '" + id + "' is not known; allowed: " + String.join(", ", allowed.stream().map(String::valueOf).sorted().toList()));
        }
        return id;
    }
}
