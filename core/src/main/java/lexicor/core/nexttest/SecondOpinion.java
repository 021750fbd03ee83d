package lexicor.core.nexttest;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.pathway.Step;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;

/**
 * What the weighing makes of the step at which a pathway stands.
 *
 * @param test that the weighing would do instead
 * @param condition that the weighing puts first instead, with its standing
 */
public record SecondOpinion(Kind kind, Optional<TestId> test, Optional<Standing> condition) {

    /** How the two go together. */
    public enum Kind {
        /** Nothing to say: a question, a measure that leads on whatever it shows, or both say the same. */
        SAME,
        /** Nobody has measured the test, so the weighing cannot rank it. */
        NO_FIGURES,
        /** Another test promises more for its time. */
        ANOTHER_TEST,
        /** The weighing expects next to nothing of the test, and of no other either. */
        LITTLE_EXPECTED,
        /** Where the way ends, the weighing puts another condition first. */
        ANOTHER_CONDITION,
        /** Where the way ends, none of its conditions has figures. */
        END_NOT_MEASURED
    }

    /** @param ahead what open tests could tell, the best for its time first */
    public static SecondOpinion on(Step here, List<TestValue> ahead, Ranking ranking, Thresholds thresholds) {
        if (here instanceof Step.Examine examine) {
            return examine.branches().isEmpty() ? of(Kind.SAME) : onTest(examine.test(), ahead);
        }
        return here instanceof Step.End end && !end.conditions().isEmpty()
                ? onEnd(end, ranking, thresholds)
                : of(Kind.SAME);
    }

    private static SecondOpinion onTest(TestId test, List<TestValue> ahead) {
        Optional<TestValue> own =
                ahead.stream().filter(value -> value.test().equals(test)).findFirst();
        if (own.isEmpty() || own.get().changes().isEmpty()) {
            return of(Kind.NO_FIGURES);
        }
        Optional<TestValue> best = ahead.stream().filter(TestValue::worthDoing).findFirst();
        if (best.isEmpty()) {
            return of(Kind.LITTLE_EXPECTED);
        }
        return best.get().test().equals(test)
                ? of(Kind.SAME)
                : new SecondOpinion(Kind.ANOTHER_TEST, Optional.of(best.get().test()), Optional.empty());
    }

    private static SecondOpinion onEnd(Step.End end, Ranking ranking, Thresholds thresholds) {
        if (end.conditions().stream()
                .noneMatch(condition -> ranking.of(condition).measured())) {
            return of(Kind.END_NOT_MEASURED);
        }
        Optional<Standing> first = ranking.first(thresholds);
        return first.filter(standing -> !named(end, standing.condition()))
                .map(standing -> new SecondOpinion(Kind.ANOTHER_CONDITION, Optional.empty(), first))
                .orElse(of(Kind.SAME));
    }

    private static boolean named(Step.End end, Condition condition) {
        return end.conditions().contains(condition.id())
                || condition.within().filter(end.conditions()::contains).isPresent();
    }

    private static SecondOpinion of(Kind kind) {
        return new SecondOpinion(kind, Optional.empty(), Optional.empty());
    }
}
