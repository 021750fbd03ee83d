package lexicor.server.calculators;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.synthesis.Spread;
import lexicor.core.synthesis.StudyRecord;
import lexicor.core.synthesis.Synthesis;

/**
 * The population of tests, and for each criterion what a clinic would find; logits in the order sensitivity,
 * specificity.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record SynthesisAnswer(
        Beta beta,
        double[][] betaCovariance,
        Spread spread,
        double[][] clinicShared,
        double[][] clinicOwn,
        boolean settled,
        List<Predicted> criteria,
        Joint jointPredictive,
        List<Predicted> here) {

    /** Logits of the average test, and what originators add. */
    @Schema(name = "SynthesisBetaAnswer")
    record Beta(double sensitivity, double specificity, double originatorSensitivity, double originatorSpecificity) {}

    /** One criterion. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    @Schema(name = "SynthesisPredictedAnswer")
    record Predicted(
            String test,
            String criterion,
            String condition,
            double[] mean,
            double[][] posterior,
            double[][] predictive,
            double sensitivity,
            double specificity,
            double lrPositive,
            double lrNegative) {

        static Predicted of(PredictedAccuracy.Of one, boolean withPosterior) {
            return new Predicted(
                    one.criterion().test(),
                    one.criterion().criterion(),
                    one.criterion().condition(),
                    one.mean(),
                    withPosterior ? one.posterior() : null,
                    one.predictive(),
                    one.sensitivity(),
                    one.specificity(),
                    one.ratioPositive(),
                    one.ratioNegative());
        }
    }

    /** All criteria of the first condition together. */
    @Schema(name = "SynthesisJointAnswer")
    record Joint(String condition, List<String> order, double[] mean, double[][] covariance) {

        static Joint of(String condition, PredictedAccuracy all) {
            return new Joint(
                    condition,
                    all.criteria().stream()
                            .map(each -> each.test() + "/" + each.criterion())
                            .toList(),
                    all.mean(),
                    all.predictive());
        }
    }

    static SynthesisAnswer of(
            Synthesis synthesis, Map<StudyRecord.Criterion, StudyRecord.Counts> own, String ownCondition) {
        double[] beta = synthesis.beta();
        List<Predicted> criteria = synthesis.conditions().stream()
                .flatMap(each -> synthesis.predict(each).each().stream())
                .map(each -> Predicted.of(each, true))
                .toList();
        Joint joint = synthesis.conditions().stream()
                .findFirst()
                .filter(each -> synthesis.predict(each).criteria().size() > 1)
                .map(each -> Joint.of(each, synthesis.predict(each)))
                .orElse(null);
        boolean nothing =
                ownCondition != null && own.isEmpty() && !synthesis.conditions().contains(ownCondition);
        List<Predicted> here = ownCondition == null
                ? null
                : nothing
                        ? List.of()
                        : synthesis.predict(ownCondition, own.keySet()).after(own).each().stream()
                                .map(each -> Predicted.of(each, false))
                                .toList();
        return new SynthesisAnswer(
                new Beta(beta[0], beta[1], beta[2], beta[3]),
                synthesis.betaCovariance(),
                synthesis.spread(),
                synthesis.spread().clinicShared().getData(),
                synthesis.spread().clinicOwn().getData(),
                synthesis.settled(),
                criteria,
                joint,
                here);
    }
}
