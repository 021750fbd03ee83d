package lexicor.core.examination;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import lexicor.core.catalogue.TestId;

/**
 * All commands of an examination in the order the record received them, and what of them is in force: a command is in
 * force unless a later one in force undid it; an attempt is in force if its command is and no later command in force
 * supersedes it, whether or not that later attempt was itself superseded since.
 */
public final class History {

    private final List<Command> commands;
    private final Set<UUID> undone = new HashSet<>();
    private final List<Entry> entries = new ArrayList<>();
    private final List<Heard> heard = new ArrayList<>();

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
                    superseded.addAll(attempt.supersedes());
                    if (!superseded.contains(attempt.id())) {
                        entries.add(new Entry(attempt, command.client(), command.author(), command.at()));
                    }
                }
            } else if (command.action() instanceof Command.IntakeAnswers told) {
                for (int j = told.answers().size() - 1; j >= 0; j--) {
                    heard.add(new Heard(told.answers().get(j), command.author(), command.at()));
                }
            }
        }
        Collections.reverse(entries);
        Collections.reverse(heard);
    }

    /** An attempt that counts, with the tab, the person and the time it came from. */
    public record Entry(Attempt attempt, UUID client, String author, Instant at) {}

    /** An answer that counts, with the person and the time it came from. */
    public record Heard(Answer answer, String author, Instant at) {}

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
        return entries.stream().map(Entry::attempt).toList();
    }

    /** The answers of the intake that count, oldest first. The last one to a question is the one that holds. */
    public List<Heard> heard() {
        return List.copyOf(heard);
    }

    /**
     * Entries of one test that contradict each other: the same side and try recorded differently from two devices,
     * neither knowing of the other. Oldest first; empty where there is no such pair.
     */
    public List<Entry> rivals(TestId test) {
        List<Entry> rivals = new ArrayList<>();
        for (Entry entry : entries) {
            if (entry.attempt().test().equals(test) && entries.stream().anyMatch(other -> contradict(entry, other))) {
                rivals.add(entry);
            }
        }
        return rivals;
    }

    private static boolean contradict(Entry one, Entry other) {
        Attempt a = one.attempt();
        Attempt b = other.attempt();
        return a.test().equals(b.test())
                && a.side() == b.side()
                && a.tryNumber() == b.tryNumber()
                && !one.client().equals(other.client())
                && !Set.copyOf(a.parts()).equals(Set.copyOf(b.parts()));
    }

    /** Everybody who entered an attempt that counts, in the order of their first. */
    public List<String> authors() {
        return entries.stream().map(Entry::author).distinct().toList();
    }

    public List<Attempt> attempts(TestId test, Side side) {
        return attempts().stream()
                .filter(attempt -> attempt.test().equals(test) && attempt.side() == side)
                .toList();
    }

    /** The last attempt at a test on a side that counts. */
    public Optional<Attempt> last(TestId test, Side side) {
        return attempts(test, side).stream().reduce((first, last) -> last);
    }

    /** The tests of which something counts, in the order of their first entry that does. */
    public Set<TestId> tests() {
        Set<TestId> tests = new LinkedHashSet<>();
        entries.forEach(entry -> tests.add(entry.attempt().test()));
        return tests;
    }

    /** The test at which the examination stands: where the last command left it; empty before the first. */
    public Optional<TestId> standsAt() {
        return commands.isEmpty()
                ? Optional.empty()
                : Optional.of(commands.get(commands.size() - 1).standAt());
    }

    /** The latest recording of an author that still counts and so can be taken back. */
    public Optional<Command> lastUndoable(String author) {
        return lastRecording(command -> command.author().equals(author));
    }

    /** The test recorded last, by whomever, that still counts; empty before the first. */
    public Optional<TestId> lastTest() {
        return lastRecording(command -> true)
                .map(Command::action)
                .map(Command.Recorded.class::cast)
                .flatMap(recorded ->
                        recorded.attempts().stream().map(Attempt::test).findFirst());
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
                List<Attempt> others = recorded.attempts().stream()
                        .filter(attempt -> !attempt.test().equals(test))
                        .toList();
                kept.add(new Command(
                        command.id(),
                        command.client(),
                        command.order(),
                        command.author(),
                        command.at(),
                        command.standAt(),
                        new Command.Recorded(others)));
            } else {
                kept.add(command);
            }
        }
        return new History(kept);
    }
}
