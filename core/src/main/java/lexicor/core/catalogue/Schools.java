package lexicor.core.catalogue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which school is in force for each question on which practitioners differ.
 *
 * @param choices the choice in force, by question
 */
public record Schools(Map<String, String> choices) {

    /** A question with its possible answers; {@code usual} is the one in force unless another is chosen. */
    public record Question(String id, String question, String usual, List<Choice> choices) {
        public Question {
            choices = List.copyOf(choices);
        }

        public Optional<Choice> choice(String value) {
            return choices.stream()
                    .filter(choice -> choice.value().equals(value))
                    .findFirst();
        }
    }

    /** One school's answer. */
    public record Choice(String value, String label) {}

    public Schools {
        choices = Map.copyOf(choices);
    }

    /** The usual choice for every question. */
    public static Schools usual(List<Question> questions) {
        Map<String, String> usual = new LinkedHashMap<>();
        questions.forEach(question -> usual.put(question.id(), question.usual()));
        return new Schools(usual);
    }

    /** The choice in force, or {@link IllegalArgumentException} that names the question. Never null. */
    public String choice(String question) {
        return Optional.ofNullable(choices.get(question))
                .orElseThrow(() -> new IllegalArgumentException(
                        "question '" + question + "' is not known; allowed: " + choices.keySet()));
    }

    /** The same with another choice for one question. */
    public Schools with(String question, String choice) {
        Map<String, String> changed = new LinkedHashMap<>(choices);
        changed.put(question, choice);
        return new Schools(changed);
    }
}
