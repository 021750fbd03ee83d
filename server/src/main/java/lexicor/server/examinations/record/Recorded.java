package lexicor.server.examinations.record;

import java.util.List;
import lexicor.core.examination.History;
import lexicor.core.intake.IntakeAnswers;

/**
 * An examination with everything that happened in it.
 *
 * @param takeovers by whom it was taken over, the first first
 */
public record Recorded(
        ExaminationRow row,
        List<CommandRow> commands,
        History history,
        Versions versions,
        List<TakeoverRow> takeovers) {

    static Recorded of(ExaminationRow row, List<CommandRow> commands, Versions versions, List<TakeoverRow> takeovers) {
        return new Recorded(
                row,
                commands,
                History.of(commands.stream()
                        .map(CommandJson::of)
                        .map(CommandJson::toCore)
                        .toList()),
                versions,
                takeovers);
    }

    /** The examination as it was up to a command. */
    public Recorded upTo(long number) {
        return of(
                row,
                commands.stream().filter(command -> command.number() <= number).toList(),
                versions,
                takeovers);
    }

    /** The examination as it was before anything was tested: what had been told by then. */
    public Recorded beforeTesting() {
        return commands.stream()
                .filter(command -> command.kind() == CommandKind.RECORD)
                .findFirst()
                .map(first -> upTo(first.number() - 1))
                .orElse(this);
    }

    /** The examination as it was when it was signed. */
    public Recorded asSigned(SignatureRow signature) {
        Recorded then = upTo(signature.lastNumber());
        return new Recorded(
                row,
                then.commands(),
                then.history(),
                versions,
                takeovers.stream()
                        .filter(takeover -> !takeover.at().isAfter(signature.at()))
                        .toList());
    }

    /** Sign-in name of who is responsible for it: who took it over last, or who began it. */
    public String responsible() {
        return takeovers.isEmpty()
                ? row.author()
                : takeovers.get(takeovers.size() - 1).author();
    }

    /** Sign-in names of everybody who entered a finding that counts, in the order of their first. */
    public List<String> findingsBy() {
        return history.authors();
    }

    /** The answers of intake and conclusion that count. */
    public IntakeAnswers told() {
        return IntakeAnswers.of(history.heard());
    }

    /** Number of the last command, 0 before the first. */
    public long lastNumber() {
        return commands.isEmpty() ? 0 : commands.get(commands.size() - 1).number();
    }
}
