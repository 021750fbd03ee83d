package lexicor.server.backup;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Instant;
import java.util.List;

/**
 * The copies of the record, for an administrator.
 *
 * @param folder where they lie on the server
 * @param byItself whether the plan is followed: a demo clinic is not copied by itself
 * @param runs the last tries, latest first
 */
record BackupsJson(BackupPlanJson plan, boolean byItself, boolean tooOld, String folder, List<BackupRunJson> runs) {

    /**
     * How often, and how many are kept.
     *
     * @param everyHours 0 for never
     */
    record BackupPlanJson(
            @Min(0) @Max(BackupPlan.MOST_HOURS) int everyHours,
            @Min(1) @Max(BackupPlan.MOST_KEPT) int keep) {}

    /**
     * One try.
     *
     * @param there whether the copy still lies in the folder
     */
    record BackupRunJson(Instant at, String file, long bytes, String holds, String fault, boolean there) {}

    /** Whether the last copy of the record is too old, and when it was taken; without a time there is none. */
    record BackupAgeJson(boolean tooOld, Instant lastAt) {}
}
