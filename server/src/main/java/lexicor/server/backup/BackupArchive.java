package lexicor.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.DigestInputStream;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import lexicor.core.source.Fingerprint;
import lexicor.server.database.CopyFault;
import lexicor.server.database.RecordCopy;
import lexicor.server.database.Schema;
import net.lingala.zip4j.ZipFile;
import net.lingala.zip4j.exception.ZipException;
import net.lingala.zip4j.model.FileHeader;
import net.lingala.zip4j.model.ZipParameters;
import net.lingala.zip4j.model.enums.AesKeyStrength;
import net.lingala.zip4j.model.enums.EncryptionMethod;
import org.springframework.util.FileSystemUtils;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A copy of a record in one file: a ZIP archive of the database and of a manifest that says when it was taken, what it
 * holds and what it sums up to; under a passphrase both are encrypted (AES-256, as common ZIP programs read it).
 */
public final class BackupArchive {

    /** Begins the name of a folder in which a copy is being made. */
    static final String WORKING = "lexicor-copying-";

    static final String MANIFEST = "manifest.json";

    /** Number of this form of archive. */
    static final int FORMAT = 1;

    /** Bytes of a manifest at most. */
    private static final long MOST_MANIFEST = 64 * 1024;

    /** Bytes of a record at most: 64 GB. */
    private static final long MOST_RECORD = 64L * 1024 * 1024 * 1024;

    private static final int CHUNK = 64 * 1024;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private BackupArchive() {}

    /**
     * What a copy is.
     *
     * @param sha256 of the database, hexadecimal
     */
    public record Manifest(int format, Instant takenAt, String sha256, Contents contents) {}

    /**
     * A copy that was written and read back.
     *
     * @param bytes of the file
     */
    public record Taken(Path file, long bytes, Manifest manifest) {}

    /**
     * Copies a record while others work with it, as it stands at one moment, and reads the copy back. Until that has
     * succeeded nothing bears the name of the file.
     *
     * @throws BackupFault where the copy cannot be written or does not read back as what was copied
     */
    public static Taken write(Connection record, Instant at, Path file, Optional<char[]> passphrase) {
        return inFolderBeside(file, work -> {
            try {
                if (Schema.of(record) == Schema.H2) {
                    copyFile(record, work);
                } else {
                    copyRows(record, work);
                }
            } catch (SQLException | CopyFault fault) {
                throw new BackupFault("The record could not be copied: " + fault.getMessage(), fault);
            }
            Path database = work.resolve(RecordDatabase.FILE);
            return pack(work, new Manifest(FORMAT, at, sum(database), contents(work)), file, passphrase);
        });
    }

    /** The embedded database copies its own file. */
    private static void copyFile(Connection record, Path work) throws SQLException, IOException {
        Path copied = work.resolve("copied.zip");
        try (PreparedStatement backup = record.prepareStatement("backup to ?")) {
            backup.setString(1, copied.toString());
            backup.execute();
        }
        try (ZipFile zip = new ZipFile(copied.toFile())) {
            FileHeader database = zip.getFileHeaders().stream()
                    .filter(each -> each.getFileName().endsWith(".mv.db"))
                    .findFirst()
                    .orElseThrow(() -> new BackupFault("The database copied nothing."));
            extract(zip, database, work.resolve(RecordDatabase.FILE), MOST_RECORD);
        }
        Files.delete(copied);
    }

    /** Of a server database the copy is made row by row, in a file of the embedded one. */
    private static void copyRows(Connection record, Path work) throws SQLException {
        try (Connection copy = RecordDatabase.make(work)) {
            RecordCopy.copy(record, copy);
        }
    }

    /** Puts a copy into another file, encrypted where there is a passphrase, as {@link #write} does with a record. */
    static Taken repack(Path copy, Path file, Optional<char[]> passphrase) {
        return inFolderBeside(
                file, work -> pack(work, open(copy, Optional.empty(), work).manifest(), file, passphrase));
    }

    /** Packs the database that lies in a folder, and reads the archive back. */
    private static Taken pack(Path work, Manifest manifest, Path file, Optional<char[]> passphrase) throws IOException {
        Files.writeString(
                work.resolve(MANIFEST), JSON.writerWithDefaultPrettyPrinter().writeValueAsString(manifest));
        Path packed = work.resolve("packed.zip");
        ZipParameters how = new ZipParameters();
        passphrase.ifPresent(secret -> {
            how.setEncryptFiles(true);
            how.setEncryptionMethod(EncryptionMethod.AES);
            how.setAesKeyStrength(AesKeyStrength.KEY_STRENGTH_256);
        });
        try (ZipFile zip = new ZipFile(packed.toFile(), passphrase.orElse(null))) {
            zip.addFile(work.resolve(RecordDatabase.FILE).toFile(), how);
            zip.addFile(work.resolve(MANIFEST).toFile(), how);
        }
        try (FileChannel written = FileChannel.open(packed, StandardOpenOption.WRITE)) {
            written.force(true);
        }
        Path again = Files.createDirectory(work.resolve("again"));
        Manifest read = open(packed, passphrase, again).manifest();
        if (!read.equals(manifest)) {
            throw new BackupFault("The copy does not read back as what was copied. Check the disk.");
        }
        moveInto(packed, file);
        return new Taken(file, Files.size(file), manifest);
    }

    /** A copy that was unpacked and checked: its database lies in a folder. */
    record Opened(Path record, Manifest manifest) {}

    /**
     * Unpacks a copy into a folder and checks it: what the manifest says is there, and the database opens.
     *
     * @throws BackupFault that says what is wrong with the file
     */
    static Opened open(Path file, Optional<char[]> passphrase, Path into) {
        if (!Files.isRegularFile(file)) {
            throw new BackupFault("There is no file " + file + ".");
        }
        try (ZipFile zip = new ZipFile(file.toFile(), passphrase.orElse(null))) {
            if (!zip.isValidZipFile()) {
                throw new BackupFault(file + " is no copy of a record, or was cut: it is not a whole ZIP archive.");
            }
            List<FileHeader> headers = zip.getFileHeaders();
            List<String> names =
                    headers.stream().map(FileHeader::getFileName).sorted().toList();
            if (!names.equals(List.of(RecordDatabase.FILE, MANIFEST))) {
                throw new BackupFault(file + " is no copy of a record: it holds " + names.size()
                        + (names.size() == 1 ? " file" : " files") + "; allowed: " + RecordDatabase.FILE + " and "
                        + MANIFEST + ".");
            }
            if (headers.stream().anyMatch(FileHeader::isEncrypted) && passphrase.isEmpty()) {
                throw new BackupFault(
                        file + " is encrypted: name the file that holds its passphrase" + " (--passphrase-file FILE).");
            }
            extract(zip, zip.getFileHeader(MANIFEST), into.resolve(MANIFEST), MOST_MANIFEST);
            Manifest manifest = manifest(into.resolve(MANIFEST), file);
            extract(zip, zip.getFileHeader(RecordDatabase.FILE), into.resolve(RecordDatabase.FILE), MOST_RECORD);
            check(file, into, manifest);
            return new Opened(into.resolve(RecordDatabase.FILE), manifest);
        } catch (ZipException fault) {
            throw switch (fault.getType()) {
                case WRONG_PASSWORD -> new BackupFault("The passphrase is not the one of " + file + ".", fault);
                default -> new BackupFault(file + " cannot be unpacked: " + fault.getMessage() + ".", fault);
            };
        } catch (IOException fault) {
            throw new BackupFault(file + " cannot be read: " + fault.getMessage() + ".", fault);
        }
    }

    private static Manifest manifest(Path unpacked, Path file) throws IOException {
        try {
            Manifest manifest = JSON.readValue(Files.readString(unpacked), Manifest.class);
            if (manifest.format() > FORMAT) {
                throw new BackupFault(file + " was written by a newer Lexicor (form " + manifest.format()
                        + ", this one knows " + FORMAT + "). Use that version.");
            }
            return manifest;
        } catch (JacksonException fault) {
            throw new BackupFault(file + " is no copy of a record: its manifest cannot be read.", fault);
        }
    }

    private static void check(Path file, Path folder, Manifest manifest) throws IOException {
        if (!sum(folder.resolve(RecordDatabase.FILE)).equals(manifest.sha256())) {
            throw new BackupFault(file + " is damaged: its database is not the one that was copied.");
        }
        Contents found = contents(folder);
        if (!found.equals(manifest.contents())) {
            throw new BackupFault(file + " is damaged: it holds " + found.words() + " instead of "
                    + manifest.contents().words() + ".");
        }
    }

    /** Unpacks and checks a copy, and forgets it again. */
    public static Manifest verify(Path file, Optional<char[]> passphrase) {
        try {
            Path work = Files.createTempDirectory("lexicor-verify");
            try {
                return open(file, passphrase, work).manifest();
            } finally {
                FileSystemUtils.deleteRecursively(work);
            }
        } catch (IOException fault) {
            throw new BackupFault("There is no room to unpack the copy: " + fault.getMessage() + ".", fault);
        }
    }

    /**
     * Brings a copy back into a folder that has no record. The record appears there whole or not at all.
     *
     * @param knows number of the last migration that this program brings; a record of a later one is refused
     */
    public static Manifest restore(Path file, Path folder, Optional<char[]> passphrase, int knows) {
        Path place = folder.resolve(RecordDatabase.FILE);
        if (Files.exists(place)) {
            throw new BackupFault(place + " is there already, and nothing was changed. Restore into an empty folder,"
                    + " or move that file aside first.");
        }
        return inFolderBeside(place, work -> {
            Opened opened = open(file, passphrase, work);
            if (opened.manifest().contents().schema() > knows) {
                throw new BackupFault(file + " was written by a newer Lexicor (schema "
                        + opened.manifest().contents().schema() + ", this one knows " + knows
                        + "). Start that version, or a later one.");
            }
            moveInto(opened.record(), place);
            return opened.manifest();
        });
    }

    /** What the record of a folder holds, by opening it for reading. */
    private static Contents contents(Path folder) {
        try (Connection copy = RecordDatabase.openToRead(folder)) {
            return Contents.of(copy);
        } catch (SQLException fault) {
            throw new BackupFault("The copied database does not open: " + fault.getMessage(), fault);
        }
    }

    private static String sum(Path file) throws IOException {
        try (DigestInputStream bytes = new DigestInputStream(Files.newInputStream(file), Fingerprint.sha256())) {
            bytes.transferTo(OutputStream.nullOutputStream());
            return HexFormat.of().formatHex(bytes.getMessageDigest().digest());
        }
    }

    /** Unpacks one file, and stops where it grows beyond what it says or is allowed: an archive may lie. */
    private static void extract(ZipFile zip, FileHeader header, Path to, long most) throws IOException {
        long says = header.getUncompressedSize();
        if (says > most) {
            throw new BackupFault(
                    header.getFileName() + " in the archive has " + says + " bytes; allowed: up to " + most + ".");
        }
        try (InputStream from = zip.getInputStream(header);
                OutputStream into = Files.newOutputStream(to, StandardOpenOption.CREATE_NEW)) {
            byte[] chunk = new byte[CHUNK];
            long written = 0;
            for (int read = from.read(chunk); read >= 0; read = from.read(chunk)) {
                written += read;
                if (written > says) {
                    throw new BackupFault(header.getFileName() + " in the archive is larger than it says.");
                }
                into.write(chunk, 0, read);
            }
        }
    }

    /** Moves a file that is whole to its place; it holds patients, so that its owner alone may read it. */
    private static void moveInto(Path from, Path to) throws IOException {
        if (Files.getFileStore(from).supportsFileAttributeView(PosixFileAttributeView.class)) {
            Files.setPosixFilePermissions(from, PosixFilePermissions.fromString("rw-------"));
        }
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException otherwise) {
            Files.move(from, to);
        }
    }

    private interface Work<T> {
        T in(Path folder) throws IOException;
    }

    /** Works in a folder on the disk of a file, which is gone afterwards whatever happened. */
    private static <T> T inFolderBeside(Path file, Work<T> work) {
        Path parent = file.toAbsolutePath().getParent();
        try {
            Files.createDirectories(parent);
            Path folder = Files.createTempDirectory(parent, WORKING);
            try {
                return work.in(folder);
            } finally {
                FileSystemUtils.deleteRecursively(folder);
            }
        } catch (IOException fault) {
            throw new BackupFault(
                    "The copy could not be written to " + parent + ": " + fault.getMessage() + ".", fault);
        }
    }

    /** A passphrase from the first line of a file, at least eight characters. */
    static char[] passphrase(Path file) {
        try {
            String line = Files.readAllLines(file).stream().findFirst().orElse("");
            if (line.length() < 8) {
                throw new BackupFault(
                        "The passphrase in " + file + " has " + line.length() + " characters; allowed: 8 or more.");
            }
            return line.toCharArray();
        } catch (IOException fault) {
            throw new BackupFault("The passphrase file " + file + " cannot be read.", fault);
        }
    }

    /** Wipes a passphrase. */
    static void forget(Optional<char[]> passphrase) {
        passphrase.ifPresent(secret -> Arrays.fill(secret, '\0'));
    }
}
