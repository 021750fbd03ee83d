package lexicor.server.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalInt;
import lexicor.server.backup.BackupArchive;
import lexicor.server.backup.BackupFault;
import lexicor.server.backup.BackupFolder;
import lexicor.server.database.Schema;
import org.flywaydb.core.api.FlywayException;

/** A record of an older version is copied aside before it is migrated, and put back where that fails. */
public final class Upgrade {

    private static final int FAILED = 8;

    private final Path data;
    private final RecordFile record;
    private final int schema;

    private Upgrade(Path data, RecordFile record, int schema) {
        this.data = data;
        this.record = record;
        this.schema = schema;
    }

    /** The upgrade that a start in this folder means; empty where the record is new, or of this version. */
    public static Optional<Upgrade> of(Path data) {
        RecordFile record = RecordFile.in(data);
        OptionalInt schema = record.schema();
        return schema.isPresent() && schema.getAsInt() < Schema.known()
                ? Optional.of(new Upgrade(data, record, schema.getAsInt()))
                : Optional.empty();
    }

    /**
     * Copies the record into the folder of copies, under a name that the regular ones never replace.
     *
     * @throws BackupFault where it cannot; nothing has been changed then
     */
    public Path copyAside(Instant now) {
        Path copy = BackupFolder.of(data)
                .path()
                .resolve("before-schema-" + Schema.known() + "-" + now.toEpochMilli() + ".zip");
        try (Connection connection = record.connect()) {
            return BackupArchive.write(connection, now, copy, Optional.empty()).file();
        } catch (SQLException fault) {
            throw new BackupFault("The record could not be copied before its upgrade: " + fault.getMessage(), fault);
        }
    }

    /** Whether a start failed while the record was migrated. */
    public static boolean failed(Throwable fault) {
        for (Throwable each = fault; each != null; each = each.getCause()) {
            if (each instanceof FlywayException) {
                return true;
            }
        }
        return false;
    }

    /** Puts the copy in the place of a record whose migration failed, which is kept beside it. */
    public RecordFile.Refusal putBack(Path copy) {
        Path failed = record.file().resolveSibling("lexicor.failed-upgrade-" + schema + "-" + Schema.known());
        try {
            Files.deleteIfExists(failed);
            Files.move(record.file(), failed);
            BackupArchive.restore(copy, data, Optional.empty(), Schema.known());
        } catch (IOException | BackupFault fault) {
            return new RecordFile.Refusal(
                    "The upgrade of the record from schema " + schema + " to " + Schema.known()
                            + " failed, and the record before it lies in " + copy + " (" + fault.getMessage() + ").",
                    FAILED);
        }
        return new RecordFile.Refusal(
                "The upgrade of the record from schema " + schema + " to " + Schema.known()
                        + " failed. The record is again as it was before; start the version that wrote it. What failed is kept as "
                        + failed + ".",
                FAILED);
    }
}
