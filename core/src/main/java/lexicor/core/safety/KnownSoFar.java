package lexicor.core.safety;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.History;
import lexicor.core.examination.LastAnswers;
import lexicor.core.examination.OtherSide;
import lexicor.core.examination.Reading;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.story.HeardStory;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;

/** What an examination has come to so far. */
public record KnownSoFar(
        String region,
        HeardStory story,
        List<TestReading> readings,
        History history,
        Side side,
        OtherSide otherSide,
        Schools schools,
        Ranking ranking)
        implements Known {

    @Override
    public boolean found(TestId test, CriterionId criterion, boolean positive) {
        Reading.Result wanted = positive ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE;
        return readings.stream()
                .filter(each -> each.test().equals(test))
                .flatMap(each -> each.readings().stream())
                .anyMatch(reading -> reading.criterion().equals(criterion) && reading.result() == wanted);
    }

    @Override
    public Optional<Answers> answers(TestId test) {
        return LastAnswers.of(history, test, side, otherSide, schools);
    }

    @Override
    public boolean recorded(TestId test) {
        return !history.attempts(test, side).isEmpty();
    }

    @Override
    public boolean ranked(ConditionId condition) {
        return standing(condition).isPresent();
    }

    @Override
    public double chance(ConditionId condition) {
        return standing(condition).map(Standing::now).orElse(0.0);
    }

    @Override
    public boolean raised(ConditionId condition) {
        return standing(condition)
                .filter(standing -> !standing.pattern().present().isEmpty()
                        || standing.now() > standing.before()
                                && standing.loads().stream().anyMatch(load -> load.positive() && load.decibans() > 0))
                .isPresent();
    }

    private Optional<Standing> standing(ConditionId condition) {
        return ranking.standings().stream()
                .filter(each -> each.condition().id().equals(condition))
                .findFirst();
    }
}
