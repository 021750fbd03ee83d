package lexicor.server.examinations.outcomes;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import lexicor.server.cases.Affected;
import lexicor.server.json.EstimateJson;
import lexicor.server.json.HeldClaimsJson;

/** What turned out, counted over the clinic. Proportions are 0..1. */
final class OutcomesJson {

    private OutcomesJson() {}

    /**
     * Complaints that wait for an answer, those to be looked at first on top, and how many wait in all.
     *
     * @param answered complaints of which something is known
     * @param signed complaints with a signed examination
     */
    @Schema(name = "WaitingListJson")
    record WaitingJson(List<WaitsJson> waiting, int all, int answered, int signed) {}

    /**
     * A complaint that waits.
     *
     * @param askedFor names of conditions whose settling step was asked for
     * @param due the day of the next visit; absent where none was set
     */
    @Schema(name = "WaitingComplaintJson")
    record WaitsJson(
            UUID caseId,
            UUID complaint,
            String code,
            String region,
            Affected side,
            LocalDate visited,
            String working,
            List<String> askedFor,
            @Schema(nullable = true) LocalDate due,
            boolean overdue) {}

    /** Conditions with results: of how many complaints it is known that it was there, and that it was not. */
    @Schema(name = "AnsweredConditionJson")
    record AnsweredJson(String conditionId, String name, String region, int present, int absent) {}

    /**
     * The clinic's own accuracy for one condition.
     *
     * @param complaints signed, in which a finding spoke about the condition
     * @param verified of them, with a result
     */
    @Schema(name = "OwnAccuracyJson")
    record AccuracyJson(String conditionId, String name, int complaints, int verified, List<TestAccuracyJson> tests) {}

    /**
     * One test by one criterion. Counts are complaints; {@code openPositive} and {@code openNegative} have no result.
     * Own figures are absent until at least one positive and one negative have a result.
     */
    @Schema(name = "OwnTestAccuracyJson")
    record TestAccuracyJson(
            String testId,
            String name,
            String criterion,
            int truePositive,
            int falsePositive,
            int falseNegative,
            int trueNegative,
            int openPositive,
            int openNegative,
            @Schema(nullable = true) OwnJson own,
            EstimateJson expectedSensitivity,
            EstimateJson expectedSpecificity,
            boolean borrowed) {}

    /**
     * What the clinic's own results say.
     *
     * @param sensitivity corrected for those without a result; absent where nobody had the condition
     * @param plainSensitivity of those with a result alone; absent likewise
     * @param togetherSensitivity what is expected once the clinic's results are added to the published ones
     */
    @Schema(name = "OwnFiguresJson")
    record OwnJson(
            @Schema(nullable = true) EstimateJson sensitivity,
            @Schema(nullable = true) EstimateJson specificity,
            @Schema(nullable = true) Double plainSensitivity,
            @Schema(nullable = true) Double plainSpecificity,
            EstimateJson togetherSensitivity,
            EstimateJson togetherSpecificity) {}

    /**
     * How two examiners of one patient agreed.
     *
     * @param pairs patients whom two have examined, blind to each other
     * @param needed patients from whom on kappa is told
     */
    @Schema(name = "AgreementsJson")
    record AgreementsJson(int pairs, int needed, List<TestAgreementJson> tests) {}

    /**
     * One test by one criterion, over patients in whom both could read it.
     *
     * @param observed share of patients on whom they agreed
     * @param kappa absent below the patients needed, and where both gave one answer throughout
     */
    @Schema(name = "TestAgreementJson")
    record TestAgreementJson(
            String testId,
            String name,
            String criterion,
            int bothPositive,
            int firstOnly,
            int secondOnly,
            int bothNegative,
            double observed,
            @Schema(nullable = true) EstimateJson kappa,
            double adjustedKappa,
            @Schema(nullable = true) Double positiveAgreement,
            @Schema(nullable = true) Double negativeAgreement) {}

    /** How chances held: those stated by the weighing, and those of the person's own conclusions. */
    @Schema(name = "ChancesHeldJson")
    record CalibrationJson(
            @Schema(nullable = true) HeldClaimsJson weighing,
            @Schema(nullable = true) HeldClaimsJson own,
            int needed) {}
}
