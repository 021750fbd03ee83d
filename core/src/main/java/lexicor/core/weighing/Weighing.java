package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.Setting;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/**
 * Weighs readings into a ranking.
 *
 * <p>For a condition with a cluster, the cluster's level stands for its components once it is known; until then the
 * strongest of the components stands for all of them, since multiplying them would count shared evidence several times.
 * All other findings are chained as if independent given the condition.
 */
public final class Weighing {

    /** Seed where nothing is drawn. */
    private static final long NO_DRAWS = 0;

    private final Catalogue catalogue;
    private final Evidence evidence;
    private final WeighingSettings settings;
    private final DrawStore store = new DrawStore();

    public Weighing(Catalogue catalogue, Evidence evidence, WeighingSettings settings) {
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.settings = settings;
    }

    /**
     * Weighs from the working estimates of the setting, under the usual schools.
     *
     * @param region  whose conditions are ranked
     * @param setting where the patient is seen
     * @param tests   readings of every test done
     * @param seed    of the examination; the same seed gives the same ranges
     */
    public Ranking weigh(String region, Setting setting, List<TestReading> tests, long seed) {
        return weigh(Visit.usual(catalogue, region, setting), tests, seed);
    }

    /**
     * Ranks the conditions of the region that have a start in this visit.
     *
     * @param tests readings of every test done
     * @param seed  of the examination; the same seed gives the same ranges
     */
    public Ranking weigh(Visit visit, List<TestReading> tests, long seed) {
        Map<TestId, TestReading> done = new LinkedHashMap<>();
        tests.stream().filter(TestReading::answered).forEach(test -> done.put(test.test(), test));
        List<ClusterCount> clusters = catalogue.routine(visit.region()).clusters().stream().map(catalogue::cluster)
                .map(cluster -> ClusterCount.of(cluster, component -> result(done, cluster, component))).toList();
        LoadBuilder builder = new LoadBuilder(catalogue, evidence, settings, visit);
        Map<ConditionId, Standing> standings = new LinkedHashMap<>();
        for (Condition condition : catalogue.conditionsOf(visit.region()).stream().filter(each -> visit.starts().containsKey(each.id())).toList()) {
            Optional<ClusterCount> cluster = clusters.stream().filter(count -> count.cluster().condition().equals(condition.id())).findFirst();
            standings.put(condition.id(), standing(condition, visit.starts().get(condition.id()), builder.findings(condition, done.values()), cluster, builder, seed));
        }
        return new Ranking(standings.values().stream().map(standing -> withConflict(standing, standings)).toList(), clusters);
    }

    /** The same, without the work of drawing: every range is the point itself. */
    public Weighing withoutRanges() {
        return new Weighing(catalogue, evidence, settings.withoutDraws());
    }

    /**
     * What a test that is still open would do: where each condition that it can move would stand after a positive and
     * after a negative by every criterion. Largest difference first.
     *
     * @param now the ranking of {@code tests} as they are
     */
    public Outlook outlook(Ranking now, Visit visit, List<TestReading> tests, TestId open) {
        Weighing points = withoutRanges();
        Ranking positive = points.weigh(visit, with(tests, open, Reading.Result.POSITIVE), NO_DRAWS);
        Ranking negative = points.weigh(visit, with(tests, open, Reading.Result.NEGATIVE), NO_DRAWS);
        List<Outlook.Change> changes = now.standings().stream()
                .map(standing -> Outlook.Change.of(standing, positive.of(standing.condition().id()), negative.of(standing.condition().id())))
                .filter(change -> change.ifPositive() != change.now() || change.ifNegative() != change.now())
                .sorted(Comparator.comparingDouble(Outlook.Change::spread).reversed()).toList();
        return new Outlook(open, changes);
    }

    private List<TestReading> with(List<TestReading> tests, TestId open, Reading.Result result) {
        List<Reading> readings = new ArrayList<>();
        for (ConditionReading reads : catalogue.test(open).reads()) {
            reads.by().forEach(criterion -> readings.add(new Reading(open, reads.condition(), criterion, result, "")));
        }
        List<TestReading> supposed = new ArrayList<>(tests.stream().filter(test -> !test.test().equals(open)).toList());
        supposed.add(new TestReading(open, true, readings));
        return supposed;
    }

    private static Reading.Result result(Map<TestId, TestReading> done, Cluster cluster, Cluster.Component component) {
        return Optional.ofNullable(done.get(component.test()))
                .map(test -> test.reading(cluster.condition(), component.criterion()).result()).orElse(Reading.Result.NOT_YET_KNOWN);
    }

    private Standing standing(Condition condition, Visit.Start start, LoadBuilder.Findings findings, Optional<ClusterCount> cluster,
            LoadBuilder builder, long seed) {
        LogOdds before = LogOdds.ofChance(start.chance());
        List<Load> members = findings.loads().stream().filter(load -> cluster.isPresent() && !load.tests().isEmpty() && cluster.get().cluster().counts(load.tests().get(0))).toList();
        List<Load> others = findings.loads().stream().filter(load -> !members.contains(load)).toList();
        Optional<Load> level = cluster.flatMap(count -> builder.level(condition, count));
        Optional<Load> strongest = members.stream().max(Comparator.comparingDouble(load -> Math.abs(load.decibans())));
        List<Load> loads = new ArrayList<>(level.or(() -> strongest).stream().toList());
        loads.addAll(others);
        List<Load> held = members.stream().filter(member -> !loads.contains(member)).toList();
        Lens lens = loads.isEmpty() ? Lens.NONE : level.isPresent() ? Lens.CLUSTER : strongest.isPresent() ? Lens.STRONGEST_SINGLE : Lens.CHAIN;
        List<LensResult> lenses = new ArrayList<>();
        if (!loads.isEmpty()) {
            level.ifPresent(set -> lenses.add(lens(Lens.CLUSTER, before, set, others)));
            findings.loads().stream().max(Comparator.comparingDouble(load -> Math.abs(load.decibans())))
                    .ifPresent(single -> lenses.add(lens(Lens.STRONGEST_SINGLE, before, single, List.of())));
            lenses.add(new LensResult(Lens.CHAIN, before.times(product(findings.loads())).chance(), product(findings.loads())));
        }
        double now = loads.isEmpty() ? start.chance() : before.times(product(loads)).chance();
        return new Standing(condition, start.chance(), now, settings.draws() == 0 ? new Range(now, now) : range(condition, before, start.deviation(), loads, seed), lens, loads, held, findings.unweighed(), lenses, Optional.empty());
    }

    private static LensResult lens(Lens lens, LogOdds before, Load first, List<Load> others) {
        double ratio = first.likelihoodRatio() * product(others);
        return new LensResult(lens, before.times(ratio).chance(), ratio);
    }

    private static double product(List<Load> loads) {
        return loads.stream().mapToDouble(Load::likelihoodRatio).reduce(1, (a, b) -> a * b);
    }

    private Range range(Condition condition, LogOdds before, double deviation, List<Load> loads, long seed) {
        double[] sums = Draws.starts(before, deviation, settings, Draws.seed(seed, "start " + condition.id()));
        for (Load load : loads) {
            DrawStore.Key key = new DrawStore.Key(load.evidence().belief(), load.positive(), settings,
                    Draws.seed(seed, load.evidence().record().id().value()));
            double[] draws = store.draws(key, () -> Draws.logLikelihoodRatios(key.belief(), key.positive(), settings, key.seed()));
            for (int i = 0; i < sums.length; i++) {
                sums[i] += draws[i];
            }
        }
        return Range.ofLogOdds(sums);
    }

    private Standing withConflict(Standing standing, Map<ConditionId, Standing> standings) {
        return catalogue.widerThan(standing.condition().id()).stream().filter(standings::containsKey).findFirst().map(standings::get)
                .filter(wider -> standing.now() > wider.now()).map(wider -> standing.above(wider.condition())).orElse(standing);
    }
}
