package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.Correlations;
import lexicor.core.findings.ClusterCount;
import lexicor.core.findings.Combination;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.findings.WeightedFindings;
import lexicor.core.posttest.LogOdds;

/** The findings of one condition through every way of adding up. */
final class Lenses {

    /**
     * What a lens adds up.
     *
     * @param by in words, without a full stop
     */
    record Seen(Combination combination, String by) {}

    private final Condition condition;
    private final List<WeightedFinding> loads;
    private final Correlations correlations;
    private final List<ClusterCount> clusters;
    private final WeightedFindings builder;
    private final double link;
    private final Map<Lens, Seen> seen = new HashMap<>();
    private final Map<Combination, PointModel> models = new HashMap<>();

    Lenses(
            Condition condition,
            List<WeightedFinding> loads,
            Correlations correlations,
            List<ClusterCount> clusters,
            WeightedFindings builder,
            double link) {
        this.condition = condition;
        this.loads = loads;
        this.correlations = correlations;
        this.clusters = clusters.stream()
                .filter(count -> count.cluster().condition().equals(condition.id()))
                .toList();
        this.builder = builder;
        this.link = link;
    }

    PointModel points(Combination combination) {
        return models.computeIfAbsent(combination, each -> new PointModel(each, link));
    }

    Seen through(Lens lens) {
        return seen.computeIfAbsent(lens, each -> switch (each) {
            case CHAIN, TALLY ->
                new Seen(
                        Combination.of(condition.id(), loads, correlations),
                        loads.size() == 1 ? "one finding" : loads.size() + " findings");
            case STRONGEST_SINGLE -> strongest();
            case CLUSTER ->
                set().orElseGet(() -> new Seen(
                        strongest().combination(),
                        "no set is decided, so the strongest: " + strongest().by()));
        });
    }

    /** Every lens that gives a chance; none while nothing was weighed. */
    List<LensResult> all(LogOdds before) {
        List<LensResult> results = new ArrayList<>();
        for (Lens lens : new Lens[] {Lens.CHAIN, Lens.CLUSTER, Lens.STRONGEST_SINGLE}) {
            Seen through = through(lens);
            if (!through.combination().isEmpty()) {
                double log = points(through.combination()).logLikelihoodRatio();
                results.add(new LensResult(lens, LogOdds.chance(before.value() + log), Math.exp(log), through.by()));
            }
        }
        return results;
    }

    private Seen strongest() {
        return loads.stream()
                .max(Comparator.comparingDouble(load -> Math.abs(load.decibans())))
                .map(load -> new Seen(Combination.single(load), load.phrase()))
                .orElse(new Seen(Combination.NOTHING, "nothing weighed"));
    }

    /**
     * The decided set with the best study behind it, and the findings that share no group with its tests: what shares
     * ground with the set has been counted by it.
     */
    private Optional<Seen> set() {
        record Decided(ClusterCount count, WeightedFinding level) {}
        Optional<Decided> best = clusters.stream()
                .flatMap(count -> builder.level(count).map(level -> new Decided(count, level)).stream())
                .min(Comparator.comparing((Decided decided) ->
                                decided.level().record().orElseThrow().originator())
                        .thenComparing(decided ->
                                -decided.level().record().orElseThrow().patients()));
        return best.map(decided -> {
            List<WeightedFinding> kept = new ArrayList<>();
            kept.add(decided.level());
            loads.stream().filter(load -> !sharesGround(load, decided.count())).forEach(kept::add);
            return new Seen(
                    Combination.of(condition.id(), kept, correlations),
                    decided.count().cluster().name() + ": " + decided.level().phrase());
        });
    }

    private boolean sharesGround(WeightedFinding load, ClusterCount count) {
        if (load.tests().isEmpty()) {
            return count.cluster().components().stream()
                    .anyMatch(component -> component.clue().isPresent()
                            && load.phrase().startsWith(component.clue().get().label()));
        }
        TestId test = load.tests().get(0);
        if (count.cluster().counts(test)) {
            return true;
        }
        Optional<Correlation> group = correlations.of(test, condition.id());
        return group.isPresent() && group.get().group().tests().stream().anyMatch(count.cluster()::counts);
    }
}
