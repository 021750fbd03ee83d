package lexicor.server.calculators;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/** A change between two visits with the noise of the measure, or a measure over several visits. */
record ChangeQuestion(
        @Schema(nullable = true) Double reliability,
        @Schema(nullable = true) Double sd,
        @Schema(nullable = true) Double change,

        @Schema(nullable = true) @Size(min = 2, max = 500, message = "allowed: 2 to 500 days")
        List<@NotNull(message = "allowed: a number") Double> days,

        @Schema(nullable = true) @Size(min = 2, max = 500, message = "allowed: 2 to 500 values")
        List<@NotNull(message = "allowed: a number") Double> millimetres) {

    boolean overTime() {
        return days != null || millimetres != null;
    }
}
