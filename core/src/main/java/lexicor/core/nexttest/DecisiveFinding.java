package lexicor.core.nexttest;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Weighing;

/**
 * What would be different if one finding had been the other way: which single answer the conclusion hangs on.
 *
 * @param leader the condition that would lead instead; empty where the leader stays
 * @param crossings conditions that would cross a threshold
 */
public record DecisiveFinding(TestId test, Optional<Condition> leader, List<Crossing> crossings) {

    /** A condition that would stand elsewhere, on the other side of a threshold. */
    public record Crossing(Condition condition, double now, double then) {}

    public DecisiveFinding {
        crossings = List.copyOf(crossings);
    }

    /**
     * Every finding that would change the leader or carry a condition over a threshold, in the order of {@code tests}.
     *
     * @param now the ranking of these tests
     */
    public static List<DecisiveFinding> of(Weighing weighing, Visit visit, List<TestReading> tests, Ranking now) {
        Weighing points = weighing.withoutRanges();
        List<DecisiveFinding> reversals = new ArrayList<>();
        for (TestReading test : tests) {
            if (test.answered() && test.readings().stream().anyMatch(Reading::definite)) {
                List<TestReading> reversed = tests.stream()
                        .map(each -> each == test ? reversed(each) : each)
                        .toList();
                DecisiveFinding reversal = compare(
                        test.test(),
                        now,
                        points.weigh(visit, reversed, 0),
                        visit.assumptions().thresholds());
                if (reversal.leader().isPresent() || !reversal.crossings().isEmpty()) {
                    reversals.add(reversal);
                }
            }
        }
        return reversals;
    }

    private static TestReading reversed(TestReading test) {
        return test.with(test.readings().stream()
                .map(reading -> new Reading(
                        reading.test(),
                        reading.condition(),
                        reading.criterion(),
                        switch (reading.result()) {
                            case POSITIVE -> Reading.Result.NEGATIVE;
                            case NEGATIVE -> Reading.Result.POSITIVE;
                            default -> reading.result();
                        },
                        reading.phrase()))
                .toList());
    }

    private static DecisiveFinding compare(TestId test, Ranking now, Ranking then, Thresholds thresholds) {
        List<Crossing> crossings = new ArrayList<>();
        for (Standing standing : now.standings()) {
            Standing other = then.of(standing.condition().id());
            if (thresholds.zone(standing.condition(), standing.now())
                    != thresholds.zone(other.condition(), other.now())) {
                crossings.add(new Crossing(standing.condition(), standing.now(), other.now()));
            }
        }
        Optional<Condition> before = leader(now);
        Optional<Condition> after = leader(then);
        return new DecisiveFinding(
                test, after.filter(condition -> before.isPresent() && !condition.equals(before.get())), crossings);
    }

    private static Optional<Condition> leader(Ranking ranking) {
        return ranking.standings().stream()
                .filter(standing -> standing.informed() && !standing.pattern().unlikely())
                .findFirst()
                .map(Standing::condition);
    }
}
