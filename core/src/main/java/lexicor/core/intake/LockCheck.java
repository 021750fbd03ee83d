package lexicor.core.intake;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.TestId;

/** Which tests must not be done today, and why. */
public final class LockCheck {

    private final Catalogue catalogue;

    public LockCheck(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /**
     * Every reason by test. A fact with a window locks from its date for that many weeks; without a date it locks,
     * since nobody knows that the window is over.
     *
     * @param today the day of the examination
     * @throws IllegalArgumentException if a fact is not known or lies after today
     */
    public Map<TestId, List<LockedTest>> locked(List<LockFinding> findings, LocalDate today) {
        Map<TestId, List<LockedTest>> locked = new LinkedHashMap<>();
        for (LockFinding finding : findings) {
            Lock lock = lockOf(finding.fact());
            Lock.Fact fact = lock.facts().stream()
                    .filter(each -> each.id().equals(finding.fact()))
                    .findFirst()
                    .orElseThrow();
            finding.on().filter(date -> date.isAfter(today)).ifPresent(date -> {
                throw new IllegalArgumentException(finding.fact() + " is on " + date + "; allowed: up to " + today);
            });
            Optional<LocalDate> until = fact.until(finding.on());
            if (!fact.lapsed(finding.on(), today)) {
                lock.tests().forEach(test -> add(locked, new LockedTest(test, lock, fact, until)));
            }
        }
        outOfPosition(findings).forEach(each -> add(locked, each));
        return locked;
    }

    private static void add(Map<TestId, List<LockedTest>> locked, LockedTest test) {
        locked.computeIfAbsent(test.test(), id -> new ArrayList<>()).add(test);
    }

    /** Positions that a patient cannot take, by what was told. */
    public static Set<String> positionsOut(Catalogue catalogue, List<LockFinding> findings) {
        return findings.stream()
                .flatMap(finding -> catalogue.locks().stream()
                        .flatMap(lock -> lock.facts().stream())
                        .filter(fact -> fact.id().equals(finding.fact())))
                .flatMap(fact -> fact.positions().stream())
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Tests that can be done in no position that is left, for each fact that takes one of theirs away. */
    private List<LockedTest> outOfPosition(List<LockFinding> findings) {
        Set<String> out = positionsOut(catalogue, findings);
        return catalogue.tests().values().stream()
                .filter(test -> out.containsAll(test.positions()))
                .flatMap(test -> findings.stream().flatMap(finding -> {
                    Lock lock = lockOf(finding.fact());
                    return lock.facts().stream()
                            .filter(fact -> fact.id().equals(finding.fact())
                                    && !Collections.disjoint(fact.positions(), test.positions()))
                            .map(fact -> new LockedTest(test.id(), lock, fact, Optional.empty()));
                }))
                .toList();
    }

    private Lock lockOf(String fact) {
        return catalogue.locks().stream()
                .filter(lock -> lock.facts().stream().anyMatch(each -> each.id().equals(fact)))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("fact '" + fact + "' locks nothing; allowed: "
                        + catalogue.locks().stream()
                                .flatMap(lock -> lock.facts().stream())
                                .map(Lock.Fact::id)
                                .toList()));
    }
}
