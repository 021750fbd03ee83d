package lexicor.core.catalogue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.source.SourceNode;
import org.jspecify.annotations.Nullable;

/** Reads the list of tests and conditions that were taken out of the content, with what has come in their place. */
final class RetiredReader {

    private final Known known;
    private final Map<TestId, ExaminationTest> tests = new LinkedHashMap<>();
    private final Map<ConditionId, Condition> conditions = new LinkedHashMap<>();

    RetiredReader(Known known) {
        this.known = known;
    }

    void read(SourceNode node) {
        node.allowing("test", "condition", "name", "successor");
        if (node.has("test") == node.has("condition")) {
            throw node.fault("names neither a test nor a condition, or both; allowed: one of them");
        }
        if (node.has("test")) {
            TestId id = Known.named(node, "test", TestId::of);
            if (known.tests.containsKey(id)) {
                throw node.fault(
                        "test '" + id + "' is still in the catalogue; allowed: the id of one that was taken out");
            }
            Optional<String> successor = node.optionalChild("successor")
                    .map(named ->
                            successor(named, known.tests.get(TestId.of(named.asText())), ExaminationTest::shortName));
            CatalogueReader.once(
                    node,
                    tests,
                    Retired.test(id, node.text("name"), successor, List.of()),
                    ExaminationTest::id,
                    "retired test");
        } else {
            ConditionId id = Known.named(node, "condition", ConditionId::of);
            if (known.conditions.containsKey(id)) {
                throw node.fault(
                        "condition '" + id + "' is still in the catalogue; allowed: the id of one that was taken out");
            }
            Optional<String> successor = node.optionalChild("successor")
                    .map(named -> successor(
                            named, known.conditions.get(ConditionId.of(named.asText())), Condition::shortName));
            CatalogueReader.once(
                    node,
                    conditions,
                    Retired.condition(id, node.text("name"), successor),
                    Condition::id,
                    "retired condition");
        }
    }

    private static <T> String successor(
            SourceNode named, @Nullable T found, java.util.function.Function<T, String> name) {
        if (found == null) {
            throw named.fault(
                    "successor '" + named.asText() + "' is not in the catalogue; allowed: the id of one that is");
        }
        return name.apply(found);
    }

    Retired retired() {
        return new Retired(tests, conditions);
    }
}
