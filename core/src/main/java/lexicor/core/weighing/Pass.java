package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/** One weighing of one visit. */
final class Pass {

    /** Everything that the weighing of one condition depends on. */
    private record Asked(ConditionId condition, Visit.Start start, List<Load> loads, Lens lens, List<ClusterCount> clusters, Correlations correlations, double link,
            double betweenStudies, WeighingSettings settings, long seed) {
    }

    private final Weighing weighing;
    private final Catalogue catalogue;
    private final Evidence evidence;
    private final WeighingSettings settings;
    private final DrawStore store;
    private final Visit visit;
    private final Map<TestId, TestReading> done = new LinkedHashMap<>();
    private final long seed;
    private final Correlations inForce;
    private final LoadBuilder builder;
    private final PatternReader patterns;
    private final Sampler sampler;
    private final DrawnModel drawn;
    private final Lens lens;
    private final List<ClusterCount> clusters;
    private final Map<ConditionId, double[]> plausible = new LinkedHashMap<>();

    Pass(Weighing weighing, DrawStore store, Visit visit, List<TestReading> tests, long seed) {
        this.weighing = weighing;
        this.catalogue = weighing.catalogue();
        this.evidence = weighing.evidence();
        this.settings = weighing.settings();
        this.store = store;
        this.visit = visit;
        this.seed = seed;
        tests.stream().filter(TestReading::answered).forEach(test -> done.put(test.test(), test));
        Assumptions assumed = visit.assumptions();
        inForce = weighing.correlations().with(assumed.correlations());
        builder = new LoadBuilder(catalogue, evidence, settings, visit);
        patterns = new PatternReader(done);
        sampler = new Sampler(store, settings.draws(), assumed.betweenStudies(), seed);
        drawn = new DrawnModel(sampler, assumed.link());
        lens = Lens.of(visit.schools());
        clusters = catalogue.routine(visit.region()).clusters().stream().map(catalogue::cluster).map(this::count).toList();
    }

    private ClusterCount count(Cluster cluster) {
        ClusterCount count = ClusterCount.of(cluster, component -> result(cluster, component));
        return cluster.components().stream().flatMap(component -> component.clue().stream()).filter(clue -> shifted(clue, cluster.condition())).findFirst()
                .map(clue -> count.barred("“" + clue.label() + "” has moved the start already and is not counted twice")).orElse(count);
    }

    private boolean shifted(Pattern.Clue clue, ConditionId condition) {
        Visit.Start start = visit.starts().get(condition);
        return start != null && start.movedBy().contains(clue.id());
    }

    private Optional<Pattern> pattern(ConditionId condition) {
        return Optional.ofNullable(catalogue.patterns().get(condition));
    }

    private Reading.Result result(Cluster cluster, Cluster.Component component) {
        if (component.clue().isPresent()) {
            Boolean holds = visit.clues().get(component.clue().get().id());
            return holds == null ? Reading.Result.NOT_YET_KNOWN : holds ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE;
        }
        List<Reading.Result> each = component.anyOf().stream().map(finding -> Optional.ofNullable(done.get(finding.test()))
                .map(test -> test.reading(cluster.condition(), finding.criterion()).result()).orElse(Reading.Result.NOT_YET_KNOWN)).toList();
        for (Reading.Result first : new Reading.Result[] {Reading.Result.POSITIVE, Reading.Result.NOT_YET_KNOWN, Reading.Result.NOT_INTERPRETABLE}) {
            if (each.contains(first)) {
                return first;
            }
        }
        return Reading.Result.NEGATIVE;
    }

    Weighing.Model model(Condition condition) {
        Combination chain = Combination.of(condition.id(), builder.findings(condition, done.values()).loads(), inForce);
        return new Weighing.Model(condition, LogOdds.ofChance(visit.starts().get(condition.id()).chance()), new PointModel(chain, link()), builder, inForce);
    }

    private double link() {
        return visit.assumptions().link();
    }

    /** Chance of a condition through the lens in force, and whether anything was weighed for it: all that a list needs. */
    Chance chance(Condition condition) {
        double start = visit.starts().get(condition.id()).chance();
        List<Load> loads = builder.findings(condition, done.values()).loads();
        if (loads.isEmpty()) {
            return new Chance(start, false);
        }
        Lenses lenses = new Lenses(condition, loads, inForce, clusters, builder, link());
        double log = lenses.points(lenses.through(lens.forChance()).combination()).logLikelihoodRatio();
        return new Chance(LogOdds.chance(LogOdds.ofChance(start).value() + log), true);
    }

    /** Whether a condition is unlikely by definition. */
    boolean unlikely(Condition condition) {
        return pattern(condition.id()).map(known -> patterns.read(condition, known).unlikely()).orElse(false);
    }

    /** A chance, 0..1. */
    record Chance(double now, boolean informed) {
    }

    Standing standing(Condition condition) {
        Visit.Start start = visit.starts().get(condition.id());
        LoadBuilder.Findings findings = builder.findings(condition, done.values());
        List<ClusterCount> own = clusters.stream().filter(count -> count.cluster().condition().equals(condition.id())).toList();
        Asked asked = new Asked(condition.id(), start, findings.loads(), lens.forChance(), own, inForce, link(), visit.assumptions().betweenStudies(), settings, seed);
        Weighed weighed = store.weighed(asked, () -> weighed(condition, asked));
        if (weighed.plausible().length > 0) {
            plausible.put(condition.id(), weighed.plausible());
        }
        PatternReading pattern = pattern(condition.id()).map(known -> patterns.read(condition, known))
                .orElseGet(() -> new PatternReading(List.of(), List.of(), List.of(), List.of(), List.of(), false));
        return new Standing(condition, start.chance(), weighed.now(), weighed.range(), 0, lens, weighed.sum(), weighed.held(), findings.unweighed(),
                weighed.lenses(), tally(condition), Optional.empty(), pattern, weighing.measured(condition.id()));
    }

    private Weighed weighed(Condition condition, Asked asked) {
        LogOdds before = LogOdds.ofChance(asked.start().chance());
        Lenses lenses = new Lenses(condition, asked.loads(), inForce, asked.clusters(), builder, link());
        Combination seen = lenses.through(asked.lens()).combination();
        PointModel points = lenses.points(seen);
        double now = seen.isEmpty() ? asked.start().chance() : LogOdds.chance(before.value() + points.logLikelihoodRatio());
        List<Load> held = asked.loads().stream().filter(load -> seen.loads().noneMatch(load::equals)).toList();
        if (settings.draws() == 0) {
            return new Weighed(now, new Range(now, now), new double[0], Contributions.whole(seen, points), held, lenses.all(before));
        }
        double[] drawnOdds = sampler.starts(condition.id().value(), before, asked.start().deviation());
        double[] ratios = drawn.logLikelihoodRatios(seen);
        for (int i = 0; i < drawnOdds.length; i++) {
            drawnOdds[i] += ratios[i];
        }
        return new Weighed(now, Range.ofLogOdds(drawnOdds), drawnOdds, Contributions.of(seen, points), held, lenses.all(before));
    }

    private Tally tally(Condition condition) {
        List<TestId> battery = new ArrayList<>(catalogue.routine(visit.region()).order());
        done.keySet().stream().filter(test -> !battery.contains(test)).forEach(battery::add);
        int positives = 0;
        int counted = 0;
        int size = 0;
        for (TestId test : battery) {
            Optional<ConditionReading> reads = catalogue.test(test).readingFor(condition.id());
            if (reads.isPresent()) {
                Reading.Result result = Optional.ofNullable(done.get(test))
                        .map(known -> known.reading(condition.id(), reads.get().by(visit.schools()).get(0)).result()).orElse(Reading.Result.NOT_YET_KNOWN);
                positives += result == Reading.Result.POSITIVE ? 1 : 0;
                counted += result == Reading.Result.POSITIVE || result == Reading.Result.NEGATIVE ? 1 : 0;
                size += result == Reading.Result.NOT_INTERPRETABLE ? 0 : 1;
            }
        }
        return new Tally(positives, counted, size);
    }

    List<ClusterCount> clusters() {
        return clusters;
    }

    /** The draws, where a narrower condition never stands above a wider one. */
    Map<ConditionId, double[]> clamped() {
        Map<ConditionId, double[]> clamped = new HashMap<>();
        plausible.forEach((condition, draws) -> {
            double[] most = draws;
            for (ConditionId wider : catalogue.widerThan(condition)) {
                double[] above = plausible.get(wider);
                if (above != null) {
                    most = most == draws ? draws.clone() : most;
                    for (int i = 0; i < most.length; i++) {
                        most[i] = Math.min(most[i], above[i]);
                    }
                }
            }
            clamped.put(condition, most);
        });
        return clamped;
    }
}
