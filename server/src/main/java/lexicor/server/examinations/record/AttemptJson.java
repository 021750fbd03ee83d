package lexicor.server.examinations.record;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Side;

/** An attempt as page and server exchange it. */
public record AttemptJson(
        @NotNull(message = "allowed: a UUID") UUID id,

        @NotBlank(message = "allowed: the id of a test") @Size(max = 60, message = "allowed: at most 60 characters")
        String testId,

        @NotBlank(message = "allowed: the name of a variant, such as usual")
        @Size(max = 60, message = "allowed: at most 60 characters")
        String variant,

        @NotNull(message = "allowed: LEFT, RIGHT") Side side,

        @NotNull(message = "allowed: 1 to 20")
        @Min(value = 1, message = "allowed: 1 to 20")
        @Max(value = 20, message = "allowed: 1 to 20")
        Integer tryNumber,

        @NotNull(message = "allowed: a list of attempts") @Size(max = 50, message = "allowed: at most 50")
        Set<@NotNull(message = "allowed: a UUID") UUID> supersedes,

        @NotNull(message = "allowed: a list of parts") @Size(max = 100, message = "allowed: at most 100")
        List<@NotNull(message = "allowed: a part") @Valid PartJson> parts) {

    public static AttemptJson of(AttemptRow row) {
        return new AttemptJson(
                row.id(),
                row.test(),
                row.variant(),
                row.side(),
                row.tryNumber(),
                new TreeSet<>(row.supersedes()),
                row.parts().stream().map(PartRow::json).toList());
    }

    public static AttemptJson of(Attempt attempt) {
        return new AttemptJson(
                attempt.id(),
                attempt.test().value(),
                attempt.variant(),
                attempt.side(),
                attempt.tryNumber(),
                attempt.supersedes(),
                attempt.parts().stream().map(PartJson::of).toList());
    }

    public Attempt toCore() {
        return new Attempt(
                id,
                TestId.of(testId),
                variant,
                side,
                tryNumber,
                supersedes,
                parts.stream().map(PartJson::toCore).toList());
    }
}
