package lexicor.server.examinations.record;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.server.audit.CurrentUser;
import lexicor.server.cases.CaseService;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Closed;
import lexicor.server.problems.Conflict;
import lexicor.server.words.Words;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Adds commands to the record of an examination. Whatever is sent twice counts once. What it costs does not grow with
 * the record: only what a command refers to is looked up.
 */
@Service
public class CommandRecorder {

    private final Examinations examinations;
    private final Commands commands;
    private final Signatures signatures;
    private final Amendments amendments;
    private final Takeovers takeovers;
    private final CaseService cases;
    private final CommandCheck check;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    CommandRecorder(
            Examinations examinations,
            Commands commands,
            Signatures signatures,
            Amendments amendments,
            Takeovers takeovers,
            CaseService cases,
            CommandCheck check,
            ApplicationEventPublisher events,
            Clock clock) {
        this.examinations = examinations;
        this.commands = commands;
        this.signatures = signatures;
        this.amendments = amendments;
        this.takeovers = takeovers;
        this.cases = cases;
        this.check = check;
        this.events = events;
        this.clock = clock;
    }

    /** What the record has of a command that was sent: its number, and its time by the server's clock. */
    public record Receipt(UUID id, long number, Instant at) {}

    /** Adds commands as they arrive at the present time. */
    @Transactional
    public List<Receipt> add(UUID examination, List<CommandJson> sent, Instant sentAt) {
        return add(examination, sent, sentAt, clock.instant());
    }

    /**
     * Adds commands in their order. A command that is on record already keeps its number. Either all are added or none.
     *
     * @param sentAt what the device's clock showed when it sent; null where it did not say
     * @param now when they arrived
     */
    @Transactional
    public List<Receipt> add(UUID examination, List<CommandJson> sent, Instant sentAt, Instant now) {
        ExaminationRow row =
                examinations.findForRecording(examination).orElseThrow(() -> ExaminationRecords.missing(examination));
        Map<UUID, Commands.Given> given = given(examination, sent);
        List<Receipt> receipts = new ArrayList<>();
        List<CommandJson> fresh = sent.stream()
                .filter(command -> !given.containsKey(command.id()))
                .toList();
        if (!fresh.isEmpty()) {
            refuseSigned(examination);
        }
        CommandTimes times = CommandTimes.of(row.startedAt(), now, sentAt);
        CommandCheck.Record record = record(row, fresh, given);
        long number = commands.lastNumber(examination);
        for (int index = 0; index < sent.size(); index++) {
            CommandJson command = sent.get(index);
            Commands.Given known = given.get(command.id());
            if (known == null) {
                String field = "commands[" + index + "]";
                Instant at = times.corrected(field + ".at", command.at());
                check.check(field, command, record);
                number++;
                commands.save(new CommandRow(examination, number, command, at, CurrentUser.isHere(), now));
                known = new Commands.Given(command.id(), examination, number, CurrentUser.isHere(), at);
                given.put(command.id(), known);
                record.adds(command, CurrentUser.isHere());
            }
            receipts.add(new Receipt(command.id(), known.number(), known.at()));
        }
        if (!fresh.isEmpty()) {
            commands.flush();
            cases.grew(row.caseFile().id(), examination, number, now);
            events.publishEvent(
                    new ExaminationMoved(examination, row.caseFile().id(), number, ExaminationMoved.What.ENTERED));
        }
        return receipts;
    }

    /** Commands on record among those sent and those that they undo, by id. */
    private Map<UUID, Commands.Given> given(UUID examination, List<CommandJson> sent) {
        Set<UUID> ids = sent.stream()
                .flatMap(command -> Stream.of(command.id(), command.undoes()))
                .filter(Objects::nonNull)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Map<UUID, Commands.Given> given = new HashMap<>();
        commands.given(ids).forEach(command -> given.put(command.id(), command));
        sent.stream()
                .map(CommandJson::id)
                .map(given::get)
                .filter(Objects::nonNull)
                .filter(command -> !command.examination().equals(examination))
                .findFirst()
                .ifPresent(foreign -> {
                    throw new Conflict("Command " + foreign.id() + " belongs to another examination.");
                });
        return given;
    }

    /** What the fresh commands refer to, as far as it is on record. */
    private CommandCheck.Record record(ExaminationRow row, List<CommandJson> fresh, Map<UUID, Commands.Given> given) {
        UUID examination = row.getId();
        Set<UUID> named = fresh.stream()
                .flatMap(command -> command.attempts().stream())
                .flatMap(attempt -> Stream.concat(Stream.of(attempt.id()), attempt.supersedes().stream()))
                .collect(Collectors.toSet());
        List<Commands.Entered> entered = named.isEmpty() ? List.of() : commands.entered(named);
        Map<UUID, List<Long>> counts = fresh.stream()
                .collect(Collectors.groupingBy(
                        CommandJson::clientId, Collectors.mapping(CommandJson::order, Collectors.toList())));
        counts.forEach((client, orders) ->
                refuseCountedTwice(fresh, client, orders, commands.ordersGiven(examination, client, orders)));
        List<TakeoverRow> taken =
                fresh.isEmpty() ? List.of() : takeovers.findByExaminationInOrderByOrdinal(List.of(examination));
        String responsible =
                taken.isEmpty() ? row.author() : taken.get(taken.size() - 1).author();
        return new CommandCheck.Record(row.region(), examination, responsible, given, entered);
    }

    /** Two commands cannot both be the nth of one client: one of them would never be taken. */
    private static void refuseCountedTwice(
            List<CommandJson> fresh, UUID client, List<Long> orders, Collection<Long> onRecord) {
        for (Long order : orders) {
            if (onRecord.contains(order) || orders.indexOf(order) != orders.lastIndexOf(order)) {
                int index = 0;
                while (!fresh.get(index).clientId().equals(client)
                        || !fresh.get(index).order().equals(order)) {
                    index++;
                }
                throw new BadInput(
                        "commands[" + index + "].order",
                        "'" + order + "' was used by another command of this client; allowed: a number of its own");
            }
        }
    }

    private void refuseSigned(UUID examination) {
        Versions versions =
                Versions.of(List.of(examination), signatures, amendments).get(examination);
        if (versions.closed()) {
            SignatureRow last = versions.last().orElseThrow();
            throw new Closed("Signed by " + last.signedAs() + " on " + Words.day(last.at())
                    + ". Amend it, with a reason, to add to it.");
        }
    }
}
