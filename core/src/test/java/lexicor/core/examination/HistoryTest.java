package lexicor.core.examination;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.command;
import static lexicor.core.Responses.instead;
import static lexicor.core.Responses.recorded;
import static lexicor.core.Responses.undo;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import lexicor.core.catalogue.TestId;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class HistoryTest {

    private final Attempt first = attempt("sh-neer", Side.RIGHT, chosen("pain", "none"));
    private final Attempt corrected = instead(first, chosen("pain", "familiar"));

    @Test
    void a_correction_stands_and_the_corrected_attempt_is_kept() {
        History history = History.of(List.of(recorded(first), recorded(corrected)));
        assertThat(history.attempts()).containsExactly(corrected);
        assertThat(history.commands()).hasSize(2);
    }

    @Test
    void undoing_a_correction_restores_what_it_corrected() {
        Command record = recorded(first);
        Command correction = recorded(corrected);
        Command undo = undo(correction);
        assertThat(History.of(List.of(record, correction, undo)).attempts()).containsExactly(first);
        assertThat(History.of(List.of(record, correction, undo, undo(undo))).attempts()).containsExactly(corrected);
    }

    @Test
    void the_last_recording_of_an_author_can_be_taken_back_and_then_the_one_before() {
        Command one = recorded(first);
        Command two = recorded(attempt("sh-hawkins", Side.RIGHT, chosen("pain", "none")));
        Command move = command(TestId.of("sh-arc"), new Command.Moved());
        assertThat(History.of(List.of(one, two, move)).lastUndoable("therapist")).contains(two);
        assertThat(History.of(List.of(one, two, move, undo(two))).lastUndoable("therapist")).contains(one);
        assertThat(History.of(List.of(one, two)).lastUndoable("somebody else")).isEmpty();
    }

    @Test
    void it_stands_where_the_last_command_left_it() {
        assertThat(History.of(List.of()).standsAt()).isEmpty();
        assertThat(History.of(List.of(recorded(first), command(TestId.of("sh-arc"), new Command.Moved()))).standsAt()).contains(TestId.of("sh-arc"));
    }

    @Test
    void without_a_test_nothing_else_changes() {
        Attempt other = attempt("sh-hawkins", Side.RIGHT, chosen("pain", "none"));
        assertThat(History.of(List.of(recorded(first, other))).without(TestId.of("sh-neer")).attempts()).containsExactly(other);
    }

    /** Against the definition itself: a command counts unless a later one that counts undid it. */
    @Property(tries = 300)
    void what_is_in_force_follows_the_definition(@ForAll @Size(min = 1, max = 12) List<@IntRange(max = 20) Integer> script) {
        List<Command> commands = new ArrayList<>();
        for (int step : script) {
            boolean undoes = step % 2 == 1 && !commands.isEmpty();
            commands.add(undoes ? undo(commands.get(step % commands.size())) : recorded(attempt("sh-neer", Side.RIGHT)));
        }
        History history = History.of(commands);
        for (int i = 0; i < commands.size(); i++) {
            assertThat(history.inForce(commands.get(i).id())).isEqualTo(counts(commands, i));
        }
        Set<Attempt> expected = new java.util.HashSet<>();
        for (int i = 0; i < commands.size(); i++) {
            if (counts(commands, i) && commands.get(i).action() instanceof Command.Recorded recording) {
                expected.addAll(recording.attempts());
            }
        }
        assertThat(history.attempts()).containsExactlyInAnyOrderElementsOf(expected);
    }

    private static boolean counts(List<Command> commands, int index) {
        for (int later = index + 1; later < commands.size(); later++) {
            if (commands.get(later).action() instanceof Command.Undone undone && undone.command().equals(commands.get(index).id()) && counts(commands, later)) {
                return false;
            }
        }
        return true;
    }
}
