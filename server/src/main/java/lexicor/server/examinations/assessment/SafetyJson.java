package lexicor.server.examinations.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import lexicor.core.catalogue.RedFlag;
import lexicor.core.intake.SafetyScreen;

/** Whether testing is open, and what stands against it. */
public record SafetyJson(SafetyScreen.State state, List<FlagJson> present) {

    public static SafetyJson of(SafetyScreen screen) {
        return new SafetyJson(
                screen.state(),
                screen.present().stream()
                        .map(flag -> FlagJson.of(flag, screen.releases().get(flag.id())))
                        .toList());
    }

    /** A flag that is present, and its release where there is one. */
    public record FlagJson(
            String id,
            String sign,
            String thinkOf,
            String then,
            @Schema(nullable = true) ReleaseJson release) {
        public static FlagJson of(RedFlag flag, SafetyScreen.Release release) {
            return new FlagJson(
                    flag.id(),
                    flag.sign(),
                    flag.thinkOf(),
                    flag.then(),
                    release == null ? null : new ReleaseJson(release.by(), release.at(), release.reason()));
        }
    }

    /** Who released it, when and why. */
    public record ReleaseJson(String by, Instant at, String reason) {}
}
