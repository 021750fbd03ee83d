package lexicor.server.examinations.outcomes;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import lexicor.core.outcomes.ReferenceResult;

/**
 * What turned out to be true of a complaint.
 *
 * @param from the first day that a result can have: that of the first visit
 * @param choices conditions that a result can be about, the working diagnosis first
 * @param says what the results that stand come to
 * @param contradicted names of conditions of which results say both; they count for neither
 */
public record ResultsJson(
        LocalDate from,
        List<ChoiceJson> choices,
        List<ResultJson> results,
        List<SaysJson> says,
        List<String> contradicted) {

    /** A condition that a result can be about. */
    @Schema(name = "ResultChoiceJson")
    public record ChoiceJson(String conditionId, String name, boolean working) {}

    /** A condition of which it is known whether it was there. */
    @Schema(name = "ResultSaysJson")
    public record SaysJson(String conditionId, String name, boolean present) {}

    /** One result; {@code author} as the person is called. */
    @Schema(name = "ReferenceResultJson")
    public record ResultJson(
            UUID id,
            String conditionId,
            String name,
            ReferenceResult.Truth truth,
            ReferenceResult.Kind kind,
            LocalDate day,
            ReferenceResult.Reader reader,
            String readBy,
            String words,
            String author,
            Instant at,
            @Schema(nullable = true) WithdrawnJson withdrawn) {}

    /** That a result was taken back. */
    @Schema(name = "ResultWithdrawnJson")
    public record WithdrawnJson(String by, Instant at, String why) {}

    /** A result to add, under an id of the caller's, so that one that is sent twice is kept once. */
    @Schema(name = "AddResult")
    public record Add(
            @NotNull(message = "allowed: an id") UUID id,

            @NotBlank(message = "allowed: one of the conditions of the region")
            String conditionId,

            @NotNull(message = "allowed: PRESENT, ABSENT, UNCLEAR")
            ReferenceResult.Truth truth,

            @NotNull(message = "allowed: IMAGING, NERVE_STUDY, SURGERY, RESPONSE, FOLLOW_UP")
            ReferenceResult.Kind kind,

            @NotNull(message = "allowed: a day from the first visit to today")
            LocalDate day,

            @NotNull(message = "allowed: BLIND, KNEW, NOT_KNOWN")
            ReferenceResult.Reader reader,

            @NotNull(message = "allowed: words, or none") @Size(max = 80, message = "allowed: at most 80 characters")
            String readBy,

            @NotNull(message = "allowed: words, or none") @Size(max = 300, message = "allowed: at most 300 characters")
            String words) {}

    /** Why a result is taken back. */
    @Schema(name = "WithdrawResult")
    public record Withdraw(
            @NotBlank(message = "allowed: a reason in words")
            @Size(max = 300, message = "allowed: at most 300 characters")
            String why) {}
}
