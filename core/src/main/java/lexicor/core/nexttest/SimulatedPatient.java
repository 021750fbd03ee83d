package lexicor.core.nexttest;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleSupplier;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Combination;
import lexicor.core.findings.Visit;
import lexicor.core.posttest.LogOdds;
import lexicor.core.weighing.Weighing;

/**
 * Patients that are drawn: the answers of open tests, one after the other, as somebody who has a condition, or has it
 * not, would give them by the figures in use and the dependence between findings.
 */
public final class SimulatedPatient {

    private final Weighing weighing;
    private final Visit visit;
    private final Weighing.Model model;

    private SimulatedPatient(Weighing weighing, Visit visit, Weighing.Model model) {
        this.weighing = weighing;
        this.visit = visit;
        this.model = model;
    }

    /**
     * Of one condition, from what a visit has found so far, or {@link IllegalArgumentException} where it is not ranked
     * there.
     */
    public static SimulatedPatient of(Weighing weighing, Visit visit, List<TestReading> found, ConditionId condition) {
        Weighing.Model model = weighing.models(visit, found).stream()
                .filter(each -> each.condition().id().equals(condition))
                .findFirst()
                .orElseThrow(
                        () -> new IllegalArgumentException("'" + condition.value() + "' is not ranked at this visit"));
        return new SimulatedPatient(weighing, visit, model);
    }

    /** The chance of the condition now, 0..1. */
    public double now() {
        return model.now();
    }

    /**
     * The chance of the condition after some tests on a patient who has it, or has it not.
     *
     * @param random draws from 0 to 1, one for each test that speaks of the condition by figures
     */
    public double after(List<TestId> tests, boolean present, DoubleSupplier random) {
        double link = visit.assumptions().link();
        Combination combination = model.points().combination();
        PredictiveState with = PredictiveState.of(combination, link, true, FactorQuadrature.Rule.COARSE);
        PredictiveState without = PredictiveState.of(combination, link, false, FactorQuadrature.Rule.COARSE);
        double logRatio = 0;
        for (TestId test : tests) {
            Optional<TestPrediction> split =
                    TestPrediction.of(weighing, visit, model, test, FactorQuadrature.Rule.COARSE);
            if (split.isEmpty()) {
                continue;
            }
            double ifPresent = split.get().positiveWith(with);
            double ifAbsent = split.get().positiveWithout(without);
            boolean positive = random.getAsDouble() < (present ? ifPresent : ifAbsent);
            logRatio += Math.log(positive ? ifPresent / ifAbsent : (1 - ifPresent) / (1 - ifAbsent));
            with = split.get().with(with, positive);
            without = split.get().without(without, positive);
        }
        return LogOdds.ofChance(model.now()).times(Math.exp(logRatio)).chance();
    }
}
