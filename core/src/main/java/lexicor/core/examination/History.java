package lexicor.core.examination;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import lexicor.core.catalogue.TestId;

/**
 * All commands of an examination in the order the record received them, and what of them is in force: a command is in
 * force unless a later one in force undid it; an attempt is in force if its command is and no later attempt in force
 * supersedes it.
 */
public final class History {

    private final List<Command> commands;
    private final Set<UUID> undone = new HashSet<>();
    private final List<Attempt> attempts = new ArrayList<>();

    private History(List<Command> commands) {
        this.commands = List.copyOf(commands);
        Set<UUID> superseded = new HashSet<>();
        for (int i = this.commands.size() - 1; i >= 0; i--) {
            Command command = this.commands.get(i);
            if (undone.contains(command.id())) {
                continue;
            }
            if (command.action() instanceof Command.Undone undo) {
                undone.add(undo.command());
            } else if (command.action() instanceof Command.Recorded recorded) {
                for (Attempt attempt : recorded.attempts()) {
                    if (!superseded.contains(attempt.id())) {
                        superseded.addAll(attempt.supersedes());
                        attempts.add(attempt);
                    }
                }
            }
        }
        Collections.reverse(attempts);
    }

    public static History of(List<Command> commands) {
        return new History(commands);
    }

    public List<Command> commands() {
        return commands;
    }

    /** Whether a command of this history still counts. */
    public boolean inForce(UUID command) {
        return !undone.contains(command);
    }

    /** The attempts that count, oldest command first. */
    public List<Attempt> attempts() {
        return List.copyOf(attempts);
    }

    public List<Attempt> attempts(TestId test, Side side) {
        return attempts.stream().filter(attempt -> attempt.test().equals(test) && attempt.side() == side).toList();
    }

    /** The test at which the examination stands: where the last command left it; empty before the first. */
    public Optional<TestId> standsAt() {
        return commands.isEmpty() ? Optional.empty() : Optional.of(commands.get(commands.size() - 1).standAt());
    }

    /** The latest recording of an author that still counts and so can be taken back. */
    public Optional<Command> lastUndoable(String author) {
        return lastRecording(command -> command.author().equals(author));
    }

    /** The test recorded last, by whomever, that still counts; empty before the first. */
    public Optional<TestId> lastTest() {
        return lastRecording(command -> true).map(Command::action).map(Command.Recorded.class::cast)
                .flatMap(recorded -> recorded.attempts().stream().map(Attempt::test).findFirst());
    }

    private Optional<Command> lastRecording(Predicate<Command> wanted) {
        for (int i = commands.size() - 1; i >= 0; i--) {
            Command command = commands.get(i);
            if (command.action() instanceof Command.Recorded && inForce(command.id()) && wanted.test(command)) {
                return Optional.of(command);
            }
        }
        return Optional.empty();
    }

    /** The history without anything recorded for a test, as if it had not been done. */
    public History without(TestId test) {
        List<Command> kept = new ArrayList<>();
        for (Command command : commands) {
            if (command.action() instanceof Command.Recorded recorded) {
                List<Attempt> others = recorded.attempts().stream().filter(attempt -> !attempt.test().equals(test)).toList();
                kept.add(new Command(command.id(), command.client(), command.order(), command.author(), command.at(), command.standAt(),
                        new Command.Recorded(others)));
            } else {
                kept.add(command);
            }
        }
        return new History(kept);
    }
}
