package lexicor.core.nexttest;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.differential.Pairs;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.findings.WeightedFindings;
import lexicor.core.weighing.JointModel;
import lexicor.core.weighing.Weighing;
import org.jspecify.annotations.Nullable;

/**
 * What tests that are still open could tell, given what was found. The information of an answer about a condition is
 * the expected fall of its entropy, from the chance of each answer with and without the condition given everything so
 * far: tests of a group that has spoken already promise less. A test known by a clinic's own estimate promises nothing
 * here.
 */
public final class ExpectedInformation {

    private static final double SERIOUS_COUNTS = 2;

    /** A gap that no answer would be noticed by. */
    private static final double LEAST_DECIBANS = 0.1;

    private final Weighing weighing;
    private final Visit visit;
    private final JointModel joint;
    private final WeightedFindings builder;
    private final List<Condition> ranked;
    private final Map<TestId, List<Pairs>> pairs = new ConcurrentHashMap<>();

    private ExpectedInformation(Weighing weighing, Visit visit, List<TestReading> tests) {
        this.weighing = weighing;
        this.visit = visit;
        joint = weighing.jointModel(visit, tests);
        ranked = weighing.ranked(visit);
        builder = new WeightedFindings(weighing.catalogue(), weighing.evidence(), weighing.settings(), visit);
    }

    /** From what a visit has found so far. */
    public static ExpectedInformation of(Weighing weighing, Visit visit, List<TestReading> tests) {
        return new ExpectedInformation(weighing, visit, tests);
    }

    /**
     * Every one of these tests with what it could tell for its time, the best first.
     *
     * @param position in which the patient is now; empty where it is not known
     */
    public List<TestValue> values(Collection<TestId> open, Optional<String> position) {
        return open.stream()
                .map(test -> value(test, position))
                .sorted(Comparator.comparingDouble(TestValue::bitsPerMinute).reversed())
                .toList();
    }

    /** What one test could tell. */
    public TestValue value(TestId id, Optional<String> position) {
        ExaminationTest test = weighing.catalogue().test(id);
        List<TestValue.Change> changes = new ArrayList<>(changes(id).values());
        changes.sort(Comparator.comparing(TestValue.Change::live)
                .thenComparing(TestValue.Change::bits)
                .reversed());
        boolean moves = position.isPresent() && !test.positions().contains(position.get());
        double seconds = test.seconds() + (moves ? weighing.catalogue().effort().changePosition() : 0);
        double bits = bits(changes);
        return new TestValue(
                id, bits, seconds, moves, bits >= weighing.catalogue().effort().leastBits(), changes);
    }

    /** The best of each family, since what a test says of a part it says of the whole too. */
    private double bits(List<TestValue.Change> changes) {
        Map<ConditionId, Double> byFamily = new HashMap<>();
        changes.stream()
                .filter(TestValue.Change::live)
                .forEach(change -> byFamily.merge(
                        family(change.condition()),
                        change.bits()
                                * counts(
                                        change.condition(),
                                        change.now(),
                                        visit.assumptions().thresholds()),
                        Math::max));
        return byFamily.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /**
     * How much a bit about a condition is worth to the patient. One that is less likely than would be tested for counts
     * in proportion, since ruling out what nobody expects changes nothing. A serious one counts double from where it
     * would be referred, and below that never less than one that is likely.
     *
     * @param now its chance, 0..1
     * @return above 0, up to 2
     */
    static double counts(Condition condition, double now, Thresholds thresholds) {
        return condition.serious().isPresent()
                ? Math.max(1, SERIOUS_COUNTS * Math.min(1, now / thresholds.serious()))
                : Math.min(1, now / thresholds.test());
    }

    private ConditionId family(Condition condition) {
        return weighing.catalogue().widerThan(condition.id()).stream()
                .filter(visit.starts()::containsKey)
                .reduce((first, last) -> last)
                .orElse(condition.id());
    }

    /** By condition the part of the test that tells most of it. */
    private Map<ConditionId, TestValue.Change> changes(TestId test) {
        Map<ConditionId, TestValue.Change> changes = new LinkedHashMap<>();
        Map<ConditionId, WeightedFinding> loads = builder.open(test, ranked);
        for (JointModel.Ahead ahead : loads.isEmpty() ? List.<JointModel.Ahead>of() : joint.ahead(loads)) {
            for (Condition condition : ranked) {
                double[] after = ahead.after().get(condition.id());
                if (after != null) {
                    changes.merge(
                            condition.id(),
                            change(condition, ahead.positive(), after[0], after[1]),
                            (one, other) -> one.bits() >= other.bits() ? one : other);
                }
            }
        }
        return changes;
    }

    private TestValue.Change change(Condition condition, double positive, double ifPositive, double ifNegative) {
        double now = joint.now(condition.id());
        double bits = Math.max(0, entropy(now) - positive * entropy(ifPositive) - (1 - positive) * entropy(ifNegative));
        double least = visit.assumptions().thresholds().setAside();
        boolean live = now >= least || condition.serious().isPresent() && Math.max(ifPositive, ifNegative) >= least;
        return new TestValue.Change(
                condition,
                now,
                ifPositive,
                ifNegative,
                positive * ifPositive / now,
                positive * (1 - ifPositive) / (1 - now),
                bits,
                live);
    }

    /**
     * How well open tests tell two conditions apart, given what was found: the mean of |log of how often the test is
     * positive (negative) where one holds without the other, over how often where the other does|, in decibans. A test
     * that speaks of neither by figures, or whose answers are the same in both, is not among them.
     */
    public List<Separation> separating(ConditionId one, ConditionId other, Collection<TestId> open) {
        List<Separation> separations = new ArrayList<>();
        for (TestId test : open) {
            Map<ConditionId, WeightedFinding> loads = builder.open(test, ranked);
            if (measured(loads.get(one)) || measured(loads.get(other))) {
                pairs.computeIfAbsent(test, id -> joint.pairs(loads)).stream()
                        .flatMap(each -> each.between(joint.place(one), joint.place(other)).stream())
                        .map(each -> Separation.of(each.ifOne(), each.ifOther()))
                        .max(Comparator.naturalOrder())
                        .filter(decibans -> decibans >= LEAST_DECIBANS)
                        .ifPresent(decibans -> separations.add(new Separation(test, decibans)));
            }
        }
        separations.sort(Comparator.comparingDouble(Separation::decibans).reversed());
        return separations;
    }

    private static boolean measured(@Nullable WeightedFinding finding) {
        return finding != null && !finding.borrowed();
    }

    /** Entropy of a chance, in bits. */
    public static double entropy(double chance) {
        return chance <= 0 || chance >= 1
                ? 0
                : -(chance * Math.log(chance) + (1 - chance) * Math.log1p(-chance)) / Math.log(2);
    }
}
