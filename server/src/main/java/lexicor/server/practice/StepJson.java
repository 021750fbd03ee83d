package lexicor.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.practice.PatientContent;
import lexicor.core.practice.PracticeStep;
import lexicor.server.examinations.record.PartJson;

/** A step of a practice case as it is kept: exactly one of its kinds. */
@Schema(hidden = true)
record StepJson(
        Asked asked, Examined examined, Written written, Map<String, Double> believed, Hinted hinted, Ended ended) {

    record Asked(List<String> questions) {}

    record Examined(
            String test, String way, boolean wellFirst, List<PartJson> here, List<PartJson> well, String hurt) {}

    record Written(String test, List<PartJson> here, List<PartJson> well) {}

    record Hinted(String test) {}

    record Ended(boolean referred) {}

    static StepJson of(PracticeStep step) {
        if (step instanceof PracticeStep.Asked each) {
            return new StepJson(new Asked(each.questions()), null, null, null, null, null);
        }
        if (step instanceof PracticeStep.Examined each) {
            return new StepJson(
                    null,
                    new Examined(
                            each.test().value(),
                            each.way(),
                            each.wellFirst(),
                            each.here().stream().map(PartJson::of).toList(),
                            each.well().stream().map(PartJson::of).toList(),
                            each.hurt().map(Enum::name).orElse(null)),
                    null,
                    null,
                    null,
                    null);
        }
        if (step instanceof PracticeStep.Written each) {
            return new StepJson(
                    null,
                    null,
                    new Written(
                            each.test().value(),
                            each.here().stream().map(PartJson::of).toList(),
                            each.well().stream().map(PartJson::of).toList()),
                    null,
                    null,
                    null);
        }
        if (step instanceof PracticeStep.Believed each) {
            Map<String, Double> chances = new LinkedHashMap<>();
            each.chances().forEach((condition, chance) -> chances.put(condition.value(), chance));
            return new StepJson(null, null, null, chances, null, null);
        }
        if (step instanceof PracticeStep.Hinted each) {
            return new StepJson(
                    null,
                    null,
                    null,
                    null,
                    new Hinted(each.test().map(TestId::value).orElse(null)),
                    null);
        }
        return new StepJson(null, null, null, null, null, new Ended(((PracticeStep.Ended) step).referred()));
    }

    PracticeStep toCore() {
        if (asked != null) {
            return new PracticeStep.Asked(asked.questions());
        }
        if (examined != null) {
            return new PracticeStep.Examined(
                    TestId.of(examined.test()),
                    examined.way(),
                    examined.wellFirst(),
                    examined.here().stream().map(PartJson::toCore).toList(),
                    examined.well().stream().map(PartJson::toCore).toList(),
                    Optional.ofNullable(examined.hurt()).map(PatientContent.Hurt::valueOf));
        }
        if (written != null) {
            return new PracticeStep.Written(
                    TestId.of(written.test()),
                    written.here().stream().map(PartJson::toCore).toList(),
                    written.well().stream().map(PartJson::toCore).toList());
        }
        if (believed != null) {
            Map<ConditionId, Double> chances = new LinkedHashMap<>();
            believed.forEach((condition, chance) -> chances.put(ConditionId.of(condition), chance));
            return new PracticeStep.Believed(chances);
        }
        return hinted != null
                ? new PracticeStep.Hinted(Optional.ofNullable(hinted.test()).map(TestId::of))
                : new PracticeStep.Ended(ended.referred());
    }
}
