package lexicor.server.calculators;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import lexicor.core.synthesis.StudyRecord;

/** The studies of one test. */
record PoolQuestion(
        @NotNull(message = "allowed: a list of studies")
        @Size(min = 1, max = 200, message = "allowed: 1 to 200 studies")
        List<@NotNull(message = "allowed: a study") @Valid Study> studies) {

    static final String COUNT = "allowed: a whole number from 0 to 1000000";

    /** Counts of one study. */
    @Schema(name = "PoolStudyQuestion")
    record Study(
            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long tp,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long fp,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long fn,

            @NotNull(message = COUNT) @Min(value = 0, message = COUNT) @Max(value = StudyRecord.MOST, message = COUNT)
            Long tn) {

        StudyRecord.Counts counts() {
            return new StudyRecord.Counts(tp, fn, tn, fp);
        }
    }
}
