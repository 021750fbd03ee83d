package lexicor.server.examinations.record;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.examination.Answer;

/** An answer of the intake as page and server exchange it. What is absent was not said. */
@Schema(name = "IntakeAnswerJson")
public record AnswerJson(
        @NotNull(message = QUESTION) @Pattern(regexp = "[a-z0-9-]{1,40}(:[a-z0-9.-]{1,59})?", message = QUESTION)
        String question,

        @NotNull(message = "allowed: a list of options") @Size(max = 60, message = "allowed: at most 60")
        List<@NotNull(message = OPTION) @Pattern(regexp = "[a-z0-9-]{1,60}", message = OPTION) String> values,

        @Schema(nullable = true) Double number,
        @Schema(nullable = true) LocalDate on,

        @Schema(nullable = true) @Size(max = 1000, message = "allowed: at most 1000 characters")
        String words) {

    static final String QUESTION = "allowed: the id of a question";
    static final String OPTION = "allowed: the id of an option";

    public static AnswerJson of(Answer answer) {
        return new AnswerJson(
                answer.question(),
                answer.values(),
                answer.number().isPresent() ? answer.number().getAsDouble() : null,
                answer.on().orElse(null),
                answer.words().isEmpty() ? null : answer.words());
    }

    Answer toCore() {
        return new Answer(
                question,
                values,
                number == null ? OptionalDouble.empty() : OptionalDouble.of(number),
                Optional.ofNullable(on),
                words == null ? "" : words.strip());
    }
}
