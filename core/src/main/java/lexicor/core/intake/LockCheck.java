package lexicor.core.intake;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
                lock.tests()
                        .forEach(test -> locked.computeIfAbsent(test, id -> new ArrayList<>())
                                .add(new LockedTest(test, lock, fact, until)));
            }
        }
        return locked;
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
