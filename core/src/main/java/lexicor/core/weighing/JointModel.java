package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.function.Function;
import java.util.stream.Stream;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.CorrelationBelief;
import lexicor.core.dependence.Correlations;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.differential.Differential;
import lexicor.core.differential.Finding;
import lexicor.core.differential.Fits;
import lexicor.core.differential.Forest;
import lexicor.core.differential.OpenPart;
import lexicor.core.differential.Pairs;
import lexicor.core.differential.Target;
import lexicor.core.draws.Sampler;
import lexicor.core.evidence.Belief;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.findings.Weight;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.lookup.Keyed;
import lexicor.core.posttest.LogOdds;
import lexicor.core.synthesis.PredictedAccuracy;

/**
 * The joint differential of a visit: what was found, as findings about states of families. An answer of a test is one
 * finding for each family that it speaks about; the conditions of a family for which it reads the same are its targets.
 * Families are joined in one finding where studies recorded the same observation for them.
 */
public final class JointModel {

    private final Visit visit;
    private final Correlations correlations;
    private final List<ConditionId> ids;
    private final Forest forest;
    private final double clinics;
    private final SharedObservations shared;
    private final Map<String, Finding.Group> groups = new ConcurrentSkipListMap<>();
    private final Map<String, Map<ConditionId, WeightedFinding>> answered = new LinkedHashMap<>();
    private final Map<String, WeightedFinding> ratios = new LinkedHashMap<>();
    private final Differential differential;

    /**
     * @param shared what studies of different conditions recorded alike
     * @param seen what is added up for each ranked condition
     * @param fits of findings over these conditions
     */
    JointModel(
            Visit visit,
            Forest forest,
            List<ConditionId> ids,
            SharedObservations shared,
            Fits fits,
            Map<ConditionId, List<WeightedFinding>> seen,
            Correlations correlations,
            double worthless,
            FactorQuadrature.Rule rule) {
        this.visit = visit;
        this.forest = forest;
        this.ids = ids;
        this.shared = shared;
        this.correlations = correlations;
        clinics = WeighingSettings.clinics(visit.assumptions().betweenStudies());
        List<Finding.Ratio> known = new ArrayList<>();
        seen.forEach((condition, loads) -> loads.forEach(load -> {
            if (load.weight() instanceof Weight.Proportions && load.tests().size() <= 1) {
                answered.computeIfAbsent(key(load, condition), id -> new LinkedHashMap<>())
                        .put(condition, load);
            } else {
                String id = "ratio " + condition + " " + load.source() + " " + load.phrase();
                ratios.put(id, load);
                known.add(new Finding.Ratio(id, condition.value(), load.likelihoodRatio()));
            }
        }));
        List<Finding> findings = answered.entrySet().stream()
                .map(each -> finding(
                        each.getKey(), said(each.getValue().values().iterator().next()), each.getValue()))
                .toList();
        double[] starts = ids.stream()
                .mapToDouble(id -> Keyed.at(visit.starts(), id).chance())
                .toArray();
        differential = new Differential(
                new Differential.Question(
                        fits,
                        starts,
                        List.copyOf(groups.values()),
                        visit.assumptions().link(),
                        worthless,
                        findings,
                        known),
                rule);
    }

    /** The ranked conditions by what they lie within: the nearest wider one that is ranked. */
    static Forest forest(Catalogue catalogue, List<Condition> ranked) {
        List<String> ids = ranked.stream().map(each -> each.id().value()).toList();
        List<String> within = new ArrayList<>();
        for (Condition each : ranked) {
            within.add(catalogue.widerThan(each.id()).stream()
                    .map(ConditionId::value)
                    .filter(ids::contains)
                    .findFirst()
                    .orElse(null));
        }
        return new Forest(ids, within);
    }

    /** The mix of patients at which studies measure: mostly in specialist care. */
    static double[] references(List<Condition> ranked) {
        return ranked.stream()
                .mapToDouble(each -> each.start().get(CareSetting.SPECIALIST))
                .toArray();
    }

    private String key(WeightedFinding load, ConditionId condition) {
        return observation(load)
                + joined(load, condition).orElseGet(() -> forest.id(forest.root(forest.place(condition.value()))));
    }

    private Optional<String> joined(WeightedFinding load, ConditionId condition) {
        return load.tests().size() == 1
                ? shared.of(load.tests().get(0), condition).map(criterion -> "same " + criterion.value())
                : Optional.empty();
    }

    /** Names what studies of several conditions recorded alike when they did a test. */
    @FunctionalInterface
    interface SharedObservations {

        /** The criterion that names it; empty where the condition is read by an observation of its own. */
        Optional<CriterionId> of(TestId test, ConditionId condition);
    }

    /** What was observed, the same for every condition that it speaks about: what of, and which answer. */
    static String observation(WeightedFinding load) {
        return source(load) + (load.positive() ? " + " : " - ");
    }

    private static Finding.Said said(WeightedFinding load) {
        return load.positive() ? Finding.Said.POSITIVE : Finding.Said.NEGATIVE;
    }

    private Finding finding(String id, Finding.Said said, Map<ConditionId, WeightedFinding> loads) {
        List<Target> targets = new ArrayList<>();
        Optional<String> group = Optional.empty();
        for (Map.Entry<ConditionId, WeightedFinding> each : loads.entrySet()) {
            targets.add(
                    figures(each.getKey(), ((Weight.Proportions) each.getValue().weight()).belief()));
            group = group.isPresent() ? group : group(each.getKey(), each.getValue());
        }
        return new Finding(id, said, group, targets);
    }

    private Optional<String> group(ConditionId condition, WeightedFinding load) {
        Optional<Correlation> correlation = load.tests().isEmpty()
                ? Optional.empty()
                : correlations.of(load.tests().get(0), condition);
        if (correlation.isPresent()) {
            String id = correlation.get().group().id();
            groups.put(
                    id,
                    new Finding.Group(
                            id, (correlation.get().present() + correlation.get().absent()) / 2, Optional.empty()));
            return Optional.of(id);
        }
        if (load.borrowed()) {
            Correlation pattern = Correlation.ofPattern(condition);
            groups.put(
                    pattern.group().id(), new Finding.Group(pattern.group().id(), pattern.present(), Optional.empty()));
            return Optional.of(pattern.group().id());
        }
        return Optional.empty();
    }

    private Target figures(ConditionId condition, Belief belief) {
        if (belief instanceof Belief.Expected expected) {
            PredictedAccuracy.Of one = expected.in(clinics).one();
            Target.Variances variances = new Target.Variances(one.predictive()[0][0], one.predictive()[1][1]);
            return new Target.Figures(
                    condition.value(),
                    LogOdds.chance(one.mean()[0]),
                    LogOdds.chance(one.mean()[1]),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(variances));
        }
        return Target.Figures.of(condition.value(), belief.sensitivity(), belief.specificity());
    }

    /** The ranked conditions by what they lie within. */
    public Forest forest() {
        return forest;
    }

    /** The chance of each condition given what it lies within, before any finding; by its place in the forest. */
    public double[] shares() {
        return differential.shares();
    }

    /** An open test as it is modelled: a part for each observation, or family, that is weighed by itself. */
    public List<OpenPart> parts(Map<ConditionId, WeightedFinding> loads) {
        return open(loads)
                .flatMap(finding -> differential.parts(finding, finding.group().map(groups::get)).stream())
                .toList();
    }

    /** Where a condition stands, 0..1. */
    public double now(ConditionId condition) {
        return differential.now()[place(condition)];
    }

    /** Where it started, once no narrower condition starts above it. */
    double start(ConditionId condition) {
        return differential.starts()[place(condition)];
    }

    /** Plausible log odds by condition. */
    Map<ConditionId, double[]> plausible(Sampler sampler) {
        double[][] odds = differential.drawn(sampler.draws(), new Differential.Source() {
            @Override
            public double[] logits(Finding finding, Target.Figures record, boolean sensitivity) {
                return sampler.logits(
                        Keyed.at(Keyed.at(answered, finding.id()), ConditionId.of(record.condition())), sensitivity);
            }

            @Override
            public double[] start(int condition) {
                ConditionId id = ids.get(condition);
                return sampler.starts(
                        id.value(),
                        LogOdds.ofChance(0.5),
                        Keyed.at(visit.starts(), id).deviation());
            }

            @Override
            public Object drawnFrom(Finding finding) {
                return Keyed.at(answered, finding.id());
            }

            @Override
            public List<float[][]> workedOut(List<Object> from, Function<List<Integer>, List<float[][]>> make) {
                return sampler.workedOut(from, make);
            }

            @Override
            public double[] rho(Finding.Group group) {
                Optional<Correlation> known = correlations.byId(group.id());
                return known.map(each -> sampler.rhos(each, true))
                        .orElseGet(() -> sampler.rhos(group.id(), CorrelationBelief.assumed(group.rho())));
            }

            @Override
            public double[] log(Finding.Ratio ratio) {
                return sampler.logLikelihoodRatios(Keyed.at(ratios, ratio.id()));
            }
        });
        Map<ConditionId, double[]> plausible = new LinkedHashMap<>();
        for (int c = 0; c < odds.length; c++) {
            plausible.put(ids.get(c), odds[c]);
        }
        return plausible;
    }

    /** What each finding has moved for each condition of its component, in decibans. */
    Map<ConditionId, List<Moved>> moved() {
        Map<ConditionId, List<Moved>> moved = new LinkedHashMap<>();
        Map<String, Map<ConditionId, WeightedFinding>> bySource = new LinkedHashMap<>();
        Map<String, WeightedFinding> first = new LinkedHashMap<>(ratios);
        answered.forEach((id, loads) -> {
            bySource.computeIfAbsent(source(id), source -> new LinkedHashMap<>())
                    .putAll(loads);
            first.putIfAbsent(source(id), loads.values().iterator().next());
        });
        for (Differential.Contribution each : differential.contributions(this::source)) {
            ConditionId condition = ids.get(each.condition());
            WeightedFinding own =
                    bySource.getOrDefault(each.finding(), Map.of()).get(condition);
            boolean direct = own != null || each.finding().startsWith("ratio " + condition + " ");
            moved.computeIfAbsent(condition, id -> new ArrayList<>())
                    .add(new Moved(
                            own != null ? own : Keyed.at(first, each.finding()), direct, each.alone(), each.inPlace()));
        }
        return moved;
    }

    /** The test, or what was told, that a finding comes from; a ratio is a source of its own. */
    private String source(String id) {
        Map<ConditionId, WeightedFinding> loads = answered.get(id);
        return loads == null ? id : source(loads.values().iterator().next());
    }

    private static String source(WeightedFinding load) {
        return load.tests().isEmpty()
                ? "told " + load.phrase()
                : load.tests().get(0).value();
    }

    /**
     * What a finding has moved.
     *
     * @param direct whether it speaks about the condition itself, not about one that is wider, narrower or joined by a
     *     finding
     */
    record Moved(WeightedFinding load, boolean direct, double alone, double inPlace) {}

    /** For each pair of widest conditions that findings have joined, the chance of both. */
    List<Ranking.Together> together() {
        return differential.together().stream()
                .map(each -> new Ranking.Together(ids.get(each.one()), ids.get(each.other()), each.both()))
                .toList();
    }

    /** Where conditions would stand after either answer of a finding. */
    public record Ahead(double positive, Map<ConditionId, double[]> after) {}

    /** What the answers of an open test would do; one entry for each part that is weighed by itself. */
    public List<Ahead> ahead(Map<ConditionId, WeightedFinding> loads) {
        List<Ahead> ahead = new ArrayList<>();
        open(loads).flatMap(finding -> differential.ahead(finding).stream()).forEach(each -> {
            Map<ConditionId, double[]> after = new LinkedHashMap<>();
            for (int i = 0; i < each.conditions().size(); i++) {
                after.put(ids.get(each.conditions().get(i)), new double[] {each.ifPositive()[i], each.ifNegative()[i]});
            }
            ahead.add(new Ahead(each.positive(), after));
        });
        return ahead;
    }

    /** What an open test says between any two conditions; one entry for each part that is weighed by itself. */
    public List<Pairs> pairs(Map<ConditionId, WeightedFinding> loads) {
        return open(loads)
                .flatMap(finding -> differential.pairs(finding).stream())
                .toList();
    }

    /** The place of a condition in what is told of pairs. */
    public int place(ConditionId condition) {
        return forest.place(condition.value());
    }

    private Stream<Finding> open(Map<ConditionId, WeightedFinding> loads) {
        Map<String, Map<ConditionId, WeightedFinding>> byFamily = new LinkedHashMap<>();
        loads.forEach((condition, load) -> byFamily.computeIfAbsent(key(load, condition), id -> new LinkedHashMap<>())
                .put(condition, load));
        return byFamily.entrySet().stream()
                .map(each -> finding("open " + each.getKey(), Finding.Said.OPEN, each.getValue()));
    }
}
