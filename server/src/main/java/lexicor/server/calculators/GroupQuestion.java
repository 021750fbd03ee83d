package lexicor.server.calculators;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/** Tests of one group with their results; {@code rhoAbsent} is {@code rho} where it is left out. */
record GroupQuestion(
        @NotNull(message = PostTestQuestion.RHO)
        @DecimalMin(value = "0", message = PostTestQuestion.RHO)
        @DecimalMax(value = "0.95", message = PostTestQuestion.RHO)
        Double rho,

        @Schema(nullable = true)
        @DecimalMin(value = "0", message = PostTestQuestion.RHO)
        @DecimalMax(value = "0.95", message = PostTestQuestion.RHO)
        Double rhoAbsent,

        @NotEmpty(message = "allowed: a list of at least one test")
        @Size(max = 20, message = "allowed: at most 20 tests")
        List<PostTestQuestion.@NotNull(message = "allowed: a test") @Valid Test> tests) {}
