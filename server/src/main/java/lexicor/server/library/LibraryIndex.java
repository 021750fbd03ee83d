package lexicor.server.library;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.SharedName;
import lexicor.core.catalogue.Stage;
import lexicor.core.evidence.Evidence;
import lexicor.core.lookup.Keyed;
import lexicor.server.evidence.LivingEvidence;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Makes the short list of everything in the library, anew when the ledger or the review of a card changes. */
@Component
class LibraryIndex {

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final CardReviews reviews;
    private volatile @Nullable Made made;

    /** The list as it was made after so many reviews by a revision of the evidence. */
    private record Made(long reviews, String evidence, LibraryJson all) {}

    LibraryIndex(Catalogue catalogue, LivingEvidence living, CardReviews reviews) {
        this.catalogue = catalogue;
        this.living = living;
        this.reviews = reviews;
    }

    LibraryJson all() {
        long last = reviews.last();
        Evidence evidence = living.evidence();
        Made known = made;
        if (known == null || known.reviews() != last || !known.evidence().equals(evidence.revision())) {
            known = new Made(last, evidence.revision(), list(evidence));
            made = known;
        }
        return known.all();
    }

    private LibraryJson list(Evidence evidence) {
        Map<String, CardState> states = reviews.states(catalogue.tests());
        return new LibraryJson(
                catalogue.revision(),
                Stream.of(Stage.values()).map(Stage::title).toList(),
                catalogue.tests().values().stream()
                        .map(test ->
                                test(test, evidence, Keyed.at(states, test.id().value())))
                        .toList(),
                catalogue.conditions().values().stream()
                        .map(condition -> condition(condition, evidence))
                        .toList(),
                catalogue.clusters().stream().map(this::cluster).toList(),
                catalogue.sharedNames().stream().map(this::sharedName).toList());
    }

    LibraryJson.SharedNameJson sharedName(SharedName name) {
        return new LibraryJson.SharedNameJson(
                name.name(),
                name.meant().stream()
                        .map(meant -> new LibraryJson.MeantJson(
                                meant.test().value(),
                                catalogue.test(meant.test()).name(),
                                meant.how()))
                        .toList());
    }

    static Map<String, Double> start(Condition condition) {
        Map<String, Double> start = new LinkedHashMap<>();
        for (CareSetting setting : CareSetting.values()) {
            start.put(setting.name(), condition.start().get(setting));
        }
        return start;
    }

    private LibraryJson.TestLine test(ExaminationTest test, Evidence evidence, CardState state) {
        List<String> weighedFor = test.reads().stream()
                .filter(reads -> evidence.inUse(test.id(), reads.condition()).isPresent())
                .map(reads -> reads.condition().value())
                .toList();
        return new LibraryJson.TestLine(
                test.id().value(),
                test.name(),
                test.shortName(),
                test.names().usual().orElse(null),
                test.aliases(),
                test.names().misspelt(),
                test.region(),
                test.stage().title(),
                test.positions(),
                test.conduct().structures(),
                test.seconds(),
                test.provocation(),
                state,
                test.reads().stream()
                        .map(ConditionReading::condition)
                        .map(condition -> condition.value())
                        .toList(),
                weighedFor);
    }

    private LibraryJson.ConditionLine condition(Condition condition, Evidence evidence) {
        List<ExaminationTest> tests = catalogue.tests().values().stream()
                .filter(test -> test.readingFor(condition.id()).isPresent())
                .toList();
        long weighed = tests.stream()
                .filter(test -> evidence.inUse(test.id(), condition.id()).isPresent())
                .count();
        return new LibraryJson.ConditionLine(
                condition.id().value(),
                condition.name(),
                condition.shortName(),
                condition.region(),
                condition.scope(),
                start(condition),
                condition.serious().orElse(null),
                tests.size(),
                (int) weighed);
    }

    private LibraryJson.ClusterLine cluster(Cluster cluster) {
        return new LibraryJson.ClusterLine(
                cluster.id().value(),
                cluster.name(),
                cluster.condition().value(),
                catalogue.condition(cluster.condition()).name(),
                cluster.components().stream().map(Cluster.Component::name).toList());
    }
}
