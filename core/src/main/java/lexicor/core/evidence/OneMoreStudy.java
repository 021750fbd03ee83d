package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.List;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.synthesis.StudyRecord;
import lexicor.core.synthesis.Synthesis;

/**
 * What would be expected of a criterion if one more independent study were published that found exactly what is
 * expected now. So only the widths move for that reason: by how much shows what is unknown of the test, and what
 * remains is how clinics differ.
 */
public record OneMoreStudy(PredictedAccuracy.Of before, PredictedAccuracy.Of after) {

    private static final String STUDY = "one more study";

    /**
     * @param with patients of the study with the condition, above 0
     * @param without patients without it, above 0
     */
    public static OneMoreStudy of(
            Evidence evidence, TestId test, CriterionId criterion, ConditionId condition, int with, int without) {
        PredictedAccuracy.Of before =
                ((Belief.Expected) evidence.asPublished().expected(test, criterion, condition)).one();
        List<StudyRecord> studies = new ArrayList<>(evidence.studies());
        studies.add(new StudyRecord(
                STUDY,
                before.criterion(),
                STUDY,
                false,
                new StudyRecord.Counts(
                        before.sensitivity() * with,
                        (1 - before.sensitivity()) * with,
                        before.specificity() * without,
                        (1 - before.specificity()) * without)));
        PredictedAccuracy then = Synthesis.of(studies).predict(condition.value(), List.of(before.criterion()));
        return new OneMoreStudy(before, then.at(then.criteria().indexOf(before.criterion())));
    }
}
