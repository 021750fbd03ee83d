package lexicor.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.examination.Side;
import lexicor.core.intake.Person;
import lexicor.server.examinations.record.PartJson;

/**
 * A practice case as the one who practises sees it. Chances are 0..1.
 *
 * @param opening what the patient began with
 * @param steps how many there are
 * @param ended whether it was ended
 * @param minutes what it took so far, by the patient's clock
 * @param questions everything that can be asked
 * @param told what was answered
 * @param tests goes at tests, the first first
 * @param conditions that chances can be put on
 * @param believed own chances, as they were put last
 * @param shown where the weighing stands, once it may be seen; empty before
 * @param hint the test that somebody was told to do next last; absent where nobody asked since
 */
record PracticeCaseJson(
        UUID id,
        String title,
        String region,
        Side side,
        int age,
        Person.Sex sex,
        String occupation,
        boolean leading,
        String opening,
        PracticeRow.Showing showing,
        Instant begunAt,
        int steps,
        boolean ended,
        double minutes,
        List<QuestionJson> questions,
        List<ToldJson> told,
        List<TestJson> tests,
        List<ConditionJson> conditions,
        List<ChanceJson> believed,
        List<ShownJson> shown,
        @Schema(nullable = true) HintJson hint) {

    /** A question; {@code group} says with which others it is asked at once. */
    @Schema(name = "PracticeQuestionJson")
    record QuestionJson(String id, String ask, QuestionGroup group) {}

    /** Questions that belong together. */
    enum QuestionGroup {
        SAFETY,
        BEGINNING,
        PAIN,
        FEELS,
        WHERE,
        MORE
    }

    /**
     * What was answered to a question.
     *
     * @param lines as the patient says it
     * @param answers in the words of the intake
     * @param areas ids of painted areas; empty where none are
     */
    @Schema(name = "PracticeToldJson")
    record ToldJson(String questionId, List<String> lines, List<String> answers, List<String> areas) {}

    /**
     * A go at a test.
     *
     * @param way in words; empty for the usual one
     * @param well what the well side answered; empty where it was not done
     * @param written what one wrote down of it last; absent where one did not
     * @param hurt what the patient says who is hurt for nothing; absent where nobody is
     */
    @Schema(name = "PracticeTestJson")
    record TestJson(
            int step,
            String testId,
            String name,
            String way,
            boolean wellFirst,
            List<LineJson> here,
            List<LineJson> well,
            @Schema(nullable = true) WrittenPartsJson written,
            @Schema(nullable = true) String hurt) {}

    /** Parts of an answer as they were written down. */
    @Schema(name = "PracticeWrittenPartsJson")
    record WrittenPartsJson(List<PartJson> here, List<PartJson> well) {}

    /** A part of an answer; said by the patient, or seen, felt or measured. */
    @Schema(name = "PracticeLineJson")
    record LineJson(String label, String words, boolean said) {}

    /** A condition of the region; {@code within} is the nearest wider one, absent where there is none. */
    @Schema(name = "PracticeConditionJson")
    record ConditionJson(
            String id,
            String name,
            String shortName,
            @Schema(nullable = true) String within) {}

    /** An own chance. */
    @Schema(name = "PracticeChanceJson")
    record ChanceJson(String conditionId, double chance) {}

    /** Where the weighing stands on a condition. */
    @Schema(name = "PracticeShownJson")
    record ShownJson(String conditionId, double now) {}

    /** What to do next; {@code testId} is absent where nothing is worth doing. */
    @Schema(name = "PracticeHintJson")
    record HintJson(
            @Schema(nullable = true) String testId,
            @Schema(nullable = true) String name) {}

    /** A case in a list; {@code was} says what it was, in words, once it is ended. */
    @Schema(name = "PracticeCaseRowJson")
    record RowJson(
            UUID id,
            String title,
            String region,
            String opening,
            Instant begunAt,
            boolean ended,
            int tests,
            double minutes,
            @Schema(nullable = true) String was) {}
}
