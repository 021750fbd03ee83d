package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.examination.TestReading;

/**
 * What a set of open tests would tell together: the expected fall of entropy, in bits, over all that they could answer. It is
 * not the sum of what each would tell, since tests of one tissue repeat each other, and one answer makes another less or more
 * telling. As for a single test, the best condition of each family counts, serious ones double, and only conditions in play.
 *
 * <p>All answers are followed as long as a condition has at most {@value #MOST} of them; then those that leave the condition
 * alike are taken together, which can only lose information. Immutable.
 */
public final class JointInformation {

    /** Answers that are followed apart for one condition. */
    static final int MOST = 128;
    private static final double SERIOUS_COUNTS = 2;

    private final Setting setting;
    private final Map<ConditionId, Outlook> outlooks;

    /** What does not change as tests are added. */
    private record Setting(Weighing weighing, Visit visit, Map<ConditionId, Weighing.Model> models, Map<ConditionId, ConditionId> families, Kernel.Rule rule) {
    }

    /** One way things could go for a condition: its chance with and without the condition, and what stands then. */
    private record Leaf(double present, double absent, Possible with, Possible without) {

        double logRatio() {
            return Math.log(present / absent);
        }
    }

    /**
     * Every way things could go for a condition that stands at {@code now}.
     *
     * @param bits expected fall of its entropy
     */
    private record Outlook(double now, List<Leaf> leaves, double bits) {

        static Outlook of(double now, List<Leaf> leaves) {
            double left = 0;
            for (Leaf leaf : leaves) {
                double chance = now * leaf.present() + (1 - now) * leaf.absent();
                left += chance * Foresight.entropy(now * leaf.present() / chance);
            }
            return new Outlook(now, leaves, Math.max(0, Foresight.entropy(now) - left));
        }
    }

    private JointInformation(Setting setting, Map<ConditionId, Outlook> outlooks) {
        this.setting = setting;
        this.outlooks = outlooks;
    }

    /**
     * Of no test yet, from what a visit has found so far.
     *
     * @param candidates tests that might be added; a condition that none of them could bring into play is left out
     */
    public static JointInformation of(Weighing weighing, Visit visit, List<TestReading> found, Collection<TestId> candidates) {
        return of(weighing, visit, found, candidates, Kernel.Rule.COARSE);
    }

    static JointInformation of(Weighing weighing, Visit visit, List<TestReading> found, Collection<TestId> candidates, Kernel.Rule rule) {
        Foresight foresight = Foresight.of(weighing, visit, found);
        Map<ConditionId, Boolean> live = new HashMap<>();
        candidates.forEach(test -> foresight.value(test, Optional.empty()).changes().forEach(change -> live.merge(change.condition().id(), change.live(), Boolean::logicalOr)));
        Map<ConditionId, Weighing.Model> models = new LinkedHashMap<>();
        weighing.models(visit, found).forEach(model -> models.put(model.condition().id(), model));
        Map<ConditionId, ConditionId> families = new HashMap<>();
        models.keySet().forEach(id -> families.put(id, weighing.catalogue().widerThan(id).stream().filter(models::containsKey).reduce((first, last) -> last).orElse(id)));
        Map<ConditionId, Outlook> outlooks = new LinkedHashMap<>();
        double link = visit.assumptions().link();
        models.forEach((id, model) -> {
            if (live.getOrDefault(id, false)) {
                Combination combination = model.points().combination();
                outlooks.put(id, Outlook.of(model.now(), List.of(new Leaf(1, 1, Possible.of(combination, link, true, rule), Possible.of(combination, link, false, rule)))));
            }
        });
        return new JointInformation(new Setting(weighing, visit, models, families, rule), outlooks);
    }

    /** Expected information of all tests added, in bits; 0 of none. */
    public double bits() {
        Map<ConditionId, Double> byFamily = new HashMap<>();
        outlooks.forEach((id, outlook) -> byFamily.merge(setting.families().get(id), outlook.bits() * counts(id), Math::max));
        return byFamily.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** Expected information about one condition, not doubled; 0 where it is not in play. */
    public double bits(ConditionId condition) {
        return outlooks.containsKey(condition) ? outlooks.get(condition).bits() : 0;
    }

    private double counts(ConditionId id) {
        Condition condition = setting.models().get(id).condition();
        return condition.serious().isPresent() ? SERIOUS_COUNTS : 1;
    }

    /** What a test would add to those added already. */
    public double gain(TestId test) {
        return with(test).bits() - bits();
    }

    /** The same with a test more. A test that has no figures in play changes nothing. */
    public JointInformation with(TestId test) {
        Map<ConditionId, Outlook> further = new LinkedHashMap<>(outlooks);
        outlooks.forEach((id, outlook) -> evidence(test, id).ifPresent(inUse -> further.put(id, split(outlook, inUse.belief(), test, setting.models().get(id)))));
        return new JointInformation(setting, further);
    }

    private Optional<EvidenceInUse> evidence(TestId test, ConditionId condition) {
        return setting.weighing().catalogue().test(test).readingFor(condition).flatMap(reads -> setting.weighing().evidence().inUse(test, condition, setting.visit().schools()));
    }

    private Outlook split(Outlook outlook, Belief belief, TestId test, Weighing.Model model) {
        boolean alone = model.builder().worthless(belief);
        Optional<Correlation> correlation = model.correlations().of(test, model.condition().id());
        double link = setting.visit().assumptions().link();
        double sensitivity = belief.sensitivity();
        double falsely = 1 - belief.specificity();
        Possible.Next withNext = Possible.next(correlation, link, true, sensitivity, setting.rule());
        Possible.Next withoutNext = Possible.next(correlation, link, false, falsely, setting.rule());
        List<Leaf> leaves = new ArrayList<>();
        for (Leaf leaf : outlook.leaves()) {
            double with = alone ? sensitivity : leaf.with().positive(withNext);
            double without = alone ? falsely : leaf.without().positive(withoutNext);
            for (boolean positive : new boolean[] {true, false}) {
                leaves.add(new Leaf(leaf.present() * (positive ? with : 1 - with), leaf.absent() * (positive ? without : 1 - without),
                        alone ? leaf.with() : leaf.with().with(withNext, positive), alone ? leaf.without() : leaf.without().with(withoutNext, positive)));
            }
        }
        return Outlook.of(outlook.now(), leaves.size() > MOST ? together(leaves) : leaves);
    }

    /** Neighbours by what they say of the condition, two by two; the likelier one stands for both from then on. */
    private static List<Leaf> together(List<Leaf> leaves) {
        List<Leaf> sorted = leaves.stream().sorted(Comparator.comparingDouble(Leaf::logRatio)).toList();
        List<Leaf> pairs = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i += 2) {
            Leaf one = sorted.get(i);
            if (i + 1 == sorted.size()) {
                pairs.add(one);
                break;
            }
            Leaf other = sorted.get(i + 1);
            Leaf likelier = one.present() + one.absent() >= other.present() + other.absent() ? one : other;
            pairs.add(new Leaf(one.present() + other.present(), one.absent() + other.absent(), likelier.with(), likelier.without()));
        }
        return pairs;
    }
}
