package lexicor.server.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import java.util.OptionalInt;
import lexicor.server.backup.BackupFolder;
import lexicor.server.backup.RecordDatabase;
import lexicor.server.database.Schema;
import lexicor.server.disk.DiskRoom;

/** The file that holds a clinic's record, looked at before anything is started that would write to it. */
public final class RecordFile {

    /** Exit code where a newer version is needed. */
    static final int NEWER = 5;

    /** Error codes of H2. */
    private static final int WRONG_KEY = 90049;

    private static final int WRONG_PASSWORD = 28000;

    private final Path data;
    private final Path file;

    private RecordFile(Path data) {
        this.data = data;
        this.file = data.resolve(RecordDatabase.FILE);
    }

    /** The record in a folder, whether or not it is there. */
    public static RecordFile in(Path data) {
        return new RecordFile(data);
    }

    /** Why a server cannot work with a record: what is wrong and what to do, in one line, and the code to exit with. */
    public record Refusal(String line, int exitCode) {

        /**
         * Where a record was written by a newer version than this one.
         *
         * @param called how the line begins: which record it is
         */
        static Optional<Refusal> ofNewer(Connection record, String called) throws SQLException {
            OptionalInt holds = Schema.in(record);
            int knows = Schema.known();
            return holds.isPresent() && holds.getAsInt() > knows
                    ? Optional.of(new Refusal(
                            called + " was written by a newer Lexicor (schema " + holds.getAsInt() + ", this one knows "
                                    + knows + "). Start that version, or a later one.",
                            NEWER))
                    : Optional.empty();
        }
    }

    /** Why a server cannot work with it; empty where it can, or where there is no record yet. */
    public Optional<Refusal> refusal() {
        if (!DiskRoom.isThere(file.toAbsolutePath().getParent())) {
            return Optional.of(new Refusal(
                    "The disk that holds " + file
                            + " is full. The record is as it was. Make room there, then start again.",
                    7));
        }
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            if (Files.size(file) == 0) {
                return Optional.of(new Refusal(
                        file + " is empty, so the clinic's record is not in it. Take the empty file away. "
                                + bringBack(),
                        4));
            }
            if (!Files.isReadable(file) || !Files.isWritable(file)) {
                return Optional.of(
                        new Refusal(file + " cannot be read and written by this user. Give it the right to.", 6));
            }
        } catch (IOException unreadable) {
            return Optional.of(new Refusal(file + " cannot be looked at: " + unreadable.getMessage() + ".", 6));
        }
        try (Connection connection = connect()) {
            return Refusal.ofNewer(connection, file.toString());
        } catch (SQLException fault) {
            return Optional.of(refused(fault));
        }
    }

    private Refusal refused(SQLException fault) {
        return switch (fault.getErrorCode()) {
            case RecordDatabase.IN_USE ->
                new Refusal(
                        file
                                + " is in use by another server. Stop that one, or start this one with another folder (--data DIR).",
                        3);
            case WRONG_KEY, WRONG_PASSWORD ->
                new Refusal(file + " is locked by a password that this server does not have.", 6);
            default ->
                new Refusal(
                        file + " is damaged and cannot be opened (" + fault.getErrorCode()
                                + "). Move it aside and keep it. " + bringBack(),
                        4);
        };
    }

    /** How the last copy is brought back. */
    private String bringBack() {
        Path folder = data.toAbsolutePath();
        BackupFolder backups = BackupFolder.of(folder);
        return backups.copies().stream()
                .findFirst()
                .map(copy -> "The last backup is " + copy + "; bring it back with: ./lexicor restore " + copy
                        + " --data " + folder)
                .orElse("There is no backup in " + backups.path()
                        + "; bring back the last backup that you have elsewhere with: ./lexicor restore FILE --data "
                        + folder);
    }

    /** Number of the last migration that the record has gone through; empty where there is none, or no record. */
    public OptionalInt schema() {
        if (!Files.exists(file)) {
            return OptionalInt.empty();
        }
        try (Connection connection = connect()) {
            return Schema.in(connection);
        } catch (SQLException fault) {
            return OptionalInt.empty();
        }
    }

    Connection connect() throws SQLException {
        return RecordDatabase.open(data);
    }

    Path file() {
        return file;
    }
}
