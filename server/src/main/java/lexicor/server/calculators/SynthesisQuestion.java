package lexicor.server.calculators;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import lexicor.core.synthesis.StudyRecord;
import lexicor.server.problems.BadInput;

/** Records of a ledger, and a clinic's own counts of one condition. */
record SynthesisQuestion(
        @NotNull(message = "allowed: a list of records") @Size(max = 2_000, message = "allowed: at most 2000 records")
        List<@NotNull(message = "allowed: a record") @Valid Record> records,

        @Valid Here here) {

    static final String COUNT = "allowed: a whole number from 0 to 1000000";
    static final String NAME = "allowed: 1 to 200 characters";

    /** What one condition may have: the work grows with the third power. */
    private static final int MOST_OF_CONDITION = 250;

    /** One study's counts for one criterion. */
    @Schema(name = "SynthesisRecordQuestion")
    record Record(
            @NotBlank(message = NAME) @Size(max = 200, message = NAME)
            String id,

            @NotBlank(message = NAME) @Size(max = 200, message = NAME)
            String test,

            @NotBlank(message = NAME) @Size(max = 200, message = NAME)
            String criterion,

            @NotBlank(message = NAME) @Size(max = 200, message = NAME)
            String condition,

            @NotBlank(message = NAME) @Size(max = 200, message = NAME)
            String study,

            @NotNull(message = "allowed: true or false") Boolean originator,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long tp,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long fn,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long tn,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long fp) {}

    /** The clinic's own counts of one condition. */
    @Schema(name = "SynthesisHereQuestion")
    record Here(
            @NotBlank(message = NAME) @Size(max = 200, message = NAME)
            String condition,

            @NotNull(message = "allowed: a list of counts") @Size(max = 200, message = "allowed: at most 200 counts")
            List<@NotNull(message = "allowed: counts") @Valid Own> counts) {}

    /** Counts of one criterion. */
    @Schema(name = "SynthesisOwnQuestion")
    record Own(
            @NotBlank(message = NAME) @Size(max = 200, message = NAME)
            String test,

            @NotBlank(message = NAME) @Size(max = 200, message = NAME)
            String criterion,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long tp,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long fn,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long tn,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long fp) {}

    List<StudyRecord> read() {
        Set<String> ids = new HashSet<>();
        Map<String, Integer> perCondition = new HashMap<>();
        return IntStream.range(0, records.size())
                .mapToObj(place -> {
                    Record each = records.get(place);
                    String field = "records[" + place + "]";
                    if (!ids.add(each.id())) {
                        throw new BadInput(field + ".id", each.id() + " stands twice; allowed: each id once");
                    }
                    if (each.tp() + each.fn() == 0) {
                        throw new BadInput(
                                field + ".tp",
                                "and fn of " + each.id()
                                        + " are both 0; allowed: at least one patient with the condition");
                    }
                    if (each.tn() + each.fp() == 0) {
                        throw new BadInput(
                                field + ".tn",
                                "and fp of " + each.id()
                                        + " are both 0; allowed: at least one patient without the condition");
                    }
                    if (perCondition.merge(each.condition(), 1, Integer::sum) > MOST_OF_CONDITION) {
                        throw new BadInput(
                                field + ".condition",
                                each.condition() + " has too many records; allowed: at most " + MOST_OF_CONDITION
                                        + " of one condition");
                    }
                    return new StudyRecord(
                            each.id(),
                            new StudyRecord.Criterion(each.condition(), each.test(), each.criterion()),
                            each.study(),
                            each.originator(),
                            new StudyRecord.Counts(each.tp(), each.fn(), each.tn(), each.fp()));
                })
                .toList();
    }

    Map<StudyRecord.Criterion, StudyRecord.Counts> own() {
        Map<StudyRecord.Criterion, StudyRecord.Counts> own = new LinkedHashMap<>();
        for (int place = 0; place < here.counts().size(); place++) {
            Own each = here.counts().get(place);
            StudyRecord.Criterion criterion =
                    new StudyRecord.Criterion(here.condition(), each.test(), each.criterion());
            if (own.put(criterion, new StudyRecord.Counts(each.tp(), each.fn(), each.tn(), each.fp())) != null) {
                throw new BadInput(
                        "here.counts[" + place + "].criterion",
                        each.criterion() + " of " + each.test() + " stands twice; allowed: each criterion once");
            }
        }
        return own;
    }
}
