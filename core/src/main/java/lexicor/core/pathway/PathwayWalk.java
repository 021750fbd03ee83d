package lexicor.core.pathway;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/**
 * How far a patient has come on a pathway. It follows from the record alone: what was tested before the pathway was
 * taken up, or beside it, counts as well, so that it can be left and rejoined.
 *
 * @param passed the steps behind, oldest first, with what each came to
 * @param here the step at hand, or the end
 */
public record PathwayWalk(List<Passed> passed, Step here) {

    public PathwayWalk {
        passed = List.copyOf(passed);
    }

    /** What a step came to. */
    public enum Outcome {
        ANSWERED,
        POSITIVE,
        NEGATIVE,
        UNCLEAR,
        NOTED,
        CLOSED
    }

    /** A step behind; {@code answer} is what was answered to a question, empty for a test. */
    public record Passed(Step step, Outcome outcome, String answer) {}

    /**
     * @param answers to the questions of the pathway, by step
     * @param readings of the tests, done or not
     * @param open whether a test may be done now; one that may not is passed by
     */
    public static PathwayWalk of(
            Pathway pathway, Map<String, String> answers, List<TestReading> readings, Predicate<TestId> open) {
        List<Passed> passed = new ArrayList<>();
        Step here = pathway.start();
        while (true) {
            Optional<Onward> onward = onward(here, answers, readings, open);
            if (onward.isEmpty()) {
                return new PathwayWalk(passed, here);
            }
            passed.add(new Passed(here, onward.get().outcome(), onward.get().answer()));
            here = pathway.step(onward.get().next());
        }
    }

    private record Onward(String next, Outcome outcome, String answer) {}

    private static Optional<Onward> onward(
            Step step, Map<String, String> answers, List<TestReading> readings, Predicate<TestId> open) {
        if (step instanceof Step.Ask ask) {
            return ask.answers().stream()
                    .filter(answer -> answer.value().equals(answers.get(ask.id())))
                    .findFirst()
                    .map(answer -> new Onward(answer.next(), Outcome.ANSWERED, answer.label()));
        }
        if (step instanceof Step.Examine examine) {
            Optional<TestReading> done = readings.stream()
                    .filter(reading -> reading.test().equals(examine.test()) && reading.answered())
                    .findFirst();
            if (done.isEmpty()) {
                return open.test(examine.test())
                        ? Optional.empty()
                        : Optional.of(new Onward(examine.otherwise(), Outcome.CLOSED, ""));
            }
            return branch(examine, done.get());
        }
        return Optional.empty();
    }

    /** The first branch that holds; none while the response is not fully read, unless no reading is asked about. */
    private static Optional<Onward> branch(Step.Examine examine, TestReading done) {
        for (Step.Branch branch : examine.branches()) {
            Reading.Result result =
                    done.reading(branch.condition(), branch.criterion()).result();
            if (result == branch.result()) {
                return Optional.of(new Onward(branch.next(), outcome(result), ""));
            }
            if (result == Reading.Result.NOT_YET_KNOWN) {
                return Optional.empty();
            }
        }
        return Optional.of(new Onward(examine.otherwise(), otherwise(examine, done), ""));
    }

    private static Outcome otherwise(Step.Examine examine, TestReading done) {
        List<Reading.Result> results = examine.branches().stream()
                .map(branch ->
                        done.reading(branch.condition(), branch.criterion()).result())
                .distinct()
                .toList();
        return results.isEmpty() ? Outcome.NOTED : results.size() == 1 ? outcome(results.get(0)) : Outcome.UNCLEAR;
    }

    private static Outcome outcome(Reading.Result result) {
        return switch (result) {
            case POSITIVE -> Outcome.POSITIVE;
            case NEGATIVE -> Outcome.NEGATIVE;
            default -> Outcome.UNCLEAR;
        };
    }
}
