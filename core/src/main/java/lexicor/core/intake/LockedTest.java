package lexicor.core.intake;

import java.time.LocalDate;
import java.util.Optional;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.TestId;

/**
 * That a test is locked, and why.
 *
 * @param until the first day on which this reason no longer locks; empty where it locks for as long as it holds
 */
public record LockedTest(TestId test, Lock lock, Lock.Fact fact, Optional<LocalDate> until) {

    /** The reason in a sentence without a full stop. */
    public String why() {
        return fact.label() + until.map(date -> ", locked until " + date).orElse("") + ": " + lock.because();
    }
}
