package lexicor.server.examinations;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.Setting;
import lexicor.core.examination.Side;

/** An examination with everything that happened in it, in the order the server received it. */
public record ExaminationJson(UUID id, String caseCode, int age, String occupation, String region, Side side, Setting setting,
        Instant startedAt, List<CommandJson> commands) {

    static ExaminationJson of(ExaminationService.Recorded recorded) {
        ExaminationRow row = recorded.row();
        return new ExaminationJson(row.getId(), row.caseFile().code(), row.age(), row.occupation(), row.region(), row.side(), row.setting(),
                row.startedAt(), recorded.commands().stream().map(CommandJson::of).toList());
    }

    /**
     * A line of the list.
     *
     * @param done    tests read completely, or left out on purpose
     * @param total   tests of the routine
     * @param leader  the informed condition that stands highest; absent before any finding is weighed
     * @param chance  where it stands, 0..1; absent with it
     */
    public record Line(UUID id, String caseCode, int age, String occupation, String region, Side side, Setting setting, Instant startedAt,
            Instant lastAt, int done, int total, @Schema(nullable = true) String leader, @Schema(nullable = true) Double chance) {
    }

    /** Commands to add, in their order. */
    public record Batch(@jakarta.validation.constraints.NotNull(message = "allowed: a list of commands")
            @jakarta.validation.constraints.Size(min = 1, max = 200, message = "allowed: 1 to 200 commands")
            List<@jakarta.validation.constraints.NotNull(message = "allowed: a command") @jakarta.validation.Valid CommandJson> commands) {
    }

    /** The number that a command has on record. */
    public record Receipt(UUID id, long number) {
    }
}
