package lexicor.core.nexttest;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Combination;
import lexicor.core.findings.Visit;
import lexicor.core.lookup.Keyed;
import lexicor.core.weighing.JointModel;
import lexicor.core.weighing.Weighing;

/**
 * What a set of open tests would tell together: the expected fall of entropy, in bits, over all that they could answer.
 * It is not the sum of what each would tell, since tests of one tissue repeat each other, and one answer makes another
 * less or more telling. As for a single test, the best condition of each family counts, each by what it is worth
 * ({@link ExpectedInformation#counts}), and only conditions in play.
 *
 * <p>All answers are followed as long as a condition has at most {@value #MOST} of them; then those that leave the
 * condition alike are taken together, which can only lose information. Immutable.
 */
public final class JointInformation {

    /** Answers that are followed apart for one condition. */
    static final int MOST = 128;

    private final CareSetting setting;
    private final Map<ConditionId, Outlook> outlooks;

    /**
     * What does not change as tests are added.
     *
     * @param start of no test yet
     * @param splits what a test does to the conditions that it speaks of by figures, worked out once
     * @param asked information of sets about a condition, worked out once
     */
    private record CareSetting(
            Weighing weighing,
            Visit visit,
            Map<ConditionId, Weighing.Model> models,
            Map<ConditionId, ConditionId> families,
            FactorQuadrature.Rule rule,
            Map<ConditionId, Outlook> start,
            Map<TestId, Map<ConditionId, TestPrediction>> splits,
            Map<InformationKey, Double> asked) {

        Map<ConditionId, TestPrediction> splits(TestId test, Collection<ConditionId> conditions) {
            return splits.computeIfAbsent(test, id -> {
                Map<ConditionId, TestPrediction> all = new LinkedHashMap<>();
                conditions.forEach(
                        condition -> TestPrediction.of(weighing, visit, Keyed.at(models, condition), id, rule)
                                .ifPresent(split -> all.put(condition, split)));
                return all;
            });
        }
    }

    private record InformationKey(ConditionId condition, Set<TestId> tests) {}

    /** One way things could go for a condition: its chance with and without the condition, and what stands then. */
    private record Leaf(double present, double absent, PredictiveState with, PredictiveState without) {

        double logRatio() {
            return Math.log(present / absent);
        }
    }

    /**
     * Every way things could go for a condition that stands at {@code now}.
     *
     * @param tests those that speak of it, of all that were added
     * @param bits expected fall of its entropy
     */
    private record Outlook(double now, Set<TestId> tests, List<Leaf> leaves, double bits) {

        static Outlook of(double now, Set<TestId> tests, List<Leaf> leaves) {
            double left = 0;
            for (Leaf leaf : leaves) {
                left += left(now, leaf.present(), leaf.absent());
            }
            return new Outlook(now, tests, leaves, Math.max(0, ExpectedInformation.entropy(now) - left));
        }

        private static double left(double now, double present, double absent) {
            double chance = now * present + (1 - now) * absent;
            return chance > 0 ? chance * ExpectedInformation.entropy(now * present / chance) : 0;
        }

        Set<TestId> testsWith(TestId test) {
            Set<TestId> more = new LinkedHashSet<>(tests);
            more.add(test);
            return more;
        }

        double between(double low, double high) {
            double sum = 0;
            for (Leaf leaf : leaves) {
                double chance = now * leaf.present() + (1 - now) * leaf.absent();
                double then = chance > 0 ? now * leaf.present() / chance : now;
                sum += then >= low && then < high ? chance : 0;
            }
            return Math.min(1, sum);
        }

        /** What its tests and a further one tell together. */
        double bitsWith(TestPrediction split) {
            double left = 0;
            for (Leaf leaf : leaves) {
                double with = split.positiveWith(leaf.with());
                double without = split.positiveWithout(leaf.without());
                left += left(now, leaf.present() * with, leaf.absent() * without)
                        + left(now, leaf.present() * (1 - with), leaf.absent() * (1 - without));
            }
            return Math.max(0, ExpectedInformation.entropy(now) - left);
        }

        Outlook with(TestId test, TestPrediction split) {
            List<Leaf> further = new ArrayList<>();
            for (Leaf leaf : leaves) {
                double with = split.positiveWith(leaf.with());
                double without = split.positiveWithout(leaf.without());
                for (boolean positive : new boolean[] {true, false}) {
                    further.add(new Leaf(
                            leaf.present() * (positive ? with : 1 - with),
                            leaf.absent() * (positive ? without : 1 - without),
                            split.with(leaf.with(), positive),
                            split.without(leaf.without(), positive)));
                }
            }
            return of(now, testsWith(test), further.size() > MOST ? together(further) : further);
        }
    }

    private JointInformation(CareSetting setting, Map<ConditionId, Outlook> outlooks) {
        this.setting = setting;
        this.outlooks = outlooks;
    }

    /**
     * Of no test yet, from what a visit has found so far.
     *
     * @param candidates tests that might be added; a condition that none of them could bring into play is left out
     */
    public static JointInformation of(
            Weighing weighing, Visit visit, List<TestReading> found, Collection<TestId> candidates) {
        return of(weighing, visit, found, candidates, FactorQuadrature.Rule.COARSE);
    }

    static JointInformation of(
            Weighing weighing,
            Visit visit,
            List<TestReading> found,
            Collection<TestId> candidates,
            FactorQuadrature.Rule rule) {
        ExpectedInformation foresight = ExpectedInformation.of(weighing, visit, found);
        Map<ConditionId, Boolean> live = new HashMap<>();
        candidates.forEach(test -> foresight
                .value(test, Optional.empty())
                .changes()
                .forEach(change -> live.merge(change.condition().id(), change.live(), Boolean::logicalOr)));
        Map<ConditionId, Weighing.Model> models = new LinkedHashMap<>();
        weighing.models(visit, found)
                .forEach(model -> models.put(model.condition().id(), model));
        Map<ConditionId, ConditionId> families = new HashMap<>();
        models.keySet()
                .forEach(id -> families.put(
                        id,
                        weighing.catalogue().widerThan(id).stream()
                                .filter(models::containsKey)
                                .reduce((first, last) -> last)
                                .orElse(id)));
        JointModel joint = weighing.jointModel(visit, found);
        Map<ConditionId, Outlook> outlooks = new LinkedHashMap<>();
        double link = visit.assumptions().link();
        models.forEach((id, model) -> {
            if (live.getOrDefault(id, false)) {
                Combination combination = model.points().combination();
                outlooks.put(
                        id,
                        Outlook.of(
                                joint.now(id),
                                Set.of(),
                                List.of(new Leaf(
                                        1,
                                        1,
                                        PredictiveState.of(combination, link, true, rule),
                                        PredictiveState.of(combination, link, false, rule)))));
            }
        });
        return new JointInformation(
                new CareSetting(
                        weighing,
                        visit,
                        models,
                        families,
                        rule,
                        outlooks,
                        new ConcurrentHashMap<>(),
                        new ConcurrentHashMap<>()),
                outlooks);
    }

    /** Expected information of all tests added, in bits; 0 of none. */
    public double bits() {
        return sum(Map.of());
    }

    /** The best of each family, since what a test says of a part it says of the whole too. */
    private double sum(Map<ConditionId, Double> instead) {
        Map<ConditionId, Double> byFamily = new HashMap<>();
        outlooks.forEach((id, outlook) -> byFamily.merge(
                setting.families().get(id), instead.getOrDefault(id, outlook.bits()) * counts(id), Math::max));
        return byFamily.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** Expected information about one condition, not doubled; 0 where it is not in play. */
    public double bits(ConditionId condition) {
        return outlooks.containsKey(condition) ? outlooks.get(condition).bits() : 0;
    }

    /** Conditions in play, about which tests could tell something by figures. */
    public Set<ConditionId> inPlay() {
        return outlooks.keySet();
    }

    /** Where a condition in play stands before any of the tests added, 0..1. */
    public double now(ConditionId condition) {
        return Keyed.at(outlooks, condition).now();
    }

    /**
     * Chance that a condition in play stands from {@code low} to below {@code high} once all tests added have an
     * answer, 0..1.
     *
     * @param low a chance, 0..1
     * @param high a chance, 0..1
     */
    public double between(ConditionId condition, double low, double high) {
        return Keyed.at(outlooks, condition).between(low, high);
    }

    private double counts(ConditionId id) {
        return ExpectedInformation.counts(
                Keyed.at(setting.models(), id).condition(),
                Keyed.at(outlooks, id).now(),
                setting.visit().assumptions().thresholds());
    }

    /** What a test would add to those added already. */
    public double gain(TestId test) {
        Map<ConditionId, Double> further = new HashMap<>();
        setting.splits(test, outlooks.keySet()).forEach((id, split) -> {
            Outlook outlook = Keyed.at(outlooks, id);
            further.put(
                    id,
                    setting.asked()
                            .computeIfAbsent(
                                    new InformationKey(id, outlook.testsWith(test)), asked -> outlook.bitsWith(split)));
        });
        return further.isEmpty() ? 0 : sum(further) - bits();
    }

    /** What a test would add about one condition, not doubled; 0 where it does not speak of it by figures. */
    public double gain(TestId test, ConditionId condition) {
        TestPrediction split = setting.splits(test, outlooks.keySet()).get(condition);
        if (split == null) {
            return 0;
        }
        Outlook outlook = Keyed.at(outlooks, condition);
        return outlook.bitsWith(split) - outlook.bits();
    }

    /** The widest condition that a condition belongs to, itself where it belongs to none. */
    public ConditionId family(ConditionId condition) {
        return setting.families().getOrDefault(condition, condition);
    }

    /** The same with a test more. A test that has no figures in play changes nothing. */
    public JointInformation with(TestId test) {
        Map<ConditionId, Outlook> further = new LinkedHashMap<>(outlooks);
        setting.splits(test, outlooks.keySet())
                .forEach((id, split) -> further.put(id, Keyed.at(outlooks, id).with(test, split)));
        return new JointInformation(setting, further);
    }

    /** The same without one of the tests added. */
    public JointInformation without(TestId test) {
        Map<ConditionId, Outlook> fewer = new LinkedHashMap<>(outlooks);
        setting.splits(test, outlooks.keySet()).keySet().stream()
                .filter(id -> Keyed.at(outlooks, id).tests().contains(test))
                .forEach(id -> {
                    Outlook rest = Keyed.at(setting.start(), id);
                    for (TestId other : Keyed.at(outlooks, id).tests()) {
                        rest = other.equals(test)
                                ? rest
                                : rest.with(other, Keyed.at(setting.splits(other, outlooks.keySet()), id));
                    }
                    fewer.put(id, rest);
                });
        return new JointInformation(setting, fewer);
    }

    /** The same with some tests more. */
    public JointInformation with(Collection<TestId> tests) {
        JointInformation all = this;
        for (TestId test : tests) {
            all = all.with(test);
        }
        return all;
    }

    /** Neighbours by what they say of the condition, two by two; the likelier one stands for both from then on. */
    private static List<Leaf> together(List<Leaf> leaves) {
        List<Leaf> sorted = leaves.stream()
                .sorted(Comparator.comparingDouble(Leaf::logRatio))
                .toList();
        List<Leaf> pairs = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i += 2) {
            Leaf one = sorted.get(i);
            if (i + 1 == sorted.size()) {
                pairs.add(one);
                break;
            }
            Leaf other = sorted.get(i + 1);
            Leaf likelier = one.present() + one.absent() >= other.present() + other.absent() ? one : other;
            pairs.add(new Leaf(
                    one.present() + other.present(),
                    one.absent() + other.absent(),
                    likelier.with(),
                    likelier.without()));
        }
        return pairs;
    }
}
