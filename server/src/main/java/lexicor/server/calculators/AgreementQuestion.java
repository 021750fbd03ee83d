package lexicor.server.calculators;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import lexicor.core.outcomes.Agreement;
import lexicor.core.synthesis.StudyRecord;

/** Answers of two examiners: rows by the first, columns by the second, positive before negative. */
record AgreementQuestion(
        @NotNull(message = AgreementQuestion.TABLE) @Size(min = 2, max = 2, message = AgreementQuestion.TABLE)
        List<
                        @NotNull(message = AgreementQuestion.TABLE)
                                @Size(min = 2, max = 2, message = AgreementQuestion.TABLE) List<
                                @NotNull(message = PoolQuestion.COUNT) @Min(value = 0, message = PoolQuestion.COUNT)
                                @Max(value = StudyRecord.MOST, message = PoolQuestion.COUNT) Integer>>
                table) {

    static final String TABLE = "allowed: two rows of two counts, [[both, first only], [second only, neither]]";

    /** @throws IllegalArgumentException if all counts are 0 */
    Agreement read() {
        return new Agreement(
                table.get(0).get(0),
                table.get(0).get(1),
                table.get(1).get(0),
                table.get(1).get(1));
    }
}
