package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import lexicor.core.catalogue.ConditionId;

/**
 * Findings as they are added up for one condition: bundles that are weakly linked, and findings that stand alone
 * because they tell next to nothing or are known by a ratio only.
 */
record Combination(List<Bundle> bundles, List<Load> alone) {

    static final Combination NOTHING = new Combination(List.of(), List.of());

    Combination {
        bundles = List.copyOf(bundles);
        alone = List.copyOf(alone);
    }

    /** Every finding, gathered by the dependency groups of the condition. */
    static Combination of(ConditionId condition, List<Load> loads, Correlations correlations) {
        Map<String, List<Load>> byGroup = new LinkedHashMap<>();
        Map<String, Correlation> known = new LinkedHashMap<>();
        List<Load> alone = new ArrayList<>();
        for (Load load : loads) {
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
        List<Bundle> bundles = byGroup.entrySet().stream()
                .map(entry -> new Bundle(Optional.ofNullable(known.get(entry.getKey())), entry.getValue()))
                .toList();
        return new Combination(bundles, alone);
    }

    /** One finding by itself. */
    static Combination single(Load load) {
        return load.grouped()
                ? new Combination(List.of(Bundle.single(load)), List.of())
                : new Combination(List.of(), List.of(load));
    }

    Stream<Load> loads() {
        return Stream.concat(bundles.stream().flatMap(bundle -> bundle.loads().stream()), alone.stream());
    }

    boolean isEmpty() {
        return bundles.isEmpty() && alone.isEmpty();
    }

    /** log of the product of what stands alone. */
    double logAlone() {
        return alone.stream()
                .mapToDouble(load -> Math.log(load.likelihoodRatio()))
                .sum();
    }
}
