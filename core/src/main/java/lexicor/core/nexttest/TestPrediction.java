package lexicor.core.nexttest;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.evidence.Belief;
import lexicor.core.findings.Visit;
import lexicor.core.findings.Weight;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.weighing.Weighing;

/** An open test as it speaks of one condition; one that is worthless there is taken to know nothing of the others. */
record TestPrediction(
        boolean alone,
        double sensitivity,
        double falsely,
        PredictiveState.Next withNext,
        PredictiveState.Next withoutNext) {

    /** Empty where the test has no figures for the condition. */
    static Optional<TestPrediction> of(
            Weighing weighing, Visit visit, Weighing.Model model, TestId test, FactorQuadrature.Rule rule) {
        ConditionId condition = model.condition().id();
        return Optional.ofNullable(
                        model.builder().open(test, List.of(model.condition())).get(condition))
                .map(load -> of(load, visit, model, test, rule));
    }

    private static TestPrediction of(
            WeightedFinding load, Visit visit, Weighing.Model model, TestId test, FactorQuadrature.Rule rule) {
        Belief belief = ((Weight.Proportions) load.weight()).belief();
        Optional<Correlation> correlation = model.correlations()
                .of(test, model.condition().id())
                .or(() -> load.borrowed()
                        ? Optional.of(Correlation.ofPattern(model.condition().id()))
                        : Optional.empty());
        double link = visit.assumptions().link();
        double falsely = 1 - belief.specificity();
        return new TestPrediction(
                model.builder().worthless(belief),
                belief.sensitivity(),
                falsely,
                PredictiveState.next(correlation, link, true, belief.sensitivity(), rule),
                PredictiveState.next(correlation, link, false, falsely, rule));
    }

    /** Chance of a positive with the condition. */
    double positiveWith(PredictiveState with) {
        return alone ? sensitivity : with.positive(withNext);
    }

    /** Chance of a positive without it. */
    double positiveWithout(PredictiveState without) {
        return alone ? falsely : without.positive(withoutNext);
    }

    /** What stands with the condition after an answer. */
    PredictiveState with(PredictiveState with, boolean positive) {
        return alone ? with : with.with(withNext, positive);
    }

    /** What stands without it after an answer. */
    PredictiveState without(PredictiveState without, boolean positive) {
        return alone ? without : without.with(withoutNext, positive);
    }
}
