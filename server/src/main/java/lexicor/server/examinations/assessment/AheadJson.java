package lexicor.server.examinations.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.nexttest.TestValue;

/**
 * What an open test could tell.
 *
 * @param bits expected information about the conditions still in play
 * @param seconds its own time and the time to change position
 * @param moves whether the patient changes position for it
 * @param inOrder whether it belongs to the examination's order
 * @param changes what each answer would do, the most telling first
 */
public record AheadJson(
        String testId,
        String name,
        double bits,
        double seconds,
        boolean moves,
        boolean worthDoing,
        boolean inOrder,
        List<ChangeJson> changes) {

    /** More would not fit beside the bench. */
    private static final int MOST_CHANGES = 4;

    /** Where a condition would stand after either answer, 0..1; {@code live} says whether it is still in play. */
    @Schema(name = "AheadChangeJson")
    public record ChangeJson(
            String conditionId, String name, double now, double ifPositive, double ifNegative, boolean live) {}

    public static AheadJson of(TestValue value, String name, boolean inOrder) {
        return new AheadJson(
                value.test().value(),
                name,
                value.bits(),
                value.seconds(),
                value.moves(),
                value.worthDoing(),
                inOrder,
                value.changes().stream()
                        .limit(MOST_CHANGES)
                        .map(change -> new ChangeJson(
                                change.condition().id().value(),
                                change.condition().shortName(),
                                change.now(),
                                change.ifPositive(),
                                change.ifNegative(),
                                change.live()))
                        .toList());
    }
}
