package lexicor.core.intake;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.story.HeardStory;

/**
 * Where an intake stands: what follows from everything told so far.
 *
 * @param clues clues that were asked, and whether each holds
 * @param zones ids of the zones that are open; none while nobody chose one
 * @param inZone conditions that start at their full estimate
 * @param screen the red flags
 * @param locked locked tests with every reason
 * @param overrides locked tests that are done all the same, with who decided so and why
 * @param own chances that the therapist set
 * @param width how sure the therapist is of the starts
 * @param schools schools that this examination changes, by question
 * @param story what was told, as the starts ask for it
 * @param assumed loads taken from the occupation, since nobody was asked about loads
 * @param faults answers that contradict each other or cannot be; they are kept as they were given
 */
public record IntakeState(
        Map<String, Boolean> clues,
        Set<String> zones,
        Set<ConditionId> inZone,
        SafetyScreen screen,
        List<LockFinding> facts,
        Map<TestId, List<LockedTest>> locked,
        Map<TestId, Override> overrides,
        Map<ConditionId, Double> own,
        StartingOdds.Width width,
        Map<String, String> schools,
        HeardStory story,
        Set<String> assumed,
        List<Fault> faults) {

    /** A decision against a lock, kept with the record. */
    public record Override(String by, Instant at, String reason) {}

    /** What is wrong with an answer, and what is allowed. */
    public record Fault(String question, String message) {}

    /** Ids of the clues that hold. */
    public Set<String> cluesThatHold() {
        return clues.entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .collect(java.util.stream.Collectors.toUnmodifiableSet());
    }

    /** Whether something is known for which only the most valuable tests are to be done. */
    public boolean sparing(Catalogue catalogue) {
        return catalogue.locks().stream()
                .filter(Lock::sparing)
                .flatMap(lock -> lock.facts().stream())
                .anyMatch(fact -> facts.stream().anyMatch(known -> known.fact().equals(fact.id())));
    }

    /** Positions that the patient cannot take. */
    public Set<String> positionsOut(Catalogue catalogue) {
        return LockCheck.positionsOut(catalogue, facts);
    }

    /** Whether a test is locked and nobody decided otherwise. */
    public boolean closed(TestId test) {
        return locked.containsKey(test) && !overrides.containsKey(test);
    }

    /** The clinic's schools with the choices of this examination in their place. */
    public Schools schools(Schools clinic) {
        Schools changed = clinic;
        for (Map.Entry<String, String> choice : schools.entrySet()) {
            changed = changed.with(choice.getKey(), choice.getValue());
        }
        return changed;
    }
}
