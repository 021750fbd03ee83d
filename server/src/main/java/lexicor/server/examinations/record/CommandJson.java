package lexicor.server.examinations.record;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Command;

/**
 * A command as page and server exchange it.
 *
 * @param number given by the server; absent in what the page sends
 * @param author given by the server; absent in what the page sends
 */
public record CommandJson(
        @NotNull(message = "allowed: a UUID") UUID id,
        @NotNull(message = "allowed: a UUID") UUID clientId,

        @NotNull(message = "allowed: 1 or more") @Min(value = 1, message = "allowed: 1 or more")
        Long order,

        @NotNull(message = "allowed: a time") Instant at,

        @NotNull(message = "allowed: RECORD, UNDO, MOVE, TELL")
        CommandKind kind,

        @NotBlank(message = "allowed: the id of a test") @Size(max = 60, message = "allowed: at most 60 characters")
        String standAt,

        @Schema(nullable = true) UUID undoes,

        @NotNull(message = "allowed: a list of attempts") @Size(max = 200, message = "allowed: at most 200")
        List<@NotNull(message = "allowed: an attempt") @Valid AttemptJson> attempts,

        @NotNull(message = "allowed: a list of answers") @Size(max = 60, message = "allowed: at most 60")
        List<@NotNull(message = "allowed: an answer") @Valid AnswerJson> answers,

        @Schema(nullable = true) Long number,
        @Schema(nullable = true) String author) {

    public static CommandJson of(CommandRow row) {
        return new CommandJson(
                row.getId(),
                row.client(),
                row.clientOrder(),
                row.at(),
                row.kind(),
                row.standAt(),
                row.undoes(),
                row.attempts().stream().map(AttemptJson::of).toList(),
                row.answers().stream()
                        .map(answer -> AnswerJson.of(answer.toCore()))
                        .toList(),
                row.number(),
                row.author());
    }

    public Command toCore() {
        Command.Action action = switch (kind) {
            case RECORD ->
                new Command.Recorded(attempts.stream().map(AttemptJson::toCore).toList());
            case UNDO -> new Command.Undone(undoes);
            case MOVE -> new Command.Moved();
            case TELL ->
                new Command.IntakeAnswers(
                        answers.stream().map(AnswerJson::toCore).toList());
        };
        return new Command(id, clientId, order, author, at, TestId.of(standAt), action);
    }
}
