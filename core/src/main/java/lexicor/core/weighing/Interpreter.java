package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.WeighedGroup;

/** Says in plain sentences what a response means, by the criterion that is weighed for each condition. */
public final class Interpreter {

    /** Decibans from which a finding tells anything: a ratio of 1.05. */
    private static final double TELLS = 0.21;

    private record Key(Statement.Kind kind, String phrase) {}

    private final Catalogue catalogue;
    private final Evidence evidence;

    public Interpreter(Catalogue catalogue, Evidence evidence) {
        this.catalogue = catalogue;
        this.evidence = evidence;
    }

    /**
     * The sentences about the conditions that the region ranks, strongest kind first; empty while nothing is known.
     * Each condition stands in one at most.
     */
    public List<Statement> say(String region, Schools schools, TestReading test) {
        return say(Set.copyOf(catalogue.routine(region).conditions()), schools, test, condition -> Optional.empty());
    }

    /** The same, where each sentence says what the test does beside everything else that was found. */
    public List<Statement> say(String region, Schools schools, TestReading test, Ranking ranking) {
        Set<ConditionId> ranked = new HashSet<>(catalogue.routine(region).conditions());
        ranking.standings().forEach(standing -> ranked.add(standing.condition().id()));
        return say(
                ranked,
                schools,
                test,
                condition -> ranking.standings().stream()
                        .filter(standing -> standing.condition().id().equals(condition))
                        .findFirst()
                        .flatMap(standing -> standing.part(test.test())));
    }

    private List<Statement> say(
            Set<ConditionId> ranked,
            Schools schools,
            TestReading test,
            Function<ConditionId, Optional<WeighedGroup.Member>> parts) {
        Map<Key, List<Condition>> grouped = new LinkedHashMap<>();
        for (ConditionReading reads : catalogue.test(test.test()).reads()) {
            if (!ranked.contains(reads.condition())) {
                continue;
            }
            Optional<EvidenceInUse> inUse = evidence.inUse(test.test(), reads.condition(), schools);
            CriterionId criterion =
                    inUse.map(EvidenceInUse::criterion).orElse(reads.by().get(0));
            Reading reading = test.reading(reads.condition(), criterion);
            kind(reading, inUse.isPresent(), parts.apply(reads.condition()))
                    .ifPresent(
                            kind -> grouped.computeIfAbsent(new Key(kind, reading.phrase()), key -> new ArrayList<>())
                                    .add(catalogue.condition(reads.condition())));
        }
        return grouped.entrySet().stream()
                .sorted(Map.Entry.comparingByKey((a, b) -> a.kind().compareTo(b.kind())))
                .map(entry -> new Statement(
                        entry.getKey().kind(), entry.getValue(), entry.getKey().phrase()))
                .toList();
    }

    private static Optional<Statement.Kind> kind(Reading reading, boolean weighed, Optional<WeighedGroup.Member> part) {
        if (reading.definite() && part.isPresent()) {
            return Optional.of(kind(part.get(), reading.result() == Reading.Result.POSITIVE));
        }
        return switch (reading.result()) {
            case POSITIVE -> Optional.of(weighed ? Statement.Kind.FOR : Statement.Kind.NOTED_FOR);
            case NEGATIVE -> Optional.of(weighed ? Statement.Kind.AGAINST : Statement.Kind.NOTED_AGAINST);
            case NOT_INTERPRETABLE -> Optional.of(Statement.Kind.NOT_READ);
            case NOT_YET_KNOWN -> Optional.empty();
        };
    }

    /** By what it moves beside everything else: the sentence never says the opposite of what the chance does. */
    private static Statement.Kind kind(WeighedGroup.Member part, boolean positive) {
        double with = positive ? part.decibans() : -part.decibans();
        if (with >= TELLS) {
            return part.load().borrowed()
                    ? positive ? Statement.Kind.BORROWED_FOR : Statement.Kind.BORROWED_AGAINST
                    : positive ? Statement.Kind.FOR : Statement.Kind.AGAINST;
        }
        return Math.abs(part.load().decibans()) < TELLS ? Statement.Kind.HARDLY : Statement.Kind.NOTHING_BESIDE;
    }
}
