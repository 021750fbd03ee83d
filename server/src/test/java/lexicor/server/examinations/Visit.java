package lexicor.server.examinations;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.examination.Answer;
import lexicor.core.examination.Side;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseDetails;
import lexicor.server.examinations.record.AnswerJson;
import lexicor.server.examinations.record.AttemptJson;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.CommandKind;
import lexicor.server.examinations.record.PartJson;
import lexicor.server.examinations.record.VisitRequest;

/** Short ways to write down what a therapist does in a visit. The right side is the involved one. */
public final class Visit {

    private final UUID client = UUID.randomUUID();
    private final Instant begins = Instant.now();
    private long order;

    public static VisitRequest.NewCase start(String caseCode) {
        return new VisitRequest.NewCase(
                UUID.randomUUID(),
                caseCode,
                new CaseDetails(null, 1974, null, "Sail mender"),
                visit("shoulder", Affected.RIGHT));
    }

    public static VisitRequest visit(String region, Affected side) {
        return new VisitRequest(UUID.randomUUID(), region, side, null, CareSetting.FIRST_CONTACT, null);
    }

    public CommandJson tell(Answer... answers) {
        return command(
                CommandKind.TELL,
                "sh-arc",
                null,
                List.of(),
                Arrays.stream(answers).map(AnswerJson::of).toList());
    }

    public CommandJson record(String test, String... answers) {
        return command(CommandKind.RECORD, test, null, List.of(attempt(test, Set.of(), answers)));
    }

    /** The same, done in another way than usual. */
    public CommandJson recordAs(String way, String test, String... answers) {
        AttemptJson usual = attempt(test, Set.of(), answers);
        return command(
                CommandKind.RECORD,
                test,
                null,
                List.of(new AttemptJson(
                        usual.id(),
                        usual.testId(),
                        way,
                        usual.side(),
                        usual.tryNumber(),
                        usual.supersedes(),
                        usual.parts())));
    }

    public CommandJson instead(CommandJson earlier, String... answers) {
        AttemptJson replaced = earlier.attempts().get(0);
        return command(
                CommandKind.RECORD,
                replaced.testId(),
                null,
                List.of(attempt(replaced.testId(), Set.of(replaced.id()), answers)));
    }

    /** Puts other answers in the place of an entry. */
    public CommandJson correcting(String test, UUID earlier, String... answers) {
        return command(CommandKind.RECORD, test, null, List.of(attempt(test, Set.of(earlier), answers)));
    }

    /** Chooses one of several entries in place of all of them. */
    public CommandJson choosing(AttemptJson kept, List<UUID> all) {
        return command(
                CommandKind.RECORD,
                kept.testId(),
                null,
                List.of(new AttemptJson(
                        UUID.randomUUID(),
                        kept.testId(),
                        "usual",
                        kept.side(),
                        kept.tryNumber(),
                        Set.copyOf(all),
                        kept.parts())));
    }

    public CommandJson undo(CommandJson earlier) {
        return command(CommandKind.UNDO, earlier.standAt(), earlier.id(), List.of());
    }

    public CommandJson move(String test) {
        return command(CommandKind.MOVE, test, null, List.of());
    }

    private CommandJson command(CommandKind kind, String standAt, UUID undoes, List<AttemptJson> attempts) {
        return command(kind, standAt, undoes, attempts, List.of());
    }

    private CommandJson command(
            CommandKind kind, String standAt, UUID undoes, List<AttemptJson> attempts, List<AnswerJson> answers) {
        order++;
        return new CommandJson(
                UUID.randomUUID(),
                client,
                order,
                begins.plusMillis(order),
                kind,
                standAt,
                undoes,
                attempts,
                answers,
                null,
                null);
    }

    private static AttemptJson attempt(String test, Set<UUID> supersedes, String... answers) {
        return new AttemptJson(
                UUID.randomUUID(),
                test,
                "usual",
                Side.RIGHT,
                1,
                supersedes,
                Arrays.stream(answers).map(Visit::part).toList());
    }

    /** A part as {@code key=choice} or {@code key=12°}; {@code key@position} and {@code key#2} name position and go. */
    private static PartJson part(String answer) {
        String[] words = answer.split("=");
        String key = words[0].replaceAll("[@#].*", "");
        String position = words[0].contains("@") ? words[0].substring(words[0].indexOf('@') + 1) : null;
        Integer repeat = words[0].contains("#") ? Integer.valueOf(words[0].substring(words[0].indexOf('#') + 1)) : null;
        if (key.startsWith("angle-") || words[1].endsWith("°")) {
            return new PartJson(
                    key, null, Double.valueOf(words[1].replace("°", "")), "°", null, position, repeat, null);
        }
        return key.equals("force")
                ? new PartJson(key, null, Double.valueOf(words[1]), "N", null, position, repeat, null)
                : new PartJson(key, words[1], null, null, null, position, repeat, null);
    }

    /** The other side. */
    public CommandJson recordWell(String test, String... answers) {
        AttemptJson attempt = attempt(test, Set.of(), answers);
        return command(
                CommandKind.RECORD,
                test,
                null,
                List.of(new AttemptJson(attempt.id(), test, "usual", Side.LEFT, 1, Set.of(), attempt.parts())));
    }
}
