package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import lexicor.core.source.SourceNode;

/** Reads what must not be done, and why. */
final class LockReader {

    private final Known known;
    private final List<Lock> locks = new ArrayList<>();
    private final Set<String> facts = new HashSet<>();

    /** @param known tests that have been read before */
    LockReader(Known known) {
        this.known = known;
    }

    List<Lock> all() {
        return List.copyOf(locks);
    }

    void read(SourceNode node) {
        node.allowing("id", "regions", "kinds", "when", "because", "facts", "tests", "sparing");
        List<Lock.Fact> own = node.list("facts").stream().map(this::fact).toList();
        if (own.isEmpty()) {
            throw node.fault("field 'facts' is empty; allowed: at least one fact that locks");
        }
        List<TestId> tests = node.has("tests") ? known.tests(node, "tests") : List.of();
        if (tests.isEmpty() && own.stream().anyMatch(fact -> fact.positions().isEmpty())) {
            throw node.fault("field 'tests' is empty; allowed: at least one test, or positions at each fact");
        }
        locks.add(new Lock(
                node.text("id"),
                node.texts("regions"),
                node.text("kinds"),
                node.text("when"),
                node.text("because"),
                own,
                tests,
                node.text("sparing", "no").equals("yes")));
    }

    private Lock.Fact fact(SourceNode node) {
        node.allowing("fact", "label", "weeks", "positions");
        if (!facts.add(node.text("fact"))) {
            throw node.fault("fact '" + node.text("fact") + "' locks twice; allowed: one lock for each");
        }
        if (node.has("weeks") && node.has("positions")) {
            throw node.fault("field 'positions' stands beside 'weeks'; allowed: one of the two");
        }
        return new Lock.Fact(
                node.text("fact"),
                node.text("label"),
                node.has("weeks") ? OptionalInt.of(node.whole("weeks", 1, 520)) : OptionalInt.empty(),
                node.has("positions") ? positions(node) : List.of());
    }

    private List<String> positions(SourceNode node) {
        Set<String> all = known.tests.values().stream()
                .flatMap(test -> test.positions().stream())
                .collect(Collectors.toCollection(TreeSet::new));
        List<String> positions = node.texts("positions");
        positions.stream()
                .filter(position -> !all.contains(position))
                .findFirst()
                .ifPresent(position -> {
                    throw node.fault("position '" + position + "' is one of no test; allowed: " + all);
                });
        return positions;
    }
}
