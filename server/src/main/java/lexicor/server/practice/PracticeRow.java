package lexicor.server.practice;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * A practice case as it is kept.
 *
 * @param owner sign-in name of who practises
 * @param written the case as a file
 * @param series from which it was begun, with its place there; empty where it was begun by itself
 * @param review what it came to, as JSON; empty until it is ended
 */
record PracticeRow(
        UUID id,
        String owner,
        String written,
        String title,
        String region,
        LocalDate day,
        Showing showing,
        String evidence,
        Instant begunAt,
        Optional<Instant> endedAt,
        Optional<UUID> series,
        OptionalInt place,
        Optional<String> review) {

    /** When the weighing is shown beside one's own chances. */
    enum Showing {
        /** After each answer, once own chances were put on it. */
        AS_I_GO,
        /** When the examination is ended. */
        AT_END
    }
}
