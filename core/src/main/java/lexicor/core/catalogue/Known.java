package lexicor.core.catalogue;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lexicor.core.lookup.Keyed;
import lexicor.core.source.SourceNode;

/** What has been read so far, to resolve references and refuse unknown ones with what is allowed. */
final class Known {

    final Map<ConditionId, Condition> conditions = new LinkedHashMap<>();
    final Map<TestId, ExaminationTest> tests = new LinkedHashMap<>();
    final Map<ClusterId, Cluster> clusters = new LinkedHashMap<>();

    final Map<String, Pattern.Clue> clues = new LinkedHashMap<>();

    Pattern.Clue clue(SourceNode node) {
        return Optional.ofNullable(clues.get(node.asText()))
                .orElseThrow(() -> node.fault("clue '" + node.asText() + "' is not known; allowed: " + clues.keySet()));
    }

    ConditionId condition(SourceNode node) {
        return one(node, named(node, ConditionId::of), conditions.keySet(), "condition");
    }

    TestId test(SourceNode node) {
        return one(node, named(node, TestId::of), tests.keySet(), "test");
    }

    ClusterId cluster(SourceNode node) {
        return one(node, named(node, ClusterId::of), clusters.keySet(), "cluster");
    }

    CriterionId criterion(SourceNode node, TestId test) {
        List<CriterionId> criteria =
                Keyed.at(tests, test).criteria().stream().map(Criterion::id).toList();
        return one(node, named(node, CriterionId::of), criteria, "criterion");
    }

    /** A criterion by which the test reads the condition. */
    CriterionId criterion(SourceNode node, TestId test, ConditionId condition) {
        List<CriterionId> by = Keyed.at(tests, test)
                .readingFor(condition)
                .map(ConditionReading::by)
                .orElseThrow(() -> node.fault("test '" + test + "' does not read condition '" + condition + "'"));
        return one(node, named(node, CriterionId::of), by, "criterion");
    }

    List<TestId> tests(SourceNode node, String field) {
        return node.list(field).stream().map(this::test).toList();
    }

    /** The name of an entry itself, in its field. */
    static <T> T named(SourceNode node, String field, Function<String, T> form) {
        try {
            return form.apply(node.text(field));
        } catch (IllegalArgumentException fault) {
            throw node.child(field).fault("field '" + field + "': " + fault.getMessage());
        }
    }

    static <T> T named(SourceNode node, Function<String, T> form) {
        try {
            return form.apply(node.asText());
        } catch (IllegalArgumentException fault) {
            throw node.fault(fault.getMessage());
        }
    }

    static <T> T one(SourceNode node, T id, Collection<T> allowed, String what) {
        if (!allowed.contains(id)) {
            throw node.fault(what + " '" + id + "' is not known; allowed: "
                    + String.join(
                            ", ", allowed.stream().map(String::valueOf).sorted().toList()));
        }
        return id;
    }
}
