package lexicor.core.examination;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was told or seen about one question of the intake. Never changed: a later answer to the same question replaces
 * it. An answer without value, number, day and words says that the question is open again.
 *
 * @param question id of the question, with what it is about behind a colon where there are several, such as
 *     {@code override:sh-neer}
 * @param values the options that hold
 * @param number a number on the question's scale, or a chance
 * @param on the day it is about
 * @param words free words; empty where there are none
 */
public record Answer(
        String question, List<String> values, OptionalDouble number, Optional<LocalDate> on, String words) {

    public Answer {
        values = List.copyOf(values);
    }

    /** Options that hold. */
    public static Answer of(String question, String... values) {
        return new Answer(question, List.of(values), OptionalDouble.empty(), Optional.empty(), "");
    }

    /** Something said for a reason. */
    public static Answer because(String question, String words) {
        return new Answer(question, List.of(), OptionalDouble.empty(), Optional.empty(), words);
    }

    public static Answer number(String question, double number) {
        return new Answer(question, List.of(), OptionalDouble.of(number), Optional.empty(), "");
    }

    public static Answer on(String question, LocalDate day) {
        return new Answer(question, List.of(), OptionalDouble.empty(), Optional.of(day), "");
    }

    /** Whether it only opens the question again. */
    public boolean empty() {
        return values.isEmpty() && number.isEmpty() && on.isEmpty() && words.isBlank();
    }

    /** The part before the colon. */
    public String kind() {
        int colon = question.indexOf(':');
        return colon < 0 ? question : question.substring(0, colon);
    }

    /** The part behind the colon; empty where there is none. */
    public String about() {
        int colon = question.indexOf(':');
        return colon < 0 ? "" : question.substring(colon + 1);
    }
}
