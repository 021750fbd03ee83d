package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.Setting;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.ClusterLevels;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/**
 * Weighs readings into a ranking. Findings of one dependency group share a factor, groups are weakly linked, and a range
 * shows what the figures, their transport to this clinic, the correlations and the start leave open.
 */
public final class Weighing {

    private static final long NO_DRAWS = 0;

    private final Catalogue catalogue;
    private final Evidence evidence;
    private final WeighingSettings settings;
    private final Correlations correlations;
    private final DrawStore store;
    private final Map<ConditionId, Boolean> measured = new ConcurrentHashMap<>();

    public Weighing(Catalogue catalogue, Evidence evidence, WeighingSettings settings) {
        this(catalogue, evidence, settings, Correlations.of(catalogue, evidence), new DrawStore());
    }

    private Weighing(Catalogue catalogue, Evidence evidence, WeighingSettings settings, Correlations correlations, DrawStore store) {
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.settings = settings;
        this.correlations = correlations;
        this.store = store;
    }

    /** How far the tests of each group repeat each other, as learnt or assumed. */
    public Correlations correlations() {
        return correlations;
    }

    /** The same, without the work of drawing and of parting the sum: every range is the point itself. */
    public Weighing withoutRanges() {
        return new Weighing(catalogue, evidence, settings.withoutDraws(), correlations, store);
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
        Pass pass = new Pass(visit, tests, seed);
        Map<ConditionId, Standing> standings = new LinkedHashMap<>();
        ranked(visit).forEach(condition -> standings.put(condition.id(), pass.standing(condition)));
        Map<ConditionId, double[]> plausible = pass.clamped();
        Map<ConditionId, Double> leads = leads(plausible, standings);
        return new Ranking(standings.values().stream()
                .map(standing -> withConflict(standing, standings).leads(leads.getOrDefault(standing.condition().id(), 0.0))).toList(), pass.clusters, plausible);
    }

    /** The informed condition that stands highest. */
    public record Leader(Condition condition, double now) {
    }

    /** The informed condition that stands highest, without the work of everything else; empty before any finding is weighed. */
    public Optional<Leader> leader(Visit visit, List<TestReading> tests) {
        Pass pass = new Pass(visit, tests, NO_DRAWS);
        return ranked(visit).stream().map(pass::informed).flatMap(Optional::stream).max(Comparator.comparingDouble(Leader::now));
    }

    private List<Condition> ranked(Visit visit) {
        return catalogue.conditionsOf(visit.region()).stream().filter(condition -> visit.starts().containsKey(condition.id())).toList();
    }

    /** What is weighed for one condition in a visit, chained, with what was found. */
    Model model(Visit visit, List<TestReading> tests, Condition condition) {
        return new Pass(visit, tests, NO_DRAWS).model(condition);
    }

    /**
     * The chain of one condition.
     *
     * @param before log odds before any finding
     */
    record Model(Condition condition, LogOdds before, Combination combination, PointModel points, LoadBuilder builder, Correlations correlations) {

        double now() {
            return LogOdds.chance(before.value() + points.logLikelihoodRatio());
        }
    }

    /** The content that is weighed by. */
    Catalogue catalogue() {
        return catalogue;
    }

    Evidence evidence() {
        return evidence;
    }

    WeighingSettings settings() {
        return settings;
    }

    /** Whether any finding about a condition has figures: a test (written or still to be), something told, or a level of a set. */
    public boolean measured(ConditionId condition) {
        return measured.computeIfAbsent(condition, id -> catalogue.tests().values().stream().anyMatch(test -> evidence.inUse(test.id(), id).isPresent())
                || evidence.waitsFor(id) || catalogue.clues().keySet().stream().anyMatch(clue -> evidence.weighsClue(clue, id))
                || catalogue.clusters().stream().anyMatch(cluster -> cluster.condition().equals(id)
                        && cluster.levels().stream().anyMatch(level -> ClusterLevels.figure(cluster, level, evidence).isPresent())));
    }

    /** How often each condition leads, among the widest ranked condition of every family. */
    private Map<ConditionId, Double> leads(Map<ConditionId, double[]> plausible, Map<ConditionId, Standing> standings) {
        List<ConditionId> heads = standings.values().stream().filter(standing -> standing.measured() && !standing.pattern().unlikely())
                .map(standing -> standing.condition().id()).filter(id -> catalogue.widerThan(id).stream().noneMatch(standings::containsKey)).toList();
        Map<ConditionId, Double> leads = new HashMap<>();
        if (plausible.isEmpty()) {
            return leads;
        }
        int draws = plausible.values().iterator().next().length;
        int[] first = new int[heads.size()];
        double[][] rows = heads.stream().map(plausible::get).toArray(double[][]::new);
        for (int i = 0; i < draws && !heads.isEmpty(); i++) {
            int best = 0;
            for (int h = 1; h < rows.length; h++) {
                best = rows[h][i] > rows[best][i] ? h : best;
            }
            first[best]++;
        }
        for (int h = 0; h < first.length; h++) {
            leads.put(heads.get(h), (double) first[h] / draws);
        }
        return leads;
    }

    private Standing withConflict(Standing standing, Map<ConditionId, Standing> standings) {
        return catalogue.widerThan(standing.condition().id()).stream().filter(standings::containsKey).findFirst().map(standings::get)
                .filter(wider -> standing.now() > wider.now()).map(wider -> standing.above(wider.condition())).orElse(standing);
    }

    /** Everything that the weighing of one condition depends on. */
    private record Asked(ConditionId condition, Visit.Start start, List<Load> loads, Lens lens, List<ClusterCount> clusters, Correlations correlations, double link,
            double betweenStudies, WeighingSettings settings, long seed) {
    }

    /** One weighing of one visit. */
    private final class Pass {

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

        Pass(Visit visit, List<TestReading> tests, long seed) {
            this.visit = visit;
            this.seed = seed;
            tests.stream().filter(TestReading::answered).forEach(test -> done.put(test.test(), test));
            Assumptions assumed = visit.assumptions();
            inForce = correlations.with(assumed.correlations());
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
            return visit.clues().getOrDefault(clue.id(), false) && !evidence.weighsClue(clue.id(), condition) && pattern(condition)
                    .map(pattern -> pattern.clues().stream().anyMatch(shift -> shift.clue().id().equals(clue.id()))).orElse(false);
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

        Model model(Condition condition) {
            Combination chain = Combination.of(condition.id(), builder.findings(condition, done.values()).loads(), inForce);
            return new Model(condition, LogOdds.ofChance(visit.starts().get(condition.id()).chance()), chain, new PointModel(chain, link()), builder, inForce);
        }

        private double link() {
            return visit.assumptions().link();
        }

        /** Where a condition stands, if anything was weighed for it and it is not unlikely by definition. */
        Optional<Leader> informed(Condition condition) {
            List<Load> loads = builder.findings(condition, done.values()).loads();
            if (loads.isEmpty() || pattern(condition.id()).map(known -> patterns.read(condition, known).unlikely()).orElse(false)) {
                return Optional.empty();
            }
            Lenses lenses = new Lenses(condition, loads, inForce, clusters, builder, link());
            double log = lenses.points(lenses.through(lens.forChance()).combination()).logLikelihoodRatio();
            return Optional.of(new Leader(condition, LogOdds.chance(LogOdds.ofChance(visit.starts().get(condition.id()).chance()).value() + log)));
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
                    weighed.lenses(), tally(condition), Optional.empty(), pattern, measured(condition.id()));
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
}
