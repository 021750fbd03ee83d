package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.evidence.RecordUse;

/**
 * A published result with every column of the ledger; figures and sizes are absent where they were not published.
 *
 * @param tiedCriterion criterion of the catalogue that it speaks for; empty where none
 * @param series what kind of patients were measured; empty where it is not tied
 * @param byInventors whether it comes from those who proposed the test or derived the rule
 * @param tieNote what to know of the match; may be empty
 */
public record RecordJson(
        String id,
        String kind,
        String subject,
        String subjectText,
        String criterion,
        String conditionId,
        String conditionText,
        @Schema(nullable = true) Double sensitivity,
        @Schema(nullable = true) Double specificity,
        @Schema(nullable = true) Double lrPositive,
        @Schema(nullable = true) Double lrNegative,
        @Schema(nullable = true) Integer with,
        @Schema(nullable = true) Integer without,
        @Schema(nullable = true) Integer total,
        String design,
        boolean originator,
        String referenceStandard,
        String population,
        String citation,
        String transcription,
        String reviewState,
        String note,
        String tiedCriterion,
        String series,
        boolean byInventors,
        String tieNote,
        RecordUse.Use use,
        String because) {

    /**
     * A page of the ledger: {@code found} records match, of {@code all}, of which {@code unreviewed} nobody has found
     * as published.
     */
    @Schema(name = "LedgerPageJson")
    public record Page(
            List<RecordJson> records,
            int page,
            int pages,
            long found,
            long all,
            long unreviewed,
            List<UseCount> uses,
            OptimismJson optimism) {}

    /**
     * By how many times the odds of those who proposed a test are higher than those of others, as the ledger has it.
     *
     * @param sensitivity odds that somebody with the condition is positive
     * @param specificity odds that somebody without it is negative
     */
    @Schema(name = "LedgerOptimismJson")
    public record OptimismJson(double sensitivity, double specificity) {}

    /** How many records of the whole ledger are of a use. */
    public record UseCount(RecordUse.Use use, long count) {}
}
