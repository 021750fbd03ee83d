package lexicor.core.conclusion;

import static lexicor.core.intake.ConclusionQuestions.ADVICE;
import static lexicor.core.intake.ConclusionQuestions.AGAIN;
import static lexicor.core.intake.ConclusionQuestions.CONFIDENCE;
import static lexicor.core.intake.ConclusionQuestions.IN_WORDS;
import static lexicor.core.intake.ConclusionQuestions.MARKERS;
import static lexicor.core.intake.ConclusionQuestions.OPEN;
import static lexicor.core.intake.ConclusionQuestions.OWN_STEPS;
import static lexicor.core.intake.ConclusionQuestions.RIVALS;
import static lexicor.core.intake.ConclusionQuestions.STEPS;
import static lexicor.core.intake.ConclusionQuestions.WHY;
import static lexicor.core.intake.ConclusionQuestions.WORKING;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.intake.IntakeAnswers;

/**
 * What the therapist concludes.
 *
 * @param working the working diagnosis; empty where none is named
 * @param inWords the working diagnosis in the therapist's own words; may be empty
 * @param open whether the therapist says that it is still open
 * @param rivals what it could be instead, the likeliest first
 * @param confidence how sure, 0..1; empty where nobody said
 * @param why why it differs from the ranking; may be empty
 * @param steps conditions whose settling step is taken up
 * @param ownSteps further steps in words; may be empty
 * @param advice advice given; may be empty
 * @param markers tests to repeat at the next visit
 * @param again the day of the next visit
 */
public record Conclusion(
        Optional<ConditionId> working,
        String inWords,
        boolean open,
        List<ConditionId> rivals,
        OptionalDouble confidence,
        String why,
        List<ConditionId> steps,
        String ownSteps,
        String advice,
        List<TestId> markers,
        Optional<LocalDate> again) {

    public Conclusion {
        rivals = List.copyOf(rivals);
        steps = List.copyOf(steps);
        markers = List.copyOf(markers);
    }

    /** What the record says of it so far. Never null. */
    public static Conclusion of(IntakeAnswers told) {
        Optional<String> named = told.values(WORKING).stream().findFirst();
        Optional<ConditionId> working =
                named.filter(value -> !value.equals(OPEN)).map(ConditionId::of);
        return new Conclusion(
                working,
                words(told, IN_WORDS),
                named.filter(OPEN::equals).isPresent(),
                conditions(told, RIVALS).stream()
                        .filter(rival -> !working.equals(Optional.of(rival)))
                        .toList(),
                told.answer(CONFIDENCE).map(heard -> heard.answer().number()).orElse(OptionalDouble.empty()),
                words(told, WHY),
                conditions(told, STEPS),
                words(told, OWN_STEPS),
                words(told, ADVICE),
                told.values(MARKERS).stream().map(TestId::of).toList(),
                told.answer(AGAIN).flatMap(heard -> heard.answer().on()));
    }

    /** Whether anything of it was said. */
    public boolean begun() {
        return named()
                || open
                || !rivals.isEmpty()
                || confidence.isPresent()
                || !steps.isEmpty()
                || !ownSteps.isEmpty()
                || !advice.isEmpty()
                || !markers.isEmpty()
                || again.isPresent();
    }

    /** Whether a working diagnosis is named, in whichever way. */
    public boolean named() {
        return working.isPresent() || !inWords.isEmpty();
    }

    /** How sure, in a word that everybody takes alike; empty where nobody said. */
    public String sureness() {
        return confidence.isEmpty() ? "" : words(confidence.getAsDouble());
    }

    /** A chance in words. */
    public static String words(double chance) {
        if (chance < 0.25) {
            return "a guess";
        }
        if (chance < 0.5) {
            return "possible";
        }
        if (chance < 0.75) {
            return "likely";
        }
        return chance < 0.95 ? "very likely" : "almost certain";
    }

    private static List<ConditionId> conditions(IntakeAnswers told, String question) {
        return told.values(question).stream().map(ConditionId::of).toList();
    }

    private static String words(IntakeAnswers told, String question) {
        return told.answer(question).map(heard -> heard.answer().words()).orElse("");
    }
}
