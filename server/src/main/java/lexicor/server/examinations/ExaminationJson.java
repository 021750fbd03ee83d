package lexicor.server.examinations;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.Setting;
import lexicor.core.examination.Side;
import lexicor.server.audit.Traced;
import lexicor.server.cases.CaseJson;

/**
 * An examination with everything that happened in it, in the order the server received it.
 *
 * @param side              the side that is weighed
 * @param otherSideInvolved whether the other side is no normal to compare with
 * @param follows           the examination that it started from; absent for a first one
 */
public record ExaminationJson(UUID id, CaseJson person, String region, Side side, boolean otherSideInvolved, Setting setting,
        Instant startedAt, @Schema(nullable = true) UUID follows, SigningJson signing, List<CommandJson> commands) implements Traced.Known {

    static ExaminationJson of(ExaminationService.Recorded recorded) {
        ExaminationRow row = recorded.row();
        return new ExaminationJson(row.getId(), CaseJson.of(row.caseFile()), row.region(), row.side(), row.otherSideInvolved(), row.setting(),
                row.startedAt(), row.follows().orElse(null), SigningJson.of(recorded.versions()), recorded.commands().stream().map(CommandJson::of).toList());
    }

    @Override
    public String tracedId() {
        return id.toString();
    }

    /** Commands to add, in their order. */
    public record Batch(@NotNull(message = "allowed: a list of commands") @Size(min = 1, max = 200, message = "allowed: 1 to 200 commands")
            List<@NotNull(message = "allowed: a command") @Valid CommandJson> commands) {
    }

    /** The number that a command has on record. */
    public record Receipt(UUID id, long number) {
    }
}
