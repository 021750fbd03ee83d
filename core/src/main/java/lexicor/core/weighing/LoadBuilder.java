package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.ClusterLevels;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.evidence.LevelFigure;
import lexicor.core.evidence.Series;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/** Turns readings into weights, or into findings on the table with the reason why they are not weighed. */
final class LoadBuilder {

    /** What was found for one condition. */
    record Findings(List<Load> loads, List<Unweighed> unweighed) {
    }

    private final Catalogue catalogue;
    private final Evidence evidence;
    private final WeighingSettings settings;
    private final Visit visit;

    LoadBuilder(Catalogue catalogue, Evidence evidence, WeighingSettings settings, Visit visit) {
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.settings = settings;
        this.visit = visit;
    }

    Findings findings(Condition condition, Collection<TestReading> done) {
        List<Load> loads = new ArrayList<>();
        List<Unweighed> unweighed = new ArrayList<>();
        visit.clues().forEach((clue, holds) -> evidence.inUse(clue, condition.id())
                .ifPresent(inUse -> loads.add(load(condition, List.of(), holds, catalogue.clues().get(clue).label() + (holds ? "" : ": no"), inUse))));
        for (TestReading test : done) {
            Optional<ConditionReading> reads = catalogue.test(test.test()).readingFor(condition.id());
            if (reads.isPresent()) {
                finding(condition, test, reads.get(), loads, unweighed);
            }
        }
        return new Findings(loads, unweighed);
    }

    private void finding(Condition condition, TestReading test, ConditionReading reads, List<Load> loads, List<Unweighed> unweighed) {
        Optional<EvidenceInUse> inUse = evidence.inUse(test.test(), condition.id(), visit.schools());
        CriterionId criterion = inUse.map(EvidenceInUse::criterion).orElse(reads.by(visit.schools()).get(0));
        Reading reading = test.reading(condition.id(), criterion);
        Optional<OwnEstimate> own = own(test.test(), condition.id());
        boolean positive = reading.result() == Reading.Result.POSITIVE;
        if (reading.definite() && inUse.isPresent()) {
            loads.add(load(condition, List.of(test.test()), positive, reading.phrase(), inUse.get()));
        } else if (reading.definite() && own.isPresent()) {
            Weight weight = new Weight.Ratio(positive ? own.get().ifPositive() : own.get().ifNegative(), Weight.Ratio.UNKNOWN_SD);
            loads.add(new Load(List.of(test.test()), positive, reading.phrase(), weight, Optional.empty(), Optional.empty(), "the clinic's own estimate, no study", false));
        } else if (reading.result() != Reading.Result.NOT_YET_KNOWN) {
            String because = reading.definite() ? evidence.whyNotWeighed(test.test(), condition.id()) : "not interpretable: " + reading.phrase();
            unweighed.add(new Unweighed(test.test(), reading.result(), reading.phrase(), because));
        }
    }

    private Optional<OwnEstimate> own(TestId test, ConditionId condition) {
        return visit.assumptions().estimates().stream().filter(each -> each.test().equals(test) && each.condition().equals(condition)).findFirst();
    }

    /** The weight of a cluster whose level is known; empty before that, or where its figures cannot be weighed. */
    Optional<Load> level(Condition condition, ClusterCount count) {
        if (!count.barred().isEmpty()) {
            return Optional.empty();
        }
        return count.level().flatMap(level -> ClusterLevels.figure(count.cluster(), level, evidence).map(figure -> {
            String phrase = count.positives().size() + " of " + count.counted() + " positive, so " + level.name() + " of " + count.cluster().components().size();
            return level(condition, count, level, figure, phrase);
        }));
    }

    private Load level(Condition condition, ClusterCount count, Cluster.Level level, LevelFigure figure, String phrase) {
        String caution = caution(figure.series());
        if (figure instanceof LevelFigure.Shares shares) {
            Belief belief = shares.belief();
            boolean speaksFor = belief.likelihoodRatio(shares.positive()) >= 1;
            return new Load(count.tests(), speaksFor, phrase, new Weight.Proportions(belief, shares.positive()), Optional.of(figure.record()),
                    Optional.of(frequencies(condition, belief, shares.positive())), caution, false);
        }
        double ratio = ((LevelFigure.RatioOnly) figure).likelihoodRatio();
        return new Load(count.tests(), ratio >= 1, phrase, new Weight.Ratio(ratio, Weight.Ratio.UNKNOWN_SD), Optional.of(figure.record()), Optional.empty(), caution, false);
    }

    private Load load(Condition condition, List<TestId> tests, boolean positive, String phrase, EvidenceInUse inUse) {
        Belief belief = inUse.belief();
        return new Load(tests, positive, phrase, new Weight.Proportions(belief, positive), Optional.of(inUse.record()),
                Optional.of(frequencies(condition, belief, positive)), caution(inUse.series()), worthless(belief));
    }

    private NaturalFrequencies frequencies(Condition condition, Belief belief, boolean positive) {
        return NaturalFrequencies.of(visit.starts().get(condition.id()).chance(), belief.sensitivity(), belief.specificity(), positive);
    }

    private String caution(Series series) {
        return series.cautionIn(visit.setting()) ? series.plainly() : "";
    }

    /** Whether a test tells next to nothing, so that it stands in no group. */
    boolean worthless(Belief belief) {
        return Math.abs(belief.sensitivity() + belief.specificity() - 1) < settings.worthlessWithin();
    }
}
