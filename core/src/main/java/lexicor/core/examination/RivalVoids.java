package lexicor.core.examination;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.DependencyGroup;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.SourceNode;

/**
 * Findings that explain a positive answer of other tests: a stiff joint hurts in every test at the end of its movement,
 * so that pain there speaks for nothing else. Negative answers stand.
 */
public final class RivalVoids {

    private static final String FILE = "rival-voids.yaml";
    private static final String HOME = "/lexicor/catalogue/";

    private final List<Void> voids;

    private RivalVoids(List<Void> voids) {
        this.voids = List.copyOf(voids);
    }

    /**
     * One such finding.
     *
     * @param tests whose positives are explained by it
     * @param spares conditions for which they are still read
     */
    private record Void(
            TestId test,
            ConditionId condition,
            CriterionId criterion,
            Set<TestId> tests,
            Set<ConditionId> spares,
            String because) {

        boolean found(List<TestReading> readings) {
            return readings.stream()
                    .filter(each -> each.test().equals(test))
                    .flatMap(each -> each.readings().stream())
                    .anyMatch(each -> each.condition().equals(condition)
                            && each.criterion().equals(criterion)
                            && each.result() == Reading.Result.POSITIVE);
        }

        Reading read(Reading reading) {
            boolean explained = reading.result() == Reading.Result.POSITIVE
                    && tests.contains(reading.test())
                    && !spares.contains(reading.condition());
            return explained
                    ? new Reading(
                            reading.test(),
                            reading.condition(),
                            reading.criterion(),
                            Reading.Result.NOT_INTERPRETABLE,
                            because)
                    : reading;
        }
    }

    /** Those that ship with the product. */
    public static RivalVoids shipped(Catalogue catalogue) {
        return read(catalogue, FILE, SourceNode.resourceText(HOME + FILE));
    }

    /** From a text; the file name is used in messages. */
    static RivalVoids read(Catalogue catalogue, String file, String yaml) {
        List<Void> voids = new ArrayList<>();
        for (SourceNode node : SourceNode.parse(file, yaml).items()) {
            node.allowing("id", "found", "groups", "tests", "spares", "because");
            SourceNode found = node.child("found").allowing("test", "condition", "criterion");
            TestId test = TestId.of(found.text("test"));
            ConditionId condition = ConditionId.of(found.text("condition"));
            CriterionId criterion = CriterionId.of(found.text("criterion"));
            if (!catalogue.tests().containsKey(test)
                    || catalogue
                            .test(test)
                            .readingFor(condition)
                            .filter(reads -> reads.by().contains(criterion))
                            .isEmpty()) {
                throw found.fault("test '" + test + "' does not read '" + condition + "' by '" + criterion
                        + "'; allowed: a reading of the catalogue");
            }
            Set<TestId> tests = new LinkedHashSet<>();
            for (String group : node.texts("groups")) {
                DependencyGroup known = catalogue.groups().stream()
                        .filter(each -> each.id().equals(group))
                        .findFirst()
                        .orElseThrow(() -> node.fault("group '" + group + "' is not known; allowed: "
                                + catalogue.groups().stream()
                                        .map(DependencyGroup::id)
                                        .toList()));
                tests.addAll(known.tests());
            }
            for (String id : node.texts("tests")) {
                if (!catalogue.tests().containsKey(TestId.of(id))) {
                    throw node.fault("test '" + id + "' is not known; allowed: the id of a test");
                }
                tests.add(TestId.of(id));
            }
            Set<ConditionId> spares = new LinkedHashSet<>();
            node.texts("spares")
                    .forEach(id ->
                            spares.add(catalogue.condition(ConditionId.of(id)).id()));
            voids.add(new Void(test, condition, criterion, tests, spares, node.text("because")));
        }
        return new RivalVoids(voids);
    }

    /** The readings with what is explained by another finding no longer read for rivals. */
    public List<TestReading> apply(List<TestReading> readings) {
        List<Void> found = voids.stream().filter(each -> each.found(readings)).toList();
        return found.isEmpty()
                ? readings
                : readings.stream()
                        .map(test -> test.with(test.readings().stream()
                                .map(reading -> {
                                    Reading read = reading;
                                    for (Void each : found) {
                                        read = each.read(read);
                                    }
                                    return read;
                                })
                                .toList()))
                        .toList();
    }
}
