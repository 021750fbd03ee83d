package lexicor.server.practice;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import lexicor.core.drills.Drill;

/**
 * An exercise.
 *
 * @param about what is exercised
 * @param figure id of the test whose figure is shown; absent where none is
 * @param options none where a chance is asked for
 * @param start where the chance stands before; absent where none is asked for
 */
record DrillJson(
        Drill.Kind kind,
        String region,
        String about,
        long seed,
        String ask,
        List<String> given,
        @Schema(nullable = true) String figure,
        List<DrillOptionJson> options,
        @Schema(nullable = true) Double start) {

    /** An answer that can be given, as words or as the figure of the test. */
    record DrillOptionJson(String value, String label, boolean figure) {}

    static DrillJson of(Drill drill) {
        return new DrillJson(
                drill.item().kind(),
                drill.item().region(),
                drill.item().about(),
                drill.seed(),
                drill.ask(),
                drill.given(),
                drill.figure().orElse(null),
                drill.options().stream()
                        .map(option -> new DrillOptionJson(option.value(), option.label(), option.figure()))
                        .toList(),
                drill.start().isPresent() ? drill.start().getAsDouble() : null);
    }

    /** An answer to an exercise. */
    record DrillAnswer(
            @NotNull(message = "allowed: the kind that was asked")
            Drill.Kind kind,

            @NotBlank(message = "allowed: the region that was asked")
            @Size(max = 20, message = "allowed: at most 20 characters")
            String region,

            @NotBlank(message = "allowed: what was asked") @Size(max = 200, message = "allowed: at most 200 characters")
            String about,

            @NotNull(message = "allowed: the number that was asked")
            Long seed,

            @NotNull(message = "allowed: the options chosen") @Size(max = 20, message = "allowed: at most 20 options")
            List<
                            @NotNull(message = "allowed: an option")
                            @Size(max = 100, message = "allowed: at most 100 characters") String>
                    values,

            @Schema(nullable = true) Double chance) {}

    /**
     * An answer marked.
     *
     * @param should the right options, in order where an order was asked for
     * @param chance the right chance; absent where none was asked for
     */
    record DrillMarkedJson(
            boolean right,
            List<String> should,
            @Schema(nullable = true) Double chance,
            List<String> because) {
        static DrillMarkedJson of(Drill.Marked marked) {
            return new DrillMarkedJson(
                    marked.right(),
                    marked.should(),
                    marked.chance().isPresent() ? marked.chance().getAsDouble() : null,
                    marked.because());
        }
    }

    /**
     * How far a kind of exercise has got in a region.
     *
     * @param items how many there are
     * @param seen of them asked at least once
     * @param due of those seen to be asked again by now
     * @param known of those seen answered rightly the last time
     */
    record DrillStandJson(Drill.Kind kind, int items, int seen, int due, int known) {}
}
