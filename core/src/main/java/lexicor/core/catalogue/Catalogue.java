package lexicor.core.catalogue;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Everything the field's content holds, checked as a whole by {@link CatalogueReader}.
 *
 * @param revision short fingerprint of the content, the same for the same content
 * @param patterns by condition
 * @param retired what records may still name
 */
public record Catalogue(
        String revision,
        Map<TestId, ExaminationTest> tests,
        Map<ConditionId, Condition> conditions,
        Map<ConditionId, Pattern> patterns,
        List<Cluster> clusters,
        List<DependencyGroup> groups,
        List<Schools.Question> schools,
        List<Lock> locks,
        List<RedFlag> redFlags,
        Map<String, Pattern.Clue> clues,
        List<SharedName> sharedNames,
        Thresholds thresholds,
        Effort effort,
        Map<String, Routine> routines,
        Retired retired) {

    /** The same content, with more that records may name although it is not part of it. */
    public Catalogue with(Retired more) {
        if (more.equals(Retired.NOTHING)) {
            return this;
        }
        return new Catalogue(
                revision,
                tests,
                conditions,
                patterns,
                clusters,
                groups,
                schools,
                locks,
                redFlags,
                clues,
                sharedNames,
                thresholds,
                effort,
                routines,
                retired.with(more));
    }

    /** Whether a test is part of the content, so that it can be done. */
    public boolean has(TestId test) {
        return tests.containsKey(test);
    }

    /**
     * The test, also one that is no longer part of the content, or {@link IllegalArgumentException} that names it.
     * Never null.
     */
    public ExaminationTest test(TestId id) {
        return Optional.ofNullable(tests.get(id))
                .or(() -> Optional.ofNullable(retired.tests().get(id)))
                .orElseThrow(() -> new IllegalArgumentException(
                        "test '" + id + "' is not in the catalogue; allowed: " + tests.keySet()));
    }

    /**
     * The condition, also one that is no longer part of the content, or {@link IllegalArgumentException} that names it.
     * Never null.
     */
    public Condition condition(ConditionId id) {
        return Optional.ofNullable(conditions.get(id))
                .or(() -> Optional.ofNullable(retired.conditions().get(id)))
                .orElseThrow(() -> new IllegalArgumentException(
                        "condition '" + id + "' is not in the catalogue; allowed: " + conditions.keySet()));
    }

    /** The cluster, or {@link IllegalArgumentException} that names it. Never null. */
    public Cluster cluster(ClusterId id) {
        return clusters.stream()
                .filter(cluster -> cluster.id().equals(id))
                .findFirst()
                .orElseThrow(
                        () -> new IllegalArgumentException("cluster '" + id + "' is not in the catalogue; allowed: "
                                + clusters.stream().map(Cluster::id).toList()));
    }

    /** The routine of a region, or {@link IllegalArgumentException} that names it. Never null. */
    public Routine routine(String region) {
        return Optional.ofNullable(routines.get(region))
                .orElseThrow(() -> new IllegalArgumentException(
                        "region '" + region + "' has no routine; allowed: " + routines.keySet()));
    }

    /** The conditions that a region's routine ranks, in its order. */
    public List<Condition> conditionsOf(String region) {
        return routine(region).conditions().stream().map(this::condition).toList();
    }

    /**
     * Tests outside a region's routine that belong to it or speak about a condition it ranks, in the order of the
     * content.
     */
    public List<TestId> beyondRoutine(String region) {
        Routine routine = routine(region);
        Set<TestId> order = Set.copyOf(routine.order());
        Set<ConditionId> conditions = Set.copyOf(routine.conditions());
        return tests.values().stream()
                .filter(test -> !order.contains(test.id()))
                .filter(test -> test.region().equals(region)
                        || test.reads().stream().anyMatch(reads -> conditions.contains(reads.condition())))
                .map(ExaminationTest::id)
                .toList();
    }

    /**
     * The conditions of other regions that a test speaks about; none for a test that is offered in the region anyway.
     */
    public List<ConditionId> broughtInto(String region, TestId test) {
        Routine routine = routine(region);
        if (routine.order().contains(test) || beyondRoutine(region).contains(test)) {
            return List.of();
        }
        return test(test).reads().stream()
                .map(ConditionReading::condition)
                .filter(condition -> !routine.conditions().contains(condition))
                .distinct()
                .toList();
    }

    /** The wider conditions of which {@code condition} is a part, the nearest first. */
    public List<ConditionId> widerThan(ConditionId condition) {
        return Stream.iterate(
                        condition(condition).within(),
                        Optional::isPresent,
                        wider -> condition(wider.get()).within())
                .map(Optional::get)
                .toList();
    }

    /** Of some conditions those that none of the others lies within, in the order of their ids. */
    public List<ConditionId> narrowest(Collection<ConditionId> conditions) {
        return conditions.stream()
                .filter(condition ->
                        conditions.stream().noneMatch(other -> widerThan(other).contains(condition)))
                .sorted(Comparator.comparing(ConditionId::value))
                .toList();
    }

    /** Whether one of two conditions is a part of the other. */
    public boolean related(ConditionId one, ConditionId other) {
        return widerThan(one).contains(other) || widerThan(other).contains(one);
    }

    /** The schools in force where nobody chose another. */
    public Schools usualSchools() {
        return Schools.usual(schools);
    }

    /** Whether a school's question is asked, and this is one of its answers. */
    public boolean hasSchool(String question, String choice) {
        return schools.stream()
                .anyMatch(each ->
                        each.id().equals(question) && each.choice(choice).isPresent());
    }

    /** The red flags asked for a region, in the order of the content. */
    public List<RedFlag> redFlagsOf(String region) {
        return redFlags.stream().filter(flag -> flag.regions().contains(region)).toList();
    }

    /** The locks whose facts are asked for a region. */
    public List<Lock> locksAsked(String region) {
        return locks.stream().filter(lock -> lock.regions().contains(region)).toList();
    }

    public List<Lock> locksOf(TestId test) {
        return locks.stream().filter(lock -> lock.tests().contains(test)).toList();
    }
}
