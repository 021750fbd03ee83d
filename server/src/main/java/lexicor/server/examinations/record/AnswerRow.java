package lexicor.server.examinations.record;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.examination.Answer;

/** An answer of the intake as it is kept. */
@Embeddable
public class AnswerRow {

    @Column(nullable = false)
    private String question;

    @Column(nullable = false)
    private String choices;

    private Double numberGiven;

    @Column(name = "told_day")
    private LocalDate day;

    @Column(nullable = false)
    private String words;

    protected AnswerRow() {
        // for the mapper
    }

    AnswerRow(Answer answer) {
        this.question = answer.question();
        this.choices = String.join(",", answer.values());
        this.numberGiven = answer.number().isPresent() ? answer.number().getAsDouble() : null;
        this.day = answer.on().orElse(null);
        this.words = answer.words();
    }

    public Answer toCore() {
        return new Answer(
                question,
                choices.isEmpty() ? List.of() : List.of(choices.split(",")),
                numberGiven == null ? OptionalDouble.empty() : OptionalDouble.of(numberGiven),
                Optional.ofNullable(day),
                words);
    }
}
