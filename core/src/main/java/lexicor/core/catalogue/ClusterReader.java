package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lexicor.core.lookup.Keyed;
import lexicor.core.source.SourceNode;

/** Reads clusters: every component names what it counts, and every count falls into one level. */
final class ClusterReader {

    private final Known known;

    private final SchoolReader schools;

    ClusterReader(Known known, SchoolReader schools) {
        this.known = known;
        this.schools = schools;
    }

    Cluster read(SourceNode node) {
        node.allowing("id", "name", "condition", "components", "at-most", "levels", "note", "chosen-by", "as-counted");
        ConditionId condition = known.condition(node.child("condition"));
        Map<String, Integer> atMost = new LinkedHashMap<>();
        node.optionalChild("at-most")
                .ifPresent(blocks ->
                        blocks.fields().keySet().forEach(block -> atMost.put(block, blocks.whole(block, 1, 20))));
        List<Cluster.Component> components = new ArrayList<>();
        node.list("components").forEach(component -> components.add(component(component, condition, atMost)));
        if (components.isEmpty()) {
            throw node.fault("field 'components' is empty; allowed: at least one finding");
        }
        int most = atMost.isEmpty()
                ? components.size()
                : atMost.values().stream().mapToInt(Integer::intValue).sum();
        return new Cluster(
                Known.named(node, "id", ClusterId::of),
                node.text("name"),
                condition,
                components,
                atMost,
                levels(node, most),
                node.text("note", ""),
                node.optionalChild("chosen-by").map(this::school),
                node.optionalChild("as-counted").map(other -> asCounted(other, condition)));
    }

    private Conduct.SchoolChoice school(SourceNode node) {
        node.allowing("question", "is");
        return schools.choice(node.child("question"), node.child("is"));
    }

    private Cluster.AsCounted asCounted(SourceNode node, ConditionId condition) {
        node.allowing("school", "criteria", "because");
        Map<TestId, CriterionId> criteria = new LinkedHashMap<>();
        SourceNode given = node.child("criteria");
        given.fields().forEach((test, criterion) -> {
            TestId id = known.test(given.keyNode(test));
            criteria.put(id, known.criterion(criterion, id, condition));
        });
        return new Cluster.AsCounted(school(node.child("school")), criteria, node.text("because"));
    }

    private Cluster.Component component(SourceNode node, ConditionId condition, Map<String, Integer> blocks) {
        node.allowing("test", "criterion", "clue", "name", "any-of", "block");
        String block = node.text("block", "");
        if (!blocks.isEmpty() && !blocks.containsKey(block)) {
            throw node.fault("block '" + block + "' has no number in 'at-most'; allowed: " + blocks.keySet());
        }
        if (node.has("clue")) {
            Pattern.Clue clue = known.clue(node.child("clue"));
            return new Cluster.Component(clue.label(), List.of(), Optional.of(clue), block);
        }
        List<Cluster.Finding> findings = new ArrayList<>();
        List<SourceNode> named = node.has("any-of") ? node.list("any-of") : List.of(node);
        for (SourceNode finding : named) {
            TestId test = known.test(finding.child("test"));
            findings.add(new Cluster.Finding(test, known.criterion(finding.child("criterion"), test, condition)));
        }
        if (findings.isEmpty()) {
            throw node.fault("field 'any-of' is empty; allowed: at least one finding");
        }
        return new Cluster.Component(
                node.text("name", Keyed.at(known.tests, findings.get(0).test()).name()),
                findings,
                Optional.empty(),
                block);
    }

    private static List<Cluster.Level> levels(SourceNode node, int most) {
        List<Cluster.Level> levels = new ArrayList<>();
        Set<Integer> covered = new HashSet<>();
        for (SourceNode level : node.list("levels")) {
            level.allowing("name", "from", "to", "record", "direction");
            int from = level.whole("from", 0, most);
            int to = level.whole("to", from, most);
            for (int count = from; count <= to; count++) {
                if (!covered.add(count)) {
                    throw level.fault("a count of " + count + " falls into two levels");
                }
            }
            Cluster.Direction direction = level.oneOf("direction", Cluster.Direction.class);
            if (direction == Cluster.Direction.NONE && level.has("record")) {
                throw level.child("record")
                        .fault("a level of direction 'none' has no record; allowed: another direction");
            }
            levels.add(new Cluster.Level(
                    level.text("name"),
                    from,
                    to,
                    direction == Cluster.Direction.NONE ? "" : level.text("record"),
                    direction,
                    level.place()));
        }
        if (covered.size() != most + 1) {
            throw node.fault("the levels leave out a count; every count from 0 to " + most + " belongs to one level");
        }
        return levels;
    }
}
