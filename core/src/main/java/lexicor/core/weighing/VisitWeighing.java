package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.Correlations;
import lexicor.core.draws.Sampler;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Assumptions;
import lexicor.core.findings.ClusterCount;
import lexicor.core.findings.Combination;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighedGroup;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.findings.WeightedFindings;
import lexicor.core.lookup.Keyed;
import lexicor.core.posttest.Decibans;
import lexicor.core.posttest.LogOdds;
import lexicor.core.posttest.Range;
import org.jspecify.annotations.Nullable;

/** One weighing of one visit. */
final class VisitWeighing {

    /** Decibans below which what a finding does by way of another condition is not told. */
    private static final double LEAST_BY_WAY = 0.2;

    /** Everything that the points of a joint weighing depend on. */
    private record ModelKey(
            Map<ConditionId, Visit.Start> starts,
            Map<ConditionId, List<WeightedFinding>> seen,
            Correlations correlations,
            Assumptions assumptions) {}

    /** A joint weighing with how its doubt is drawn. */
    private record Drawn(JointModel model, WeighingSettings settings, long seed) {}

    /** Findings of a condition, and which of them are added up. */
    private record Seen(WeightedFindings.Findings findings, List<WeightedFinding> loads) {}

    /** What takes longer: the draws, and what each finding has moved. */
    record Joined(Map<ConditionId, double[]> plausible, Map<ConditionId, List<JointModel.Moved>> moved) {}

    private final Weighing weighing;
    private final Catalogue catalogue;
    private final Evidence evidence;
    private final WeighingSettings settings;
    private final WeighingStore store;
    private final Visit visit;
    private final Map<TestId, TestReading> done = new LinkedHashMap<>();
    private final long seed;
    private final Correlations inForce;
    private final WeightedFindings builder;
    private final PatternMatcher patterns;
    private final Sampler sampler;
    private final Lens lens;
    private final List<ClusterCount> clusters;
    private final Map<ConditionId, Seen> seen = new LinkedHashMap<>();
    /** Whether the hands have found anything that is added up. */
    private final boolean tested;

    private final Lenses lenses;
    private final Map<Lens, JointModel> models = new EnumMap<>(Lens.class);
    private @Nullable Joined joined;

    VisitWeighing(Weighing weighing, WeighingStore store, Visit visit, List<TestReading> tests, long seed) {
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
        builder = new WeightedFindings(catalogue, evidence, settings, visit);
        patterns = new PatternMatcher(done);
        sampler = new Sampler(store.draws(), settings.draws(), assumed.betweenStudies(), seed);
        lens = Lens.of(visit.schools());
        clusters = catalogue.routine(visit.region()).clusters().stream()
                .map(catalogue::cluster)
                .map(this::count)
                .toList();
        Map<ConditionId, WeightedFindings.Findings> findings = new LinkedHashMap<>();
        Map<ConditionId, List<WeightedFinding>> loads = new LinkedHashMap<>();
        for (Condition condition : weighing.ranked(visit)) {
            WeightedFindings.Findings found = builder.findings(condition, done.values());
            findings.put(condition.id(), found);
            loads.put(condition.id(), found.loads());
        }
        lenses = new Lenses(weighing.forest(visit), loads, inForce, clusters, builder, visit.schools());
        Map<ConditionId, List<WeightedFinding>> kept =
                lenses.through(lens.forChance()).kept();
        findings.forEach((condition, found) -> seen.put(condition, new Seen(found, Keyed.at(kept, condition))));
        tested = seen.values().stream().anyMatch(VisitWeighing::byHands);
    }

    private static boolean byHands(Seen each) {
        return each.loads().stream().anyMatch(load -> !load.tests().isEmpty());
    }

    /** The joint model of the visit, with what was found: points only. */
    JointModel joint() {
        return joint(lens.forChance());
    }

    private JointModel joint(Lens through) {
        return models.computeIfAbsent(through, each -> {
            Map<ConditionId, List<WeightedFinding>> loads = lenses.through(each).kept();
            return store.model(
                    new ModelKey(visit.starts(), loads, inForce, visit.assumptions()),
                    () -> weighing.jointModel(visit, loads, inForce));
        });
    }

    private Joined joined() {
        if (joined == null) {
            joined = settings.draws() == 0
                    ? new Joined(Map.of(), Map.of())
                    : store.joined(
                            new Drawn(joint(), settings, seed),
                            () -> new Joined(joint().plausible(sampler), joint().moved()));
        }
        return joined;
    }

    private ClusterCount count(Cluster cluster) {
        ClusterCount count = ClusterCount.of(cluster, component -> result(cluster, component));
        return cluster.asCounted(visit.schools())
                .map(Cluster.AsCounted::because)
                .or(() -> cluster.components().stream()
                        .flatMap(component -> component.clue().stream())
                        .filter(clue -> shifted(clue, cluster.condition()))
                        .findFirst()
                        .map(clue -> "“" + clue.label() + "” has moved the start already and is not counted twice"))
                .map(count::barred)
                .orElse(count);
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
            return holds == null
                    ? Reading.Result.NOT_YET_KNOWN
                    : holds ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE;
        }
        Map<TestId, CriterionId> other = cluster.asCounted(visit.schools())
                .map(Cluster.AsCounted::criteria)
                .orElse(Map.of());
        List<Reading.Result> each = component.anyOf().stream()
                .map(finding -> Optional.ofNullable(done.get(finding.test()))
                        .map(test -> test.reading(
                                        cluster.condition(), other.getOrDefault(finding.test(), finding.criterion()))
                                .result())
                        .orElse(Reading.Result.NOT_YET_KNOWN))
                .toList();
        for (Reading.Result first : new Reading.Result[] {
            Reading.Result.POSITIVE, Reading.Result.NOT_YET_KNOWN, Reading.Result.NOT_INTERPRETABLE
        }) {
            if (each.contains(first)) {
                return first;
            }
        }
        return Reading.Result.NEGATIVE;
    }

    Weighing.Model model(Condition condition) {
        Combination chain = Combination.of(
                condition.id(), builder.findings(condition, done.values()).loads(), inForce);
        return new Weighing.Model(
                condition,
                LogOdds.ofChance(Keyed.at(visit.starts(), condition.id()).chance()),
                new PointModel(chain, link()),
                builder,
                inForce);
    }

    private double link() {
        return visit.assumptions().link();
    }

    /** Chance of a condition, and whether the hands have found anything for it: all that a list needs. */
    Chance chance(Condition condition) {
        double now = joint().now(condition.id());
        double start = joint().start(condition.id());
        boolean moved = Math.abs(Decibans.of(
                        LogOdds.ofChance(now).value() - LogOdds.ofChance(start).value()))
                >= Standing.MOVES;
        return new Chance(now, tested && (moved || byHands(Keyed.at(seen, condition.id()))));
    }

    /** Whether a condition is unlikely by definition. */
    boolean unlikely(Condition condition) {
        return pattern(condition.id())
                .map(known -> patterns.read(condition, known).unlikely())
                .orElse(false);
    }

    /** A chance, 0..1. */
    record Chance(double now, boolean byHands) {}

    Standing standing(Condition condition) {
        Seen of = Keyed.at(seen, condition.id());
        double before = joint().start(condition.id());
        double now = joint().now(condition.id());
        double[] odds = joined().plausible().get(condition.id());
        List<WeightedFinding> held = of.findings().loads().stream()
                .filter(load -> of.loads().stream().noneMatch(load::equals))
                .toList();
        PatternReading pattern = pattern(condition.id())
                .map(known -> patterns.read(condition, known))
                .orElseGet(
                        () -> new PatternReading(List.of(), List.of(), List.of(), List.of(), List.of(), false, false));
        return new Standing(
                condition,
                before,
                now,
                odds == null ? new Range(now, now) : Range.ofLogOdds(odds),
                0,
                lens,
                sum(condition, before, now),
                held,
                of.findings().unweighed(),
                tally(condition),
                pattern,
                weighing.measured(condition.id()));
    }

    /** Where a condition stands by every way that gives a chance; none while nothing about its family was weighed. */
    List<LensResult> lenses(ConditionId condition) {
        List<LensResult> results = new ArrayList<>();
        for (Lens each : Lens.WITH_CHANCE) {
            String by = lenses.through(each).by().get(condition);
            if (by != null) {
                double now = joint(each).now(condition);
                double before = joint(each).start(condition);
                double odds = Math.exp(
                        LogOdds.ofChance(now).value() - LogOdds.ofChance(before).value());
                results.add(new LensResult(each, now, odds, by));
            }
        }
        return results;
    }

    private Standing.Sum sum(Condition condition, double before, double now) {
        double total = Decibans.of(
                LogOdds.ofChance(now).value() - LogOdds.ofChance(before).value());
        List<JointModel.Moved> moved = joined().moved().getOrDefault(condition.id(), List.of());
        List<WeightedFinding> own = Keyed.at(seen, condition.id()).loads();
        Map<Optional<Correlation>, List<WeighedGroup.Member>> grouped = new LinkedHashMap<>();
        List<WeighedGroup> groups = new ArrayList<>();
        double parts = 0;
        for (WeightedFinding load : own) {
            double part = moved.stream()
                    .filter(each -> each.direct() && each.load().equals(load))
                    .mapToDouble(JointModel.Moved::inPlace)
                    .findFirst()
                    .orElse(settings.draws() == 0 ? load.decibans() : 0);
            parts += part;
            WeighedGroup.Member member = new WeighedGroup.Member(load, part);
            Optional<Correlation> correlation = load.grouped() && load.tests().size() == 1
                    ? inForce.of(load.tests().get(0), condition.id())
                    : Optional.empty();
            if (correlation.isPresent()) {
                grouped.computeIfAbsent(correlation, known -> new ArrayList<>()).add(member);
            } else {
                groups.add(new WeighedGroup(Optional.empty(), List.of(member), part));
            }
        }
        grouped.forEach((correlation, members) -> groups.add(
                0,
                new WeighedGroup(
                        correlation,
                        members,
                        members.stream()
                                .mapToDouble(WeighedGroup.Member::decibans)
                                .sum())));
        List<WeighedGroup.Member> byWay = moved.stream()
                .filter(each -> !each.direct() && Math.abs(each.inPlace()) >= LEAST_BY_WAY)
                .map(each -> new WeighedGroup.Member(each.load(), each.inPlace()))
                .toList();
        parts += byWay.stream().mapToDouble(WeighedGroup.Member::decibans).sum();
        return new Standing.Sum(groups, byWay, groups.isEmpty() && byWay.isEmpty() ? 0 : total - parts);
    }

    private Tally tally(Condition condition) {
        Set<TestId> battery =
                new LinkedHashSet<>(catalogue.routine(visit.region()).order());
        battery.addAll(done.keySet());
        int positives = 0;
        int counted = 0;
        int size = 0;
        for (TestId test : battery) {
            Optional<ConditionReading> reads = catalogue.test(test).readingFor(condition.id());
            if (reads.isPresent()) {
                Reading.Result result = Optional.ofNullable(done.get(test))
                        .map(known -> known.reading(
                                        condition.id(),
                                        reads.get().by(visit.schools()).get(0))
                                .result())
                        .orElse(Reading.Result.NOT_YET_KNOWN);
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

    /** Plausible log odds of each condition, one for each draw. */
    Map<ConditionId, double[]> plausible() {
        return joined().plausible();
    }
}
