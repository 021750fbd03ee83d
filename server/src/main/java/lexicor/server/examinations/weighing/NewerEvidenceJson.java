package lexicor.server.examinations.weighing;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import java.util.List;
import lexicor.server.evidence.StandingJson;

/**
 * Whether the ledger has changed since an examination began.
 *
 * @param newer whether it has, and the examination is still open
 * @param revision of the ledger as it is now
 * @param changes that were made since, the latest first
 * @param moved chances that would move, the furthest first
 */
public record NewerEvidenceJson(
        boolean newer, String revision, List<StandingJson.ChangeJson> changes, List<ChanceJson> moved) {

    /** A condition's chance by the ledger it is weighed by, and by today's, 0..1. */
    @Schema(name = "NewerChanceJson")
    public record ChanceJson(String conditionId, String name, double before, double after) {}

    /** @param revision of the ledger that the person has seen the effect of */
    public record Take(
            @NotBlank(message = "allowed: a revision of the ledger")
            String revision) {}
}
