package lexicor.core.examination;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.Criterion;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Gate;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.Truth;
import lexicor.core.catalogue.Way;

/**
 * Reads responses. Gates come first: one that voids everything makes the response not interpretable; one that voids
 * negatives does so only where the rule would say negative. A repeat of a test that says the opposite makes both not
 * reproducible, and neither is weighed.
 */
public final class ResponseReader {

    private static final Pattern NAMED_PART = Pattern.compile("\\{([a-z0-9-]+)(?:@([a-z0-9-]+))?}");

    private static final String WAY_GONE = "it was done in a way that the library no longer knows";
    private static final String TWO_ENTRIES = "recorded differently on two devices: choose which one holds";

    private static final String NO_NORMAL = "both sides are affected, so neither is a normal to compare with";

    private final ExaminationTest test;
    private final Schools schools;

    public ResponseReader(ExaminationTest test, Schools schools) {
        this.test = test;
        this.schools = schools;
    }

    /** Reads what the history holds of the test on {@code side}, the other side being well. */
    public TestReading read(History history, Side side) {
        return read(history, side, OtherSide.WELL);
    }

    /** Reads what the history holds of the test on {@code side}, by every criterion for every condition. */
    public TestReading read(History history, Side side, OtherSide otherSide) {
        List<Attempt> tries = latestOfEachTry(history.attempts(test.id(), side));
        List<Attempt> others = history.attempts(test.id(), side.other());
        Optional<Attempt> other = others.isEmpty() || otherSide == OtherSide.INVOLVED
                ? Optional.empty()
                : Optional.of(others.get(others.size() - 1));
        boolean contradicted = !history.rivals(test.id()).isEmpty();
        List<Reading> readings = new ArrayList<>();
        for (ConditionReading condition : test.reads()) {
            for (CriterionId criterion : condition.by()) {
                readings.add(
                        contradicted
                                ? reading(
                                        condition,
                                        test.criterion(criterion).orElseThrow(),
                                        Reading.Result.NOT_INTERPRETABLE,
                                        TWO_ENTRIES)
                                : read(tries, other, otherSide, condition, criterion));
            }
        }
        return new TestReading(
                test.id(),
                contradicted || !tries.isEmpty(),
                readings,
                tries.isEmpty()
                        ? Optional.empty()
                        : test.way(tries.get(tries.size() - 1).variant()),
                readings.stream()
                        .filter(reading -> reading.result() == Reading.Result.NOT_YET_KNOWN)
                        .map(Reading::criterion)
                        .filter(id -> test.onDemand(test.criterion(id).orElseThrow()))
                        .collect(Collectors.toSet()));
    }

    private Reading read(
            List<Attempt> tries,
            Optional<Attempt> other,
            OtherSide otherSide,
            ConditionReading condition,
            CriterionId criterionId) {
        Criterion criterion = test.criterion(criterionId).orElseThrow();
        List<Reading> readings = tries.stream()
                .map(attempt -> read(attempt, other, otherSide, condition, criterion))
                .toList();
        if (readings.isEmpty()) {
            return reading(condition, criterion, Reading.Result.NOT_YET_KNOWN, "nothing recorded yet");
        }
        Set<Reading.Result> definite = EnumSet.noneOf(Reading.Result.class);
        readings.stream().filter(Reading::definite).forEach(reading -> definite.add(reading.result()));
        if (definite.size() == 2) {
            return reading(
                    condition,
                    criterion,
                    Reading.Result.NOT_INTERPRETABLE,
                    "not reproducible: the repeat said the opposite");
        }
        return readings.stream()
                .filter(Reading::definite)
                .reduce((first, last) -> last)
                .orElse(readings.get(readings.size() - 1));
    }

    private Reading read(
            Attempt attempt,
            Optional<Attempt> other,
            OtherSide otherSide,
            ConditionReading condition,
            Criterion criterion) {
        if (!attempt.variant().equals(Way.USUAL) && !test.variants().contains(attempt.variant())) {
            return reading(condition, criterion, Reading.Result.NOT_INTERPRETABLE, WAY_GONE);
        }
        Answers answers = new RecordedAnswers(attempt, other, schools, test::fullRange);
        List<Gate> closed = Stream.of(test.gates(), criterion.gates(), condition.gates())
                .flatMap(List::stream)
                .filter(gate -> gate.closed(answers))
                .toList();
        Optional<Gate> voidsAll = closed.stream()
                .filter(gate -> gate.voids() == Gate.Voids.EVERYTHING)
                .findFirst();
        if (voidsAll.isPresent()) {
            return reading(
                    condition,
                    criterion,
                    Reading.Result.NOT_INTERPRETABLE,
                    fill(voidsAll.get().because(), attempt));
        }
        Truth positive = criterion.positive().truth(answers);
        Truth negative = criterion.negative().truth(answers);
        if (positive == Truth.YES) {
            return reading(condition, criterion, Reading.Result.POSITIVE, fill(criterion.counts(), attempt));
        }
        if (negative == Truth.YES) {
            return closed.isEmpty()
                    ? reading(condition, criterion, Reading.Result.NEGATIVE, fill(criterion.clear(), attempt))
                    : reading(
                            condition,
                            criterion,
                            Reading.Result.NOT_INTERPRETABLE,
                            fill(closed.get(0).because(), attempt));
        }
        if (positive == Truth.UNKNOWN || negative == Truth.UNKNOWN) {
            if (otherSide == OtherSide.INVOLVED
                    && (criterion.positive().comparesSides()
                            || criterion.negative().comparesSides())) {
                return reading(condition, criterion, Reading.Result.NOT_INTERPRETABLE, NO_NORMAL);
            }
            return reading(condition, criterion, Reading.Result.NOT_YET_KNOWN, "more of the response is needed");
        }
        return reading(condition, criterion, Reading.Result.NOT_INTERPRETABLE, fill(criterion.unread(), attempt));
    }

    private Reading reading(ConditionReading condition, Criterion criterion, Reading.Result result, String phrase) {
        return new Reading(test.id(), condition.condition(), criterion.id(), result, phrase);
    }

    /** The last attempt in force of each try, lowest try first. */
    private static List<Attempt> latestOfEachTry(List<Attempt> attempts) {
        Map<Integer, Attempt> byTry = new TreeMap<>();
        attempts.forEach(attempt -> byTry.put(attempt.tryNumber(), attempt));
        return List.copyOf(byTry.values());
    }

    /** Puts the recorded values where a phrase names a part. */
    private String fill(String phrase, Attempt attempt) {
        return NAMED_PART
                .matcher(phrase)
                .replaceAll(named -> Matcher.quoteReplacement(value(attempt, named.group(1), named.group(2))));
    }

    private String value(Attempt attempt, String key, String position) {
        for (Part part : attempt.parts()) {
            if (position != null && !part.context().position().equals(position)) {
                continue;
            }
            if (part.key().equals(key) && part instanceof Part.Measured measured) {
                return Math.round(measured.value()) + (measured.unit().equals("°") ? "" : " ") + measured.unit();
            }
            if (part.key().equals(key)
                    && part instanceof Part.Chosen chosen
                    && test.part(key).orElseThrow() instanceof PartDefinition.Measure measure) {
                return measure.byEye().stream()
                        .filter(option -> option.value().equals(chosen.choice()))
                        .map(option -> option.label().toLowerCase())
                        .findFirst()
                        .orElse(chosen.choice());
            }
            if (part.key().equals(key)
                    && part instanceof Part.Chosen chosen
                    && test.part(key).orElseThrow() instanceof PartDefinition.Choice choice) {
                return choice.option(chosen.choice())
                        .map(option -> option.label().toLowerCase())
                        .orElse(chosen.choice());
            }
        }
        return "not recorded";
    }
}
