package lexicor.core.nexttest;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Evidence;
import lexicor.core.posttest.Decibans;
import lexicor.core.weighing.PointModel;

/**
 * How well a test tells two conditions apart: the mean, over what it would answer in either, of |log LR for A - log LR
 * for B|, in decibans. A test that speaks of but one of the two by figures is not among them.
 */
public record Separation(TestId test, double decibans) {

    /** Tests with figures for both, the best first. */
    public static List<Separation> between(ConditionId a, ConditionId b, Catalogue catalogue, Evidence evidence) {
        return catalogue.tests().keySet().stream()
                .map(test -> of(test, a, b, evidence))
                .flatMap(Optional::stream)
                .sorted(Comparator.comparingDouble(Separation::decibans).reversed())
                .toList();
    }

    private static Optional<Separation> of(TestId test, ConditionId a, ConditionId b, Evidence evidence) {
        var forA = evidence.inUse(test, a);
        var forB = evidence.inUse(test, b);
        if (forA.isEmpty()
                || forB.isEmpty()
                || !forA.get().criterion().equals(forB.get().criterion())) {
            return Optional.empty();
        }
        return Optional.of(
                new Separation(test, between(forA.get().belief(), forB.get().belief())));
    }

    /** The same from two beliefs about one answer. */
    public static double between(Belief a, Belief b) {
        return between(PointModel.Predicted.alone(a), PointModel.Predicted.alone(b));
    }

    /**
     * The same from how often the answer would be positive in either, in decibans.
     *
     * @param a where one holds and not the other, above 0 and below 1
     * @param b the other way round
     */
    static double of(double a, double b) {
        double positive = (a + b) / 2;
        return Decibans.of(
                positive * Math.abs(Math.log(a / b)) + (1 - positive) * Math.abs(Math.log((1 - a) / (1 - b))));
    }

    private static double between(PointModel.Predicted a, PointModel.Predicted b) {
        double gapIfPositive = Math.abs(Math.log(a.likelihoodRatio(true) / b.likelihoodRatio(true)));
        double gapIfNegative = Math.abs(Math.log(a.likelihoodRatio(false) / b.likelihoodRatio(false)));
        double positive = (a.withCondition() + b.withCondition()) / 2;
        return Decibans.of(positive * gapIfPositive + (1 - positive) * gapIfNegative);
    }
}
