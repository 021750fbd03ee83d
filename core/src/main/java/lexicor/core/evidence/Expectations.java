package lexicor.core.evidence;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.synthesis.Alone;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.synthesis.StudyRecord;
import lexicor.core.synthesis.Synthesis;

/** What a clinic would find for the criteria of each condition, by its policy. */
final class Expectations {

    private final Catalogue catalogue;
    private final Synthesis synthesis;
    private final Map<StudyRecord.Criterion, List<StudyRecord>> studies;
    private final EvidencePolicy policy;
    private final Map<ConditionId, PredictedAccuracy> known = new ConcurrentHashMap<>();

    Expectations(Catalogue catalogue, Synthesis synthesis, List<StudyRecord> studies, EvidencePolicy policy) {
        this.catalogue = catalogue;
        this.synthesis = synthesis;
        this.studies = studies.stream().collect(Collectors.groupingBy(StudyRecord::criterion));
        this.policy = policy;
    }

    /** For every criterion of a condition, studied or not. */
    PredictedAccuracy of(ConditionId condition) {
        return known.computeIfAbsent(condition, this::found);
    }

    private PredictedAccuracy found(ConditionId condition) {
        PredictedAccuracy found = synthesis.predict(
                condition.value(),
                catalogue.tests().values().stream()
                        .flatMap(test -> test.readingFor(condition).stream()
                                .flatMap(reading -> criteria(reading)
                                        .map(criterion -> Evidence.criterion(test.id(), criterion, condition))))
                        .toList());
        if (policy.method() != EvidencePolicy.Method.SYNTHESIS) {
            found = found.with(byThemselves(condition));
        }
        return policy.own().isEmpty() ? found : found.after(policy.own());
    }

    private Map<StudyRecord.Criterion, Alone> byThemselves(ConditionId condition) {
        Map<StudyRecord.Criterion, Alone> alone = new LinkedHashMap<>();
        studies.forEach((criterion, about) -> {
            if (criterion.condition().equals(condition.value())) {
                alone.put(
                        criterion,
                        policy.method() == EvidencePolicy.Method.POOLED ? Alone.pooled(about) : Alone.best(about));
            }
        });
        return alone;
    }

    private static Stream<CriterionId> criteria(ConditionReading reading) {
        return Stream.concat(
                        reading.by().stream(),
                        reading.school().stream().flatMap(school -> school.criteria().values().stream()))
                .distinct();
    }
}
