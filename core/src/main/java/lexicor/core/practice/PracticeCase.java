package lexicor.core.practice;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Answer;
import lexicor.core.examination.Part;
import lexicor.core.examination.Side;
import lexicor.core.intake.Person;

/**
 * An invented patient whose truth is known.
 *
 * @param title empty where the patient was drawn
 * @param seed of everything that is drawn about the patient
 * @param day of the visit
 * @param leading whether the side in question is the leading one
 * @param opening what the patient begins with, in words
 * @param present the conditions that are there, each with what it lies within
 * @param tells the answer to every question of the intake, given to whoever asks
 * @param fixed responses that are not drawn, by test
 */
public record PracticeCase(
        String title,
        String region,
        CareSetting setting,
        Side side,
        long seed,
        LocalDate day,
        int age,
        Person.Sex sex,
        boolean leading,
        String occupation,
        String opening,
        Set<ConditionId> present,
        List<Answer> tells,
        Map<TestId, List<Part>> fixed) {

    public PracticeCase {
        present = Set.copyOf(present);
        tells = List.copyOf(tells);
        fixed = Map.copyOf(fixed);
    }

    /** As a case says it of a person. Born on the first of January, so that the age is the difference of the years. */
    public Person person() {
        return new Person(
                OptionalInt.of(day.getYear() - age), Optional.of(sex), Optional.of(leading), false, occupation);
    }

    /** The answer to a question; empty where the patient has none. */
    public Optional<Answer> tells(String question) {
        return tells.stream()
                .filter(answer -> answer.question().equals(question))
                .findFirst();
    }
}
