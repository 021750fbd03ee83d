package lexicor.core.intake;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.TestId;

/**
 * That a test is locked, and why.
 *
 * @param until the first day on which this reason no longer locks; empty where it locks for as long as it holds
 */
public record LockedTest(TestId test, Lock lock, Lock.Fact fact, Optional<LocalDate> until) {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK);

    /** The reason in a sentence without a full stop. */
    public String why() {
        return fact.label()
                + until.map(date -> ", locked until " + DAY.format(date)).orElse("") + ": " + lock.because();
    }
}
