package lexicor.core.examination;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;

/** What was recorded last of a test, for rules that stand elsewhere than with the test. */
public final class LastAnswers {

    private LastAnswers() {}

    /**
     * The answers on a side, with the other side to compare with where it is well; empty where nothing was recorded, or
     * the test was left out.
     */
    public static Optional<Answers> of(History history, TestId test, Side side, OtherSide otherSide, Schools schools) {
        List<Attempt> others = history.attempts(test, side.other());
        Optional<Attempt> other = others.isEmpty() || otherSide == OtherSide.INVOLVED
                ? Optional.empty()
                : Optional.of(others.get(others.size() - 1));
        return history.attempts(test, side).stream()
                .filter(attempt -> !attempt.leftOut())
                .reduce((first, last) -> last)
                .map(attempt -> new RecordedAnswers(attempt, other, schools));
    }
}
