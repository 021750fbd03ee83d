package lexicor.core.intake;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A fact about the patient that may lock tests.
 *
 * @param fact id of the fact in the catalogue
 * @param on when it happened; empty where it has no date, or nobody knows
 */
public record LockFinding(String fact, Optional<LocalDate> on) {

    public static LockFinding of(String fact) {
        return new LockFinding(fact, Optional.empty());
    }

    public static LockFinding on(String fact, LocalDate date) {
        return new LockFinding(fact, Optional.of(date));
    }
}
