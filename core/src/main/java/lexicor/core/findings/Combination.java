package lexicor.core.findings;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.Correlations;

/**
 * Findings as they are added up for one condition: bundles that are weakly linked, and findings that stand alone
 * because they tell next to nothing or are known by a ratio only.
 */
public record Combination(List<FindingGroup> bundles, List<WeightedFinding> alone) {

    public static final Combination NOTHING = new Combination(List.of(), List.of());

    public Combination {
        bundles = List.copyOf(bundles);
        alone = List.copyOf(alone);
    }

    /** Every finding, gathered by the dependency groups of the condition. */
    public static Combination of(ConditionId condition, List<WeightedFinding> loads, Correlations correlations) {
        Map<String, List<WeightedFinding>> byGroup = new LinkedHashMap<>();
        Map<String, Correlation> known = new LinkedHashMap<>();
        List<WeightedFinding> alone = new ArrayList<>();
        for (WeightedFinding load : loads) {
            if (!load.grouped()) {
                alone.add(load);
                continue;
            }
            Optional<Correlation> correlation =
                    load.tests().size() == 1 ? correlations.of(load.tests().get(0), condition) : Optional.empty();
            String group = correlation.map(each -> each.group().id()).orElseGet(() -> "single " + byGroup.size());
            correlation.ifPresent(each -> known.put(group, each));
            byGroup.computeIfAbsent(group, id -> new ArrayList<>()).add(load);
        }
        List<FindingGroup> bundles = byGroup.entrySet().stream()
                .map(entry -> new FindingGroup(Optional.ofNullable(known.get(entry.getKey())), entry.getValue()))
                .toList();
        return new Combination(bundles, alone);
    }

    /** One finding by itself. */
    public static Combination single(WeightedFinding load) {
        return load.grouped()
                ? new Combination(List.of(FindingGroup.single(load)), List.of())
                : new Combination(List.of(), List.of(load));
    }

    public Stream<WeightedFinding> loads() {
        return Stream.concat(bundles.stream().flatMap(bundle -> bundle.loads().stream()), alone.stream());
    }

    public boolean isEmpty() {
        return bundles.isEmpty() && alone.isEmpty();
    }

    /** log of the product of what stands alone. */
    public double logAlone() {
        return alone.stream()
                .mapToDouble(load -> Math.log(load.likelihoodRatio()))
                .sum();
    }
}
