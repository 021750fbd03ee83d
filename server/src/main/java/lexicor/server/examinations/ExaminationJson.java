package lexicor.server.examinations;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.examination.Side;
import lexicor.server.audit.Traced;
import lexicor.server.cases.CaseJson;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.CommandRecorder;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.signing.SigningJson;

/**
 * An examination with everything that happened in it, in the order the server received it.
 *
 * @param side the side that is weighed
 * @param otherSideInvolved whether the other side is no normal to compare with
 * @param follows the examination that it started from; absent for a first one
 * @param responsible who took it over last, or who began it
 * @param findingsBy everybody who entered a finding that counts
 * @param gone tests on record that the library no longer has
 * @param takeovers by whom it was taken over, the first first
 */
public record ExaminationJson(
        UUID id,
        CaseJson person,
        String region,
        Side side,
        boolean otherSideInvolved,
        CareSetting setting,
        Instant startedAt,
        @Schema(nullable = true) UUID follows,
        SigningJson signing,
        PersonJson responsible,
        List<PersonJson> findingsBy,
        List<TakeoverJson> takeovers,
        List<GoneJson> gone,
        List<CommandJson> commands)
        implements Traced.Known {

    static ExaminationJson of(Recorded recorded, People people, Catalogue catalogue) {
        ExaminationRow row = recorded.row();
        return new ExaminationJson(
                row.getId(),
                CaseJson.of(row.caseFile()),
                row.region(),
                row.side(),
                row.otherSideInvolved(),
                row.setting(),
                row.startedAt(),
                row.follows().orElse(null),
                SigningJson.of(recorded.versions()),
                PersonJson.of(recorded.responsible(), people),
                recorded.findingsBy().stream()
                        .map(author -> PersonJson.of(author, people))
                        .toList(),
                recorded.takeovers().stream()
                        .map(takeover ->
                                new TakeoverJson(takeover.takenAs(), people.name(takeover.takenFrom()), takeover.at()))
                        .toList(),
                gone(recorded, catalogue),
                recorded.commands().stream().map(CommandJson::of).toList());
    }

    private static List<GoneJson> gone(Recorded recorded, Catalogue catalogue) {
        return recorded.history().tests().stream()
                .filter(test -> !catalogue.has(test))
                .map(test -> new GoneJson(test.value(), catalogue.test(test).name()))
                .toList();
    }

    /** A test on record that the library no longer has, by the words it had. */
    public record GoneJson(String testId, String name) {}

    /** Somebody by sign-in name and by the name that people know. */
    @Schema(name = "ColleagueJson")
    public record PersonJson(String name, String displayName) {
        static PersonJson of(String name, People people) {
            return new PersonJson(name, people.name(name));
        }
    }

    /** Who took the examination over from whom, by the names that people know. */
    public record TakeoverJson(String by, String from, Instant at) {}

    /**
     * A wish to take an examination over.
     *
     * @param from sign-in name of who is believed to be responsible
     */
    @Schema(name = "TakeoverRequest")
    public record TakeOver(
            @NotBlank(message = "allowed: the sign-in name of who is responsible")
            @Size(max = 80, message = "allowed: at most 80 characters")
            String from) {}

    @Override
    public String tracedId() {
        return id.toString();
    }

    /**
     * Commands to add, in their order.
     *
     * @param sentAt what the device's clock shows; by it the times of the commands are put right. Absent where the
     *     times are the server's own
     */
    public record Batch(
            @NotNull(message = "allowed: a list of commands")
            @Size(min = 1, max = 200, message = "allowed: 1 to 200 commands")
            List<@NotNull(message = "allowed: a command") @Valid CommandJson> commands,

            @Schema(nullable = true) Instant sentAt) {}

    /** The number that a command has on record, and its time by the server's clock. */
    public record Receipt(UUID id, long number, Instant at) {
        static Receipt of(CommandRecorder.Receipt receipt) {
            return new Receipt(receipt.id(), receipt.number(), receipt.at());
        }
    }
}
