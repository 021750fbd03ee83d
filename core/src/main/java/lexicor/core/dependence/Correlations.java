package lexicor.core.dependence;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.DependencyGroup;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;

/** How far the tests of every dependency group repeat each other, as assumed or learnt from the content. */
public final class Correlations {

    private final Map<String, Correlation> byGroup;
    private final Map<TestId, List<Correlation>> byTest = new HashMap<>();

    private Correlations(Map<String, Correlation> byGroup) {
        this.byGroup = byGroup;
        byGroup.values()
                .forEach(each -> each.group()
                        .tests()
                        .forEach(test -> byTest.computeIfAbsent(test, id -> new ArrayList<>())
                                .add(each)));
    }

    /** As the content has it. */
    public static Correlations of(Catalogue catalogue, Evidence evidence) {
        CorrelationEstimator teacher = new CorrelationEstimator(catalogue, evidence);
        Map<String, Correlation> byGroup = new LinkedHashMap<>();
        for (DependencyGroup group : catalogue.groups()) {
            byGroup.put(group.id(), teacher.teach(group));
        }
        return new Correlations(byGroup);
    }

    /** By group, in the order of the content. */
    public Map<String, Correlation> all() {
        return Map.copyOf(byGroup);
    }

    /**
     * The same with some correlations set by hand.
     *
     * @throws IllegalArgumentException if a group is not known or a correlation is out of range
     */
    public Correlations with(Map<String, Double> chosen) {
        if (chosen.isEmpty()) {
            return this;
        }
        Map<String, Correlation> changed = new LinkedHashMap<>(byGroup);
        chosen.forEach((group, rho) -> {
            Correlation known = byGroup.get(group);
            if (known == null) {
                throw new IllegalArgumentException("group '" + group + "' is not known; allowed: " + byGroup.keySet());
            }
            changed.put(group, known.chosen(rho));
        });
        return new Correlations(changed);
    }

    /** The correlation of a group; empty where there is none of that name. */
    public Optional<Correlation> byId(String group) {
        return Optional.ofNullable(byGroup.get(group));
    }

    /** The correlation of the group in which a test stands for a condition; empty where it stands alone. */
    public Optional<Correlation> of(TestId test, ConditionId condition) {
        return byTest.getOrDefault(test, List.of()).stream()
                .filter(each -> each.group().conditions().isEmpty()
                        || each.group().conditions().contains(condition))
                .findFirst();
    }
}
