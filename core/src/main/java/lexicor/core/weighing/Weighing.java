package lexicor.core.weighing;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.dependence.Correlations;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.differential.Fits;
import lexicor.core.differential.Forest;
import lexicor.core.evidence.ClusterLevels;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.findings.WeightedFindings;
import lexicor.core.posttest.LogOdds;

/**
 * Weighs readings into a ranking. Findings of one dependency group share a factor, groups are weakly linked, and a
 * range shows what the figures, their transport to this clinic, the correlations and the start leave open.
 */
public final class Weighing {

    private static final long NO_DRAWS = 0;

    private final Catalogue catalogue;
    private final Evidence evidence;
    private final WeighingSettings settings;
    private final Correlations correlations;
    private final WeighingStore store;
    private final Map<ConditionId, Boolean> measured;
    private final Map<List<ConditionId>, Ground> grounds;

    public Weighing(Catalogue catalogue, Evidence evidence, WeighingSettings settings) {
        this(
                catalogue,
                evidence,
                settings,
                Correlations.of(catalogue, evidence),
                new WeighingStore(),
                new ConcurrentHashMap<>(),
                new ConcurrentHashMap<>());
    }

    private Weighing(
            Catalogue catalogue,
            Evidence evidence,
            WeighingSettings settings,
            Correlations correlations,
            WeighingStore store,
            Map<ConditionId, Boolean> measured,
            Map<List<ConditionId>, Ground> grounds) {
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.settings = settings;
        this.correlations = correlations;
        this.store = store;
        this.measured = measured;
        this.grounds = grounds;
    }

    /** How far the tests of each group repeat each other, as learnt or assumed. */
    public Correlations correlations() {
        return correlations;
    }

    /** The same, without the work of drawing and of parting the sum: every range is the point itself. */
    public Weighing withoutRanges() {
        return new Weighing(catalogue, evidence, settings.withoutDraws(), correlations, store, measured, grounds);
    }

    /**
     * Weighs from the working estimates of the setting, under the usual schools.
     *
     * @param region whose conditions are ranked
     * @param setting where the patient is seen
     * @param tests readings of every test done
     * @param seed of the examination; the same seed gives the same ranges
     */
    public Ranking weigh(String region, CareSetting setting, List<TestReading> tests, long seed) {
        return weigh(Visit.usual(catalogue, region, setting), tests, seed);
    }

    /**
     * Ranks the conditions of the region that have a start in this visit.
     *
     * @param tests readings of every test done
     * @param seed of the examination; the same seed gives the same ranges
     */
    public Ranking weigh(Visit visit, List<TestReading> tests, long seed) {
        VisitWeighing pass = new VisitWeighing(this, store, visit, tests, seed);
        Map<ConditionId, Standing> standings = new LinkedHashMap<>();
        ranked(visit).forEach(condition -> standings.put(condition.id(), pass.standing(condition)));
        Map<ConditionId, double[]> plausible = pass.plausible();
        Map<ConditionId, Double> leads = leads(plausible, standings);
        return new Ranking(
                standings.values().stream()
                        .map(standing -> standing.leads(
                                leads.getOrDefault(standing.condition().id(), 0.0)))
                        .toList(),
                pass.clusters(),
                plausible,
                pass.joint().together(),
                pass::lenses);
    }

    /** The informed condition that stands highest. */
    public record Leader(Condition condition, double now) {}

    /**
     * The condition that stands highest by what the hands have found and is not set aside, without the work of
     * everything else; empty where there is none.
     */
    public Optional<Leader> leader(Visit visit, List<TestReading> tests) {
        VisitWeighing pass = new VisitWeighing(this, store, visit, tests, NO_DRAWS);
        return ranked(visit).stream()
                .filter(condition -> !pass.unlikely(condition))
                .flatMap(condition -> Stream.of(pass.chance(condition))
                        .filter(chance -> chance.byHands()
                                && chance.now()
                                        >= visit.assumptions().thresholds().setAside())
                        .map(chance -> new Leader(condition, chance.now())))
                .max(Comparator.comparingDouble(Leader::now));
    }

    /** Where every ranked condition stands, 0..1, without the work of everything else. */
    public Map<ConditionId, Double> chances(Visit visit, List<TestReading> tests) {
        VisitWeighing pass = new VisitWeighing(this, store, visit, tests, NO_DRAWS);
        return ranked(visit).stream()
                .collect(Collectors.toMap(
                        Condition::id, condition -> pass.chance(condition).now()));
    }

    /** The region's conditions that have a start, then those of other regions that a test has brought in. */
    public List<Condition> ranked(Visit visit) {
        Set<ConditionId> all =
                new LinkedHashSet<>(catalogue.routine(visit.region()).conditions());
        all.addAll(catalogue.conditions().keySet());
        return all.stream()
                .filter(visit.starts()::containsKey)
                .map(catalogue::condition)
                .toList();
    }

    /** The joint differential of what is seen, over the conditions ranked in a visit. */
    JointModel jointModel(Visit visit, Map<ConditionId, List<WeightedFinding>> seen, Correlations inForce) {
        Ground ground = ground(visit);
        return new JointModel(
                visit,
                ground.forest(),
                ranked(visit).stream().map(Condition::id).toList(),
                (test, condition) -> catalogue.test(test).sharedObservation(condition, visit.schools()),
                ground.fits(),
                seen,
                inForce,
                settings.worthlessWithin(),
                FactorQuadrature.Rule.FINE);
    }

    /** The conditions ranked in a visit by what they lie within. */
    Forest forest(Visit visit) {
        return ground(visit).forest();
    }

    private Ground ground(Visit visit) {
        List<Condition> ranked = ranked(visit);
        return grounds.computeIfAbsent(ranked.stream().map(Condition::id).toList(), ids -> {
            Forest forest = JointModel.forest(catalogue, ranked);
            return new Ground(forest, new Fits(forest, JointModel.references(ranked), settings.betweenStudies()));
        });
    }

    /** Conditions that are ranked together, and what was fitted over them. */
    private record Ground(Forest forest, Fits fits) {}

    /** The joint model of a visit with what was found. */
    public JointModel jointModel(Visit visit, List<TestReading> tests) {
        return new VisitWeighing(this, store, visit, tests, NO_DRAWS).joint();
    }

    /**
     * What is weighed for each ranked condition of a visit, chained, with what was found; in the order of the routine.
     */
    public List<Model> models(Visit visit, List<TestReading> tests) {
        VisitWeighing pass = new VisitWeighing(this, store, visit, tests, NO_DRAWS);
        return ranked(visit).stream().map(pass::model).toList();
    }

    /**
     * The chain of one condition.
     *
     * @param before log odds before any finding
     */
    public record Model(
            Condition condition,
            LogOdds before,
            PointModel points,
            WeightedFindings builder,
            Correlations correlations) {

        public double now() {
            return LogOdds.chance(before.value() + points.logLikelihoodRatio());
        }
    }

    /** The content that is weighed by. */
    public Catalogue catalogue() {
        return catalogue;
    }

    public Evidence evidence() {
        return evidence;
    }

    public WeighingSettings settings() {
        return settings;
    }

    /**
     * Whether any finding about a condition has figures: a test (written or still to be), something told, or a level of
     * a set.
     */
    public boolean measured(ConditionId condition) {
        return measured.computeIfAbsent(
                condition,
                id -> catalogue.tests().values().stream()
                                .anyMatch(test -> evidence.inUse(test.id(), id).isPresent())
                        || catalogue.clues().keySet().stream().anyMatch(clue -> evidence.weighsClue(clue, id))
                        || catalogue.clusters().stream()
                                .anyMatch(cluster -> cluster.condition().equals(id)
                                        && cluster.levels().stream()
                                                .anyMatch(level -> ClusterLevels.figure(cluster, level, evidence)
                                                        .isPresent())));
    }

    /** How often each condition leads, among the widest ranked condition of every family. */
    private Map<ConditionId, Double> leads(Map<ConditionId, double[]> plausible, Map<ConditionId, Standing> standings) {
        List<ConditionId> heads = standings.values().stream()
                .filter(standing -> standing.informed() && !standing.pattern().unlikely())
                .map(standing -> standing.condition().id())
                .filter(id -> catalogue.widerThan(id).stream().noneMatch(standings::containsKey))
                .toList();
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
}
