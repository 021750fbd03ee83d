package lexicor.server.examinations.weighing;

import static lexicor.server.json.OrNull.orNull;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import lexicor.core.tracking.Change;

/**
 * Measures of this visit beside those of the visit before.
 *
 * @param before when the visit before began
 * @param chosen whether the tests were chosen to be done again; else they are those measured at both visits
 * @param scales scales of the intake
 * @param estimate whether the noise is the working estimate that ships, not the clinic's own
 */
public record AgainJson(
        Instant before, boolean chosen, List<RetestJson> tests, List<ChangeJson> scales, boolean estimate) {

    /** A test to do again. */
    public record RetestJson(String testId, String name, boolean done, List<ChangeJson> changes) {}

    /**
     * One measure at both visits.
     *
     * @param least the least difference that counts; absent where no noise is known
     * @param because why both cannot be compared; empty where they can
     */
    public record ChangeJson(
            String label,
            String unit,
            @Schema(nullable = true) Double before,
            @Schema(nullable = true) Double now,
            @Schema(nullable = true) Double least,
            Change.Verdict verdict,
            String because) {
        static ChangeJson of(Change change) {
            return new ChangeJson(
                    change.label(),
                    change.unit(),
                    orNull(change.before()),
                    orNull(change.now()),
                    orNull(change.least()),
                    change.verdict(),
                    change.because());
        }
    }
}
