package lexicor.core.outcomes;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import lexicor.core.catalogue.ConditionId;

/**
 * What the reference results of one complaint come to. A condition that is present makes every wider one present; one
 * that is absent makes every narrower one absent. A condition of which results say both counts for neither.
 */
public final class Truths {

    private final Set<ConditionId> present = new HashSet<>();
    private final Set<ConditionId> absent = new HashSet<>();

    private Truths() {}

    /**
     * @param widerThan the wider conditions of a condition
     * @param all every condition that may be told of
     */
    public static Truths of(
            List<ReferenceResult> results,
            Function<ConditionId, List<ConditionId>> widerThan,
            Collection<ConditionId> all) {
        Truths truths = new Truths();
        for (ReferenceResult result : results) {
            ConditionId condition = result.condition();
            switch (result.truth()) {
                case PRESENT -> {
                    truths.present.add(condition);
                    truths.present.addAll(widerThan.apply(condition));
                }
                case ABSENT -> {
                    truths.absent.add(condition);
                    all.stream()
                            .filter(each -> widerThan.apply(each).contains(condition))
                            .forEach(truths.absent::add);
                }
                case UNCLEAR -> {
                    // says nothing either way
                }
            }
        }
        return truths;
    }

    /** Whether a condition was there; empty where nothing says so, or results contradict each other. */
    public Optional<Boolean> of(ConditionId condition) {
        boolean there = present.contains(condition);
        return there == absent.contains(condition) ? Optional.empty() : Optional.of(there);
    }

    /** Conditions of which results say both. */
    public Set<ConditionId> contradicted() {
        Set<ConditionId> both = new TreeSet<>((one, other) -> one.value().compareTo(other.value()));
        both.addAll(present);
        both.retainAll(absent);
        return both;
    }
}
