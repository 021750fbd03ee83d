package lexicor.server.backup;

import java.time.Instant;

/**
 * One try to copy the record.
 *
 * @param file name of the copy in the folder of copies; empty where it failed
 * @param holds what the copy holds, in words
 * @param fault why it failed, in words; empty where it did not
 */
record BackupRun(Instant at, String file, long bytes, String holds, String fault) {

    boolean good() {
        return fault.isEmpty();
    }
}
