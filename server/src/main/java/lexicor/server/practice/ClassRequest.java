package lexicor.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.AssertTrue;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import lexicor.core.practice.PracticeKind;

/** What is asked about classes. */
final class ClassRequest {

    private static final String NAME = "allowed: at most 80 characters";

    private ClassRequest() {}

    /** A class to be made. */
    @Schema(name = "PracticeClassRequest")
    record Make(
            @NotBlank(message = "allowed: a name") @Size(max = 80, message = NAME)
            String name) {}

    /** To join: whoever joins says that the teacher may see what comes of it. */
    @Schema(name = "PracticeJoinRequest")
    record Join(
            @NotBlank(message = "allowed: the code of a class")
            @Size(max = 12, message = "allowed: at most 12 characters")
            String joinCode,

            @AssertTrue(message = "allowed: yes, or do not join: the teacher sees your results")
            boolean teacherMaySee) {}

    /** Cases to be set. */
    @Schema(name = "PracticeSeriesRequest")
    record Series(
            @NotBlank(message = "allowed: a name") @Size(max = 80, message = NAME)
            String name,

            @NotNull(message = "allowed: 1 to 20 cases") @Size(min = 1, max = 20, message = "allowed: 1 to 20 cases")
            List<@Valid @NotNull(message = "allowed: a case") SetCase> cases) {}

    /**
     * A case: drawn of a region and kind, or written.
     *
     * @param kind absent to leave it to chance
     * @param text absent where it is drawn
     */
    @Schema(name = "PracticeSetCaseRequest")
    record SetCase(
            @Schema(nullable = true) @Size(max = 20, message = "allowed: at most 20 characters")
            String region,

            @Schema(nullable = true) PracticeKind kind,

            @Schema(nullable = true) @Size(max = 20000, message = "allowed: at most 20000 characters")
            String text) {}
}
