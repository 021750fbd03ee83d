package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.source.Warning;

/** Content that can be used but does less than its author may think. */
public final class CatalogueWarnings {

    private CatalogueWarnings() {}

    /**
     * Conditions that provoke tests of others without a defining finding: nothing can then show that it is they. One
     * warning a condition, at the first test that names it.
     */
    public static List<Warning> of(Catalogue catalogue) {
        Set<ConditionId> defined = catalogue.patterns().values().stream()
                .filter(pattern -> !pattern.defining().isEmpty())
                .map(Pattern::condition)
                .collect(Collectors.toSet());
        Map<ConditionId, List<AlsoIn>> undefined = new LinkedHashMap<>();
        catalogue.tests().values().stream()
                .flatMap(test -> test.alsoIn().stream())
                .filter(also -> !defined.contains(also.condition()))
                .forEach(also -> undefined
                        .computeIfAbsent(also.condition(), id -> new ArrayList<>())
                        .add(also));
        return undefined.entrySet().stream()
                .sorted(Comparator.comparing(entry -> entry.getKey().value()))
                .map(entry -> new Warning(
                        entry.getValue().get(0).place(),
                        "'" + entry.getKey() + "' provokes " + entry.getValue().size()
                                + (entry.getValue().size() == 1 ? " test" : " tests")
                                + " of other conditions but has no defining finding in its pattern, so nothing makes them"
                                + " uninterpretable; allowed: a finding under 'defining'"))
                .toList();
    }
}
