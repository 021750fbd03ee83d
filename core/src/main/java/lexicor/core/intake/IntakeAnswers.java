package lexicor.core.intake;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import lexicor.core.examination.Answer;
import lexicor.core.examination.History;

/** The answers of an intake that hold: the last to each question. */
public final class IntakeAnswers {

    private final List<History.Heard> inOrder;
    private final Map<String, History.Heard> last = new LinkedHashMap<>();

    private IntakeAnswers(List<History.Heard> inOrder) {
        this.inOrder = List.copyOf(inOrder);
        for (History.Heard heard : inOrder) {
            last.remove(heard.answer().question());
            if (!heard.answer().empty()) {
                last.put(heard.answer().question(), heard);
            }
        }
    }

    /** The answers of a history, oldest first. */
    public static IntakeAnswers of(List<History.Heard> heard) {
        return new IntakeAnswers(heard);
    }

    /** Everything that was ever heard and counts, oldest first. */
    List<History.Heard> inOrder() {
        return inOrder;
    }

    /** What holds for a question; empty where it is open. */
    public Optional<History.Heard> answer(String question) {
        return Optional.ofNullable(last.get(question));
    }

    /** The options that hold for a question; none where it is open. */
    public List<String> values(String question) {
        return answer(question).map(heard -> heard.answer().values()).orElse(List.of());
    }

    /** The whole number given to a question. */
    public OptionalInt whole(String question) {
        return answer(question)
                .map(History.Heard::answer)
                .filter(answer -> answer.number().isPresent())
                .map(answer -> OptionalInt.of((int) Math.round(answer.number().getAsDouble())))
                .orElse(OptionalInt.empty());
    }

    /** What holds for each question of a kind, by what it is about, oldest first. */
    public Map<String, History.Heard> about(String kind) {
        Map<String, History.Heard> found = new LinkedHashMap<>();
        last.forEach((question, heard) -> {
            if (heard.answer().kind().equals(kind) && !heard.answer().about().isEmpty()) {
                found.put(heard.answer().about(), heard);
            }
        });
        return found;
    }

    /** All answers that hold, oldest first. */
    public List<Answer> answers() {
        return last.values().stream().map(History.Heard::answer).toList();
    }
}
