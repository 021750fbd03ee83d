package lexicor.core.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Everything the field's content holds, checked as a whole by {@link CatalogueReader}.
 *
 * @param revision short fingerprint of the content, the same for the same content
 */
public record Catalogue(String revision, Map<TestId, ExaminationTest> tests, Map<ConditionId, Condition> conditions,
        List<Cluster> clusters, Map<String, Routine> routines) {

    /** The test, or {@link IllegalArgumentException} that names it. Never null. */
    public ExaminationTest test(TestId id) {
        return Optional.ofNullable(tests.get(id))
                .orElseThrow(() -> new IllegalArgumentException("test '" + id + "' is not in the catalogue; allowed: " + tests.keySet()));
    }

    /** The condition, or {@link IllegalArgumentException} that names it. Never null. */
    public Condition condition(ConditionId id) {
        return Optional.ofNullable(conditions.get(id))
                .orElseThrow(() -> new IllegalArgumentException("condition '" + id + "' is not in the catalogue; allowed: " + conditions.keySet()));
    }

    /** The routine of a region, or {@link IllegalArgumentException} that names it. Never null. */
    public Routine routine(String region) {
        return Optional.ofNullable(routines.get(region))
                .orElseThrow(() -> new IllegalArgumentException("region '" + region + "' has no routine; allowed: " + routines.keySet()));
    }

    public List<Condition> conditionsOf(String region) {
        return conditions.values().stream().filter(condition -> condition.region().equals(region)).toList();
    }
}
