package lexicor.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import lexicor.core.examination.Part;
import lexicor.core.practice.PracticeKind;
import lexicor.core.practice.PracticeStep;
import lexicor.server.examinations.record.PartJson;

/** What is asked of the practice room. */
final class PracticeRequest {

    private static final String PARTS = "allowed: at most 40 parts";
    private static final String AT_MOST = "allowed: at most 20000 characters";

    private PracticeRequest() {}

    /**
     * A case to be drawn.
     *
     * @param kind absent to leave it to chance
     */
    @Schema(name = "PracticeBeginning")
    record Begin(
            @NotBlank(message = "allowed: a region") @Size(max = 20, message = "allowed: at most 20 characters")
            String region,

            @Schema(nullable = true) PracticeKind kind,
            @NotNull(message = "allowed: AS_I_GO, AT_END") PracticeRow.Showing showing) {}

    /** A case that somebody wrote. */
    @Schema(name = "PracticeCaseFile")
    record Written(
            @NotBlank(message = "allowed: a case as a file") @Size(max = 20000, message = AT_MOST)
            String text,

            @NotNull(message = "allowed: AS_I_GO, AT_END") PracticeRow.Showing showing) {}

    /**
     * A step: exactly one of its kinds.
     *
     * @param number of the step, from 0: how many there are already
     * @param ask ids of questions
     * @param write the last answer to a test, as one saw it
     * @param chances own chances by condition, each within 0 and 1
     * @param hint whether somebody asks what to do next
     */
    @Schema(name = "PracticeStepRequest")
    record Step(
            @NotNull(message = "allowed: how many steps there are")
            @Min(value = 0, message = "allowed: 0 to 400")
            @Max(value = 400, message = "allowed: 0 to 400")
            Integer number,

            @Schema(nullable = true) @Size(max = 60, message = "allowed: at most 60 questions")
            List<@Size(max = 60, message = "allowed: at most 60 characters") String> ask,

            @Schema(nullable = true) TestStep test,

            @Schema(nullable = true) @Valid WriteStep write,

            @Schema(nullable = true) @Size(max = 40, message = "allowed: at most 40 conditions")
            Map<@Size(max = 60, message = "allowed: at most 60 characters") String, Double> chances,

            @Schema(nullable = true) Boolean hint,
            @Schema(nullable = true) EndStep end) {

        /** Whether a step that was taken is this one. */
        boolean is(PracticeStep taken) {
            if (taken instanceof PracticeStep.Asked each) {
                return each.questions().equals(ask);
            }
            if (taken instanceof PracticeStep.Examined each) {
                return test != null
                        && each.test().value().equals(test.testId())
                        && each.way().equals(test.way())
                        && each.wellFirst() == test.wellFirst();
            }
            if (taken instanceof PracticeStep.Written each) {
                return write != null
                        && each.test().value().equals(write.testId())
                        && each.here().equals(write.partsHere())
                        && each.well().equals(write.partsOfWell());
            }
            if (taken instanceof PracticeStep.Believed each) {
                return chances != null
                        && each.chances().entrySet().stream()
                                .collect(Collectors.toMap(one -> one.getKey().value(), Map.Entry::getValue))
                                .equals(chances);
            }
            return taken instanceof PracticeStep.Hinted
                    ? hint != null
                    : end != null && ((PracticeStep.Ended) taken).referred() == end.referred();
        }
    }

    /** A test to be done. */
    @Schema(name = "PracticeTestStep")
    record TestStep(
            @NotBlank(message = "allowed: the id of a test") @Size(max = 60, message = "allowed: at most 60 characters")
            String testId,

            @NotBlank(message = "allowed: a way of the test")
            @Size(max = 60, message = "allowed: at most 60 characters")
            String way,

            boolean wellFirst) {}

    /** What one saw of the last answer to a test: on the side in question, and on the well side. */
    @Schema(name = "PracticeWriteStep")
    record WriteStep(
            @NotBlank(message = "allowed: the id of a test") @Size(max = 60, message = "allowed: at most 60 characters")
            String testId,

            @NotNull(message = PARTS) @Size(max = 40, message = PARTS)
            List<@Valid @NotNull(message = PARTS) PartJson> here,

            @NotNull(message = PARTS) @Size(max = 40, message = PARTS)
            List<@Valid @NotNull(message = PARTS) PartJson> well) {

        List<Part> partsHere() {
            return here.stream().map(PartJson::toCore).toList();
        }

        List<Part> partsOfWell() {
            return well.stream().map(PartJson::toCore).toList();
        }
    }

    /** The end, going on with care here or sending the patient on at once. */
    @Schema(name = "PracticeEndStep")
    record EndStep(boolean referred) {}
}
