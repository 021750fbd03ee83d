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
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.TestId;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class HistoryTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    private final Attempt first = attempt("sh-neer", Side.RIGHT, chosen("pain", "none"));
    private final Attempt corrected = instead(first, chosen("pain", "familiar"));

    @Test
    void a_correction_stands_and_the_corrected_attempt_is_kept() {
        History history = History.of(List.of(recorded(first), recorded(corrected)));
        assertThat(history.attempts()).containsExactly(corrected);
        assertThat(history.commands()).hasSize(2);
    }

    @Test
    void a_correction_of_a_correction_leaves_one_attempt_and_brings_back_none() {
        Attempt again = instead(corrected, chosen("pain", "other"));
        Command last = recorded(again);
        assertThat(History.of(List.of(recorded(first), recorded(corrected), last))
                        .attempts())
                .containsExactly(again);
        assertThat(History.of(List.of(recorded(first), recorded(corrected), last, undo(last)))
                        .attempts())
                .containsExactly(corrected);
    }

    @Test
    void undoing_a_correction_restores_what_it_corrected() {
        Command record = recorded(first);
        Command correction = recorded(corrected);
        Command undo = undo(correction);
        assertThat(History.of(List.of(record, correction, undo)).attempts()).containsExactly(first);
        assertThat(History.of(List.of(record, correction, undo, undo(undo))).attempts())
                .containsExactly(corrected);
    }

    @Test
    void the_last_recording_of_an_author_can_be_taken_back_and_then_the_one_before() {
        Command one = recorded(first);
        Command two = recorded(attempt("sh-hawkins", Side.RIGHT, chosen("pain", "none")));
        Command move = command(TestId.of("sh-arc"), new Command.Moved());
        assertThat(History.of(List.of(one, two, move)).lastUndoable("therapist"))
                .contains(two);
        assertThat(History.of(List.of(one, two, move, undo(two))).lastUndoable("therapist"))
                .contains(one);
        assertThat(History.of(List.of(one, two)).lastUndoable("somebody else")).isEmpty();
    }

    @Test
    void the_same_try_recorded_differently_on_two_devices_contradicts_itself_until_one_is_chosen() {
        Attempt second = attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar"));
        Command here = recorded(first);
        Command there = elsewhere(second);
        assertThat(History.of(List.of(here, there)).rivals(first.test()))
                .extracting(History.Entry::attempt)
                .containsExactly(first, second);
        assertThat(History.of(List.of(here, elsewhere(attempt("sh-neer", Side.RIGHT, chosen("pain", "none")))))
                        .rivals(first.test()))
                .as("the same answer twice")
                .isEmpty();
        assertThat(History.of(List.of(here, elsewhere(attempt("sh-neer", Side.LEFT, chosen("pain", "familiar")))))
                        .rivals(first.test()))
                .as("the other side")
                .isEmpty();
        assertThat(History.of(List.of(here, elsewhere(corrected))).rivals(first.test()))
                .as("a correction that knows of it")
                .isEmpty();
        Attempt choice = new Attempt(
                UUID.randomUUID(),
                first.test(),
                "usual",
                Side.RIGHT,
                1,
                Set.of(first.id(), second.id()),
                second.parts());
        History chosen = History.of(List.of(here, there, recorded(choice)));
        assertThat(chosen.rivals(first.test())).isEmpty();
        assertThat(chosen.attempts()).containsExactly(choice);
    }

    @Test
    void a_contradiction_is_not_read_for_anything() {
        TestReading reading = new ResponseReader(CATALOGUE.test(first.test()), CATALOGUE.usualSchools())
                .read(
                        History.of(List.of(
                                recorded(first),
                                elsewhere(attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar"))))),
                        Side.RIGHT);
        assertThat(reading.readings()).isNotEmpty().allSatisfy(each -> {
            assertThat(each.result()).isEqualTo(Reading.Result.NOT_INTERPRETABLE);
            assertThat(each.phrase()).contains("two devices");
        });
    }

    @Test
    void answers_are_heard_in_order_until_they_are_undone() {
        Command told = command(
                first.test(),
                new Command.IntakeAnswers(List.of(Answer.of("night", "sleeps"), Answer.of("onset", "slowly"))));
        Command later = command(first.test(), new Command.IntakeAnswers(List.of(Answer.of("night", "any-position"))));
        assertThat(History.of(List.of(told, later)).heard())
                .extracting(heard ->
                        heard.answer().question() + " " + heard.answer().values())
                .containsExactly("night [sleeps]", "onset [slowly]", "night [any-position]");
        assertThat(History.of(List.of(told, later, undo(later))).heard()).hasSize(2);
    }

    private static Command elsewhere(Attempt attempt) {
        Command command = recorded(attempt);
        return new Command(
                command.id(), UUID.randomUUID(), 1, "somebody else", command.at(), command.standAt(), command.action());
    }

    @Test
    void it_stands_where_the_last_command_left_it() {
        assertThat(History.of(List.of()).standsAt()).isEmpty();
        assertThat(History.of(List.of(recorded(first), command(TestId.of("sh-arc"), new Command.Moved())))
                        .standsAt())
                .contains(TestId.of("sh-arc"));
    }

    @Test
    void without_a_test_nothing_else_changes() {
        Attempt other = attempt("sh-hawkins", Side.RIGHT, chosen("pain", "none"));
        assertThat(History.of(List.of(recorded(first, other)))
                        .without(TestId.of("sh-neer"))
                        .attempts())
                .containsExactly(other);
    }

    /** Against the definition itself: a command counts unless a later one that counts undid it. */
    @Property(tries = 300)
    void what_is_in_force_follows_the_definition(
            @ForAll @Size(min = 1, max = 12) List<@IntRange(max = 20) Integer> script) {
        List<Command> commands = new ArrayList<>();
        for (int step : script) {
            boolean undoes = step % 2 == 1 && !commands.isEmpty();
            commands.add(
                    undoes ? undo(commands.get(step % commands.size())) : recorded(attempt("sh-neer", Side.RIGHT)));
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
            if (commands.get(later).action() instanceof Command.Undone undone
                    && undone.command().equals(commands.get(index).id())
                    && counts(commands, later)) {
                return false;
            }
        }
        return true;
    }
}
