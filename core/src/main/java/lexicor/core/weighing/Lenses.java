package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.Correlations;
import lexicor.core.differential.Forest;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.findings.ClusterCount;
import lexicor.core.findings.Combination;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.findings.WeightedFindings;
import lexicor.core.lookup.Keyed;

/**
 * The findings of a visit through every way of adding up. A set, or a strongest finding, stands for others in the whole
 * family of its condition, so that no condition keeps what a wider or narrower one has given up.
 */
final class Lenses {

    /**
     * What a lens adds up for each ranked condition.
     *
     * @param by in words, without a full stop; absent for a condition of whose family nothing is weighed
     */
    record Seen(Map<ConditionId, List<WeightedFinding>> kept, Map<ConditionId, String> by) {

        private Seen() {
            this(new LinkedHashMap<>(), new LinkedHashMap<>());
        }
    }

    /** A set whose level is known. */
    private record Decided(ClusterCount count, WeightedFinding level) {

        ConditionId condition() {
            return count.cluster().condition();
        }

        boolean byName(Schools schools) {
            return count.cluster()
                    .chosenBy()
                    .filter(choice -> choice.inForce(schools))
                    .isPresent();
        }

        boolean lowers() {
            return level.likelihoodRatio() < 1;
        }

        boolean sharesTests(Decided other) {
            return level.tests().stream().anyMatch(other.count.cluster()::counts);
        }
    }

    private final Forest forest;
    private final Map<ConditionId, List<WeightedFinding>> found;
    private final Map<Integer, List<ConditionId>> families;
    private final Correlations correlations;
    private final List<ClusterCount> clusters;
    private final WeightedFindings builder;
    private final Schools schools;
    private final Map<Lens, Seen> seen = new EnumMap<>(Lens.class);

    /**
     * @param forest the ranked conditions by what they lie within
     * @param found what is weighed for each of them
     * @param schools by which it is chosen which set is meant
     */
    Lenses(
            Forest forest,
            Map<ConditionId, List<WeightedFinding>> found,
            Correlations correlations,
            List<ClusterCount> clusters,
            WeightedFindings builder,
            Schools schools) {
        this.forest = forest;
        this.found = found;
        this.correlations = correlations;
        this.clusters = clusters.stream()
                .filter(count ->
                        count.cluster().meant(schools, clusters.stream().map(ClusterCount::cluster)))
                .toList();
        this.builder = builder;
        this.schools = schools;
        families = found.keySet().stream()
                .collect(Collectors.groupingBy(
                        id -> forest.root(forest.place(id.value())), LinkedHashMap::new, Collectors.toList()));
    }

    /** What one lens adds up. */
    Seen through(Lens lens) {
        return seen.computeIfAbsent(lens, each -> {
            Seen all = new Seen();
            families.values().forEach(family -> {
                switch (each) {
                    case CHAIN, TALLY -> chain(family, all);
                    case STRONGEST_SINGLE -> strongest(family, all, "");
                    case CLUSTER -> sets(family, all);
                }
            });
            return all;
        });
    }

    private void chain(List<ConditionId> family, Seen into) {
        long of = family.stream()
                .flatMap(condition -> loads(condition).stream())
                .map(JointModel::observation)
                .distinct()
                .count();
        for (ConditionId condition : family) {
            int own = loads(condition).size();
            into.kept().put(condition, inOrder(condition, loads(condition)));
            if (of > 0) {
                into.by().put(condition, own == 0 ? "findings about its family" : findings(own));
            }
        }
    }

    private static String findings(int count) {
        return count == 1 ? "one finding" : count + " findings";
    }

    private void strongest(List<ConditionId> family, Seen into, String because) {
        Optional<WeightedFinding> best = family.stream()
                .flatMap(condition -> loads(condition).stream())
                .max(Comparator.comparingDouble(load -> Math.abs(load.decibans())));
        for (ConditionId condition : family) {
            into.kept()
                    .put(
                            condition,
                            inOrder(
                                    condition,
                                    loads(condition).stream()
                                            .filter(load -> JointModel.observation(load)
                                                    .equals(JointModel.observation(best.orElseThrow())))
                                            .toList()));
            best.ifPresent(load -> into.by().put(condition, because + load.phrase()));
        }
    }

    /** The decided sets of a family, and the findings that share no group with their tests: those the sets count. */
    private void sets(List<ConditionId> family, Seen into) {
        List<Decided> decided = decided(family);
        if (decided.isEmpty()) {
            strongest(family, into, "no set is decided, so the strongest: ");
            return;
        }
        for (ConditionId condition : family) {
            Stream<WeightedFinding> levels = decided.stream()
                    .filter(each -> each.condition().equals(condition))
                    .map(Decided::level);
            Stream<WeightedFinding> others = loads(condition).stream()
                    .filter(load -> decided.stream().noneMatch(each -> sharesGround(load, condition, each.count())));
            into.kept()
                    .put(
                            condition,
                            inOrder(condition, Stream.concat(levels, others).toList()));
            into.by().put(condition, words(decided, condition));
        }
    }

    /** The set of a condition; where it has none, those of its family. */
    private static String words(List<Decided> decided, ConditionId condition) {
        List<Decided> own = decided.stream()
                .filter(each -> each.condition().equals(condition))
                .toList();
        String sets = (own.isEmpty() ? decided : own)
                .stream()
                        .map(each -> each.count().cluster().name() + ": "
                                + each.level().phrase())
                        .collect(Collectors.joining("; "));
        return own.isEmpty() ? "by its family, " + sets : sets;
    }

    /**
     * The sets that speak: one for a condition, and none of whose tests another counts. What is chosen by name goes
     * first, then what is complete, then the better study. A set that lowers its condition is not asked where a set
     * that is more specific, to this condition or to one within it, speaks for it.
     */
    private List<Decided> decided(List<ConditionId> family) {
        List<Decided> all = clusters.stream()
                .filter(count -> family.contains(count.cluster().condition()))
                .flatMap(count -> builder.level(count).map(level -> new Decided(count, level)).stream())
                .sorted(Comparator.comparing((Decided each) -> !each.byName(schools))
                        .thenComparing(each -> !each.count().open().isEmpty())
                        .thenComparing(each -> record(each).originator())
                        .thenComparing(each -> -record(each).patients()))
                .toList();
        List<Decided> taken = new ArrayList<>();
        for (Decided each : all) {
            boolean overruled =
                    each.lowers() && all.stream().anyMatch(other -> !other.lowers() && overrules(other, each));
            if (!overruled
                    && taken.stream()
                            .noneMatch(other -> other.condition().equals(each.condition())
                                    || other.sharesTests(each)
                                    || each.sharesTests(other))) {
                taken.add(each);
            }
        }
        return taken;
    }

    private static AccuracyRecord record(Decided decided) {
        return decided.level().record().orElseThrow();
    }

    private boolean overrules(Decided one, Decided other) {
        int narrow = forest.place(one.condition().value());
        int wide = forest.place(other.condition().value());
        return (narrow == wide || forest.within(narrow, wide))
                && builder.fullest(one.count().cluster())
                        > builder.fullest(other.count().cluster());
    }

    private List<WeightedFinding> loads(ConditionId condition) {
        return Keyed.at(found, condition);
    }

    private List<WeightedFinding> inOrder(ConditionId condition, List<WeightedFinding> kept) {
        return Combination.of(condition, kept, correlations).loads().toList();
    }

    private boolean sharesGround(WeightedFinding load, ConditionId condition, ClusterCount count) {
        Cluster cluster = count.cluster();
        if (load.tests().isEmpty()) {
            return cluster.components().stream()
                    .anyMatch(component -> component.clue().isPresent()
                            && load.phrase().startsWith(component.clue().get().label()));
        }
        TestId test = load.tests().get(0);
        if (cluster.counts(test)) {
            return true;
        }
        Optional<Correlation> group = correlations.of(test, condition);
        return group.isPresent() && group.get().group().tests().stream().anyMatch(cluster::counts);
    }
}
