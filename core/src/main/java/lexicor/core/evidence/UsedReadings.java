package lexicor.core.evidence;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;

/** The readings that something makes use of. */
final class UsedReadings {

    private final Set<String> names = new HashSet<>();

    UsedReadings(Catalogue catalogue, Collection<Tie> ties) {
        for (Tie tie : ties) {
            if (tie instanceof Tie.ToTest to) {
                names.add(name(to.test(), to.condition(), to.criterion()));
            }
        }
        catalogue.patterns().values().forEach(this::pattern);
        for (Cluster cluster : catalogue.clusters()) {
            cluster.components().stream()
                    .flatMap(component -> component.anyOf().stream())
                    .forEach(finding -> names.add(name(finding.test(), cluster.condition(), finding.criterion())));
        }
        for (ExaminationTest test : catalogue.tests().values()) {
            for (ConditionReading reading : test.reads()) {
                reading.school()
                        .ifPresent(school -> school.criteria()
                                .values()
                                .forEach(criterion -> names.add(name(test.id(), reading.condition(), criterion))));
            }
        }
    }

    private void pattern(Pattern pattern) {
        Stream.of(pattern.expects(), pattern.defining(), pattern.against())
                .flatMap(List::stream)
                .forEach(finding -> names.add(name(finding.test(), pattern.condition(), finding.criterion())));
    }

    Set<String> names() {
        return names;
    }

    static String name(TestId test, ConditionId condition, CriterionId criterion) {
        return test + " " + condition + " " + criterion;
    }
}
