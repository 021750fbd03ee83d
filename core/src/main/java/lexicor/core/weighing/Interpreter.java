package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

/** Says in plain sentences what a response means, by the criterion that is weighed for each condition. */
public final class Interpreter {

    private record Key(Statement.Kind kind, String phrase) {
    }

    private final Catalogue catalogue;
    private final Evidence evidence;

    public Interpreter(Catalogue catalogue, Evidence evidence) {
        this.catalogue = catalogue;
        this.evidence = evidence;
    }

    /**
     * The sentences about the conditions that the region ranks, strongest kind first; empty while nothing is known. Each
     * condition stands in one at most.
     */
    public List<Statement> say(String region, Schools schools, TestReading test) {
        List<ConditionId> ranked = catalogue.routine(region).conditions();
        Map<Key, List<Condition>> grouped = new LinkedHashMap<>();
        for (ConditionReading reads : catalogue.test(test.test()).reads()) {
            if (!ranked.contains(reads.condition())) {
                continue;
            }
            Optional<EvidenceInUse> inUse = evidence.inUse(test.test(), reads.condition(), schools);
            CriterionId criterion = inUse.map(EvidenceInUse::criterion).orElse(reads.by().get(0));
            Reading reading = test.reading(reads.condition(), criterion);
            kind(reading, inUse.isPresent()).ifPresent(kind -> grouped.computeIfAbsent(new Key(kind, reading.phrase()), key -> new ArrayList<>())
                    .add(catalogue.condition(reads.condition())));
        }
        return grouped.entrySet().stream().sorted(Map.Entry.comparingByKey((a, b) -> a.kind().compareTo(b.kind())))
                .map(entry -> new Statement(entry.getKey().kind(), entry.getValue(), entry.getKey().phrase())).toList();
    }

    private static Optional<Statement.Kind> kind(Reading reading, boolean weighed) {
        return switch (reading.result()) {
            case POSITIVE -> Optional.of(weighed ? Statement.Kind.FOR : Statement.Kind.NOTED_FOR);
            case NEGATIVE -> Optional.of(weighed ? Statement.Kind.AGAINST : Statement.Kind.NOTED_AGAINST);
            case NOT_INTERPRETABLE -> Optional.of(Statement.Kind.NOT_READ);
            case NOT_YET_KNOWN -> Optional.empty();
        };
    }
}
