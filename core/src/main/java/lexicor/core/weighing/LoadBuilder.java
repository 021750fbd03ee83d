package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceInUse;
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
                Optional<EvidenceInUse> inUse = evidence.inUse(test.test(), condition.id(), visit.schools());
                CriterionId criterion = inUse.map(EvidenceInUse::criterion).orElse(reads.get().by().get(0));
                Reading reading = test.reading(condition.id(), criterion);
                if (reading.definite() && inUse.isPresent()) {
                    loads.add(load(condition, List.of(test.test()), reading.result() == Reading.Result.POSITIVE, reading.phrase(), inUse.get()));
                } else if (reading.result() != Reading.Result.NOT_YET_KNOWN) {
                    String because = reading.definite() ? evidence.whyNotWeighed(test.test(), condition.id()) : "not interpretable: " + reading.phrase();
                    unweighed.add(new Unweighed(test.test(), reading.result(), reading.phrase(), because));
                }
            }
        }
        return new Findings(loads, unweighed);
    }

    /** The weight of a cluster whose level is known; empty before that, or where its figures cannot be weighed. */
    Optional<Load> level(Condition condition, ClusterCount count) {
        return count.level().flatMap(level -> evidence.inUse(level).map(inUse -> {
            List<TestId> tests = Stream.concat(count.positives().stream(), count.negatives().stream()).toList();
            String phrase = count.positives().size() + " of " + count.counted() + " positive, so " + level.name() + " of " + count.cluster().components().size();
            return load(condition, tests, level.direction() == Cluster.Direction.POSITIVE, phrase, inUse);
        }));
    }

    private Load load(Condition condition, List<TestId> tests, boolean positive, String phrase, EvidenceInUse inUse) {
        Belief belief = inUse.belief();
        double start = visit.starts().get(condition.id()).chance();
        String caution = inUse.series().cautionIn(visit.setting()) ? inUse.series().plainly() : "";
        boolean worthless = Math.abs(belief.sensitivity() + belief.specificity() - 1) < settings.worthlessWithin();
        return new Load(tests, positive, phrase, belief.likelihoodRatio(positive), inUse,
                NaturalFrequencies.of(start, belief.sensitivity(), belief.specificity(), positive), caution, worthless);
    }
}
