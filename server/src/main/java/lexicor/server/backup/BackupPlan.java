package lexicor.server.backup;

import java.time.Duration;

/**
 * How often a record is copied by itself.
 *
 * @param everyHours 0 for never
 * @param keep how many of these copies are kept
 */
record BackupPlan(int everyHours, int keep) {

    static final int MOST_HOURS = 24 * 14;
    static final int MOST_KEPT = 100;

    boolean on() {
        return everyHours > 0;
    }

    Duration interval() {
        return Duration.ofHours(everyHours);
    }

    /** Age from which the last copy is too old: two that should have been taken are missing. */
    Duration tooOld() {
        return interval().multipliedBy(2);
    }
}
