package lexicor.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ContentWordsTest {

    @Test
    void lists_every_question_with_its_answers_also_of_those_that_are_asked_no_more() {
        ContentWords words = new ContentWords(Map.of(
                "question/onset", "How did it begin?",
                "answer/onset/slowly", "Slowly",
                "answer/onset/injury", "One injury",
                "question/pain-now", "Pain now",
                "answer/followed/carpal", "Carpal tunnel",
                "test/sh-arc", "Painful arc"));
        assertThat(words.questions())
                .containsExactly(
                        entry("followed", List.of("carpal")),
                        entry("onset", List.of("injury", "slowly")),
                        entry("pain-now", List.of()));
    }
}
