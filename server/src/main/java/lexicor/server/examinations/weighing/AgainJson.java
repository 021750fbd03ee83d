package lexicor.server.examinations.weighing;

import static lexicor.server.json.OrNull.orNull;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import lexicor.core.tracking.Change;
import lexicor.core.tracking.PositiveBefore;
import lexicor.server.examinations.record.PartJson;

/**
 * Measures of this visit beside those of the visit before.
 *
 * @param before when the visit before began
 * @param chosen whether the tests were chosen to be done again; else they are those measured at both visits
 * @param positives tests that were positive then, in the order of work
 * @param scales scales of the intake
 * @param estimate whether the noise is the working estimate that ships, not the clinic's own
 */
public record AgainJson(
        Instant before,
        boolean chosen,
        List<RetestJson> tests,
        List<PositiveJson> positives,
        List<ChangeJson> scales,
        boolean estimate) {

    /** What was kept before positives were told has none. */
    public AgainJson {
        positives = positives == null ? List.of() : List.copyOf(positives);
    }

    /** A test to do again. */
    public record RetestJson(String testId, String name, boolean done, List<ChangeJson> changes) {}

    /**
     * A test that was positive at the visit before.
     *
     * @param phrase what was found then
     * @param involved answers of the involved side then, to be recorded again where nothing has changed; none where
     *     something was measured, which has to be measured again, or where the test is recorded otherwise by now
     * @param well the same of the other side
     */
    public record PositiveJson(
            String testId,
            String name,
            String phrase,
            PositiveBefore.Now now,
            List<PartJson> involved,
            List<PartJson> well) {}

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
