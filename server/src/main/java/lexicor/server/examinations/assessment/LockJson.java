package lexicor.server.examinations.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import lexicor.core.catalogue.TestId;
import lexicor.core.intake.IntakeState;

/** Why a test is locked, and the decision against it where there is one. */
@Schema(name = "TestLockJson")
public record LockJson(
        List<String> why, @Schema(nullable = true) OverrideJson override) {

    /** Why a test is closed; null where nothing closes it. */
    public static LockJson of(TestId test, IntakeState told, List<String> why) {
        IntakeState.Override override = told.overrides().get(test);
        return why.isEmpty()
                ? null
                : new LockJson(
                        why,
                        override == null ? null : new OverrideJson(override.by(), override.at(), override.reason()));
    }

    /** Who does it all the same, since when and why. */
    public record OverrideJson(String by, Instant at, String reason) {}
}
