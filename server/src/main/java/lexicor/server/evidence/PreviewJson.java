package lexicor.server.evidence;

import static lexicor.server.json.OrNull.orNull;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.StudyFigures;
import org.jspecify.annotations.Nullable;

/**
 * What a change of the ledger would do.
 *
 * @param faults what keeps it out; empty where it can be made
 * @param notes what to know of the record as it would be
 * @param says what the study says by itself; absent where no study is entered
 * @param moved how many weights of tests would move
 * @param moves the furthest of them
 * @param open examinations that would be offered the new figures
 */
public record PreviewJson(
        List<FaultJson> faults,
        List<String> notes,
        @Schema(nullable = true) @Nullable SaysJson says,
        int moved,
        List<MoveJson> moves,
        long open) {

    /** What a study says by itself; parts that it does not say are absent. */
    @Schema(name = "LedgerSaysJson")
    public record SaysJson(
            @Schema(nullable = true) @Nullable FigureJson sensitivity,
            @Schema(nullable = true) @Nullable FigureJson specificity,
            @Schema(nullable = true) @Nullable FigureJson lrPositive,
            @Schema(nullable = true) @Nullable FigureJson lrNegative) {

        static SaysJson of(AccuracyRecord record) {
            StudyFigures figures = StudyFigures.of(record);
            return new SaysJson(
                    FigureJson.of(figures.sensitivity()),
                    FigureJson.of(figures.specificity()),
                    FigureJson.of(figures.lrPositive()),
                    FigureJson.of(figures.lrNegative()));
        }
    }

    /** A value; the ends of its 95 % interval are absent where sizes were not published. */
    @Schema(name = "LedgerFigureJson")
    public record FigureJson(
            double value,
            @Schema(nullable = true) @Nullable Double lower,
            @Schema(nullable = true) @Nullable Double upper) {

        static @Nullable FigureJson of(Optional<StudyFigures.Figure> figure) {
            return figure.map(each -> new FigureJson(each.value(), orNull(each.lower()), orNull(each.upper())))
                    .orElse(null);
        }
    }

    /** One field and what is allowed. */
    @Schema(name = "LedgerFaultJson")
    public record FaultJson(String field, String message) {}

    /** A test's weight for a condition before and after; absent where nothing weighs it. */
    @Schema(name = "LedgerMoveJson")
    public record MoveJson(
            String testId,
            String testName,
            String conditionId,
            String conditionName,
            @Schema(nullable = true) @Nullable WeightJson before,
            @Schema(nullable = true) @Nullable WeightJson after) {}

    /** Likelihood ratios expected of an independent clinic, and what they are worth in words. */
    @Schema(name = "LedgerWeightJson")
    public record WeightJson(double lrPositive, double lrNegative, String plainly) {}
}
