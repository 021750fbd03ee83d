package lexicor.core.findings;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Way;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.ClusterLevels;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.evidence.LevelFigure;
import lexicor.core.evidence.Series;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.lookup.Keyed;
import lexicor.core.posttest.NaturalFrequencies;

/** Turns readings into weights, or into findings on the table with the reason why they are not weighed. */
public final class WeightedFindings {

    /**
     * What is kept of the logarithm of a set's ratio: every set is known from those who derived it alone, and this is
     * assumed of it until somebody has repeated it.
     */
    private static final double OF_DERIVERS = 0.4;

    /** What was found for one condition. */
    public record Findings(List<WeightedFinding> loads, List<Unweighed> unweighed) {}

    private final Catalogue catalogue;
    private final Evidence evidence;
    private final WeighingSettings settings;
    private final Visit visit;

    public WeightedFindings(Catalogue catalogue, Evidence evidence, WeighingSettings settings, Visit visit) {
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.settings = settings;
        this.visit = visit;
    }

    public Findings findings(Condition condition, Collection<TestReading> done) {
        List<WeightedFinding> loads = new ArrayList<>();
        List<Unweighed> unweighed = new ArrayList<>();
        visit.clues()
                .forEach((clue, holds) -> evidence.inUse(clue, condition.id())
                        .ifPresent(inUse -> loads.add(load(
                                condition,
                                List.of(),
                                holds,
                                Keyed.at(catalogue.clues(), clue).label() + (holds ? "" : ": no"),
                                inUse))));
        for (TestReading test : done) {
            Optional<ConditionReading> reads = catalogue.test(test.test()).readingFor(condition.id());
            if (reads.isPresent()) {
                finding(condition, test, reads.get(), loads, unweighed);
            }
        }
        return new Findings(loads, unweighed);
    }

    private void finding(
            Condition condition,
            TestReading test,
            ConditionReading reads,
            List<WeightedFinding> loads,
            List<Unweighed> unweighed) {
        Optional<EvidenceInUse> inUse = evidence.inUse(test.test(), condition.id(), visit.schools());
        CriterionId criterion = inUse.map(EvidenceInUse::criterion)
                .orElse(reads.by(visit.schools()).get(0));
        Reading reading = test.reading(condition.id(), criterion);
        Optional<OwnEstimate> own = own(test.test(), condition.id());
        boolean positive = reading.result() == Reading.Result.POSITIVE;
        if (reading.definite() && inUse.isPresent()) {
            loads.add(done(
                    condition, test, load(condition, List.of(test.test()), positive, reading.phrase(), inUse.get())));
        } else if (reading.definite() && own.isPresent()) {
            Weight weight = new Weight.Ratio(
                    positive ? own.get().ifPositive() : own.get().ifNegative(), Weight.Ratio.UNKNOWN_SD);
            loads.add(new WeightedFinding(
                    List.of(test.test()),
                    positive,
                    reading.phrase(),
                    weight,
                    Optional.empty(),
                    Optional.empty(),
                    "the clinic's own estimate, no study",
                    false,
                    false));
        } else if (reading.definite()
                && visit.assumptions().borrowing()
                && reads.by().contains(criterion)
                && (positive || !reads.absenceSaysNothing())) {
            loads.add(done(condition, test, borrowed(condition, test.test(), criterion, positive, reading.phrase())));
        } else if (reading.result() != Reading.Result.NOT_YET_KNOWN) {
            String because = reading.definite()
                    ? evidence.whyNotWeighed(test.test(), condition.id())
                    : "not interpretable: " + reading.phrase();
            unweighed.add(new Unweighed(test.test(), reading.result(), reading.phrase(), because));
        }
    }

    /** What a finding weighs when the test was done in a way that may change how often it is positive. */
    private WeightedFinding done(Condition condition, TestReading test, WeightedFinding load) {
        return test.way()
                .filter(way -> evidence.effect(way, test.test(), condition.id()) == Way.Effect.WIDER)
                .map(way -> {
                    Belief belief =
                            ((Weight.Proportions) load.weight()).belief().widened();
                    String caution = (load.caution().isEmpty() ? "" : load.caution() + "; ") + "less certain, since "
                            + way.reason();
                    return new WeightedFinding(
                            load.tests(),
                            load.positive(),
                            load.phrase(),
                            new Weight.Proportions(belief, load.positive()),
                            load.record(),
                            Optional.of(frequencies(condition, belief, load.positive())),
                            caution,
                            load.worthless(),
                            load.borrowed());
                })
                .orElse(load);
    }

    private Optional<OwnEstimate> own(TestId test, ConditionId condition) {
        return visit.assumptions().estimates().stream()
                .filter(each -> each.test().equals(test) && each.condition().equals(condition))
                .findFirst();
    }

    /** The likelihood ratio of a cluster's highest level, as published; 0 where it has none. */
    public double fullest(Cluster cluster) {
        return ClusterLevels.of(cluster, evidence).stream()
                .max(Comparator.comparingInt(shown -> shown.level().to()))
                .map(shown -> shown.exact().orElse(0))
                .orElse(0.0);
    }

    /** The weight of a cluster whose level is known; empty before that, or where its figures cannot be weighed. */
    public Optional<WeightedFinding> level(ClusterCount count) {
        if (!count.barred().isEmpty()) {
            return Optional.empty();
        }
        return count.level()
                .flatMap(level -> ClusterLevels.figure(count.cluster(), level, evidence)
                        .map(figure -> {
                            String phrase = count.positives().size() + " of " + count.counted() + " positive, so "
                                    + level.name() + " of "
                                    + count.cluster().components().size();
                            return level(count, figure, phrase);
                        }));
    }

    private WeightedFinding level(ClusterCount count, LevelFigure figure, String phrase) {
        String caution = caution(figure.series());
        double published = figure instanceof LevelFigure.Shares shares
                ? shares.belief().likelihoodRatio(shares.positive())
                : ((LevelFigure.RatioOnly) figure).likelihoodRatio();
        double ratio = Math.pow(published, OF_DERIVERS);
        return new WeightedFinding(
                count.tests(),
                ratio >= 1,
                phrase,
                new Weight.Ratio(ratio, Weight.Ratio.UNKNOWN_SD),
                Optional.of(figure.record()),
                Optional.empty(),
                caution,
                false,
                false);
    }

    private WeightedFinding load(
            Condition condition, List<TestId> tests, boolean positive, String phrase, EvidenceInUse inUse) {
        Belief belief = inUse.belief();
        return new WeightedFinding(
                tests,
                positive,
                phrase,
                new Weight.Proportions(belief, positive),
                Optional.of(inUse.record()),
                Optional.of(frequencies(condition, belief, positive)),
                caution(inUse.series()),
                worthless(belief),
                false);
    }

    private WeightedFinding borrowed(
            Condition condition, TestId test, CriterionId criterion, boolean positive, String phrase) {
        Belief belief = evidence.expected(test, criterion, condition.id());
        return new WeightedFinding(
                List.of(test),
                positive,
                phrase,
                new Weight.Proportions(belief, positive),
                Optional.empty(),
                Optional.of(frequencies(condition, belief, positive)),
                "nobody has measured it: weighed like an average test",
                false,
                true);
    }

    /** What an open test would weigh for each of these conditions if it were positive. */
    public Map<ConditionId, WeightedFinding> open(TestId id, Collection<Condition> conditions) {
        Map<ConditionId, WeightedFinding> loads = new LinkedHashMap<>();
        for (Condition condition : conditions) {
            Optional<ConditionReading> reads = catalogue.test(id).readingFor(condition.id());
            if (reads.isPresent()) {
                Optional<EvidenceInUse> inUse = evidence.inUse(id, condition.id(), visit.schools());
                if (inUse.isPresent()) {
                    loads.put(condition.id(), load(condition, List.of(id), true, "", inUse.get()));
                } else if (visit.assumptions().borrowing()
                        && own(id, condition.id()).isEmpty()) {
                    loads.put(
                            condition.id(),
                            borrowed(
                                    condition,
                                    id,
                                    reads.get().by(visit.schools()).get(0),
                                    true,
                                    ""));
                }
            }
        }
        return loads;
    }

    private NaturalFrequencies frequencies(Condition condition, Belief belief, boolean positive) {
        return NaturalFrequencies.of(
                Keyed.at(visit.starts(), condition.id()).chance(),
                belief.sensitivity(),
                belief.specificity(),
                positive);
    }

    private String caution(Series series) {
        return series.cautionIn(visit.setting()) ? series.plainly() : "";
    }

    /** Whether a test tells next to nothing, so that it stands in no group. */
    public boolean worthless(Belief belief) {
        return Math.abs(belief.sensitivity() + belief.specificity() - 1) < settings.worthlessWithin();
    }
}
