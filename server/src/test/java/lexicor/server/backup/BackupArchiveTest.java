package lexicor.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import lexicor.server.database.Schema;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A copy is the record as it stood at one moment, or it is refused in words. */
class BackupArchiveTest {

    private static final Instant NOW = Instant.parse("2026-11-29T10:00:00Z");
    private static final int KNOWS = Schema.known();
    private static final Optional<char[]> OPEN = Optional.empty();

    @TempDir
    private Path data;

    @TempDir
    private Path copies;

    @TempDir
    private Path elsewhere;

    private Path file;

    @BeforeEach
    void aSmallRecord() throws SQLException {
        SmallRecord.migrate(data, "latest");
        try (Connection record = SmallRecord.open(data)) {
            SmallRecord.enter(record, 1, 2);
        }
        file = copies.resolve("copy.zip");
    }

    private BackupArchive.Taken write(Optional<char[]> passphrase) throws SQLException {
        try (Connection record = SmallRecord.open(data)) {
            return BackupArchive.write(record, NOW, file, passphrase);
        }
    }

    private static Optional<char[]> secret(String words) {
        return Optional.of(words.toCharArray());
    }

    @Test
    void what_is_brought_back_is_what_was_copied_line_by_line() throws SQLException {
        BackupArchive.Taken taken = write(OPEN);
        assertThat(taken.manifest().contents().schema()).isEqualTo(KNOWS);
        assertThat(taken.manifest().takenAt()).isEqualTo(NOW);
        BackupArchive.restore(file, elsewhere, OPEN, KNOWS);
        assertThat(SmallRecord.everything(elsewhere)).isEqualTo(SmallRecord.everything(data));
        assertThat(SmallRecord.names(copies)).containsExactly("copy.zip");
    }

    @Test
    void a_record_at_work_is_copied_as_it_stood_without_what_is_not_committed() throws SQLException {
        try (Connection busy = SmallRecord.open(data)) {
            SmallRecord.enter(busy, 3);
            busy.setAutoCommit(false);
            SmallRecord.enter(busy, 4);
            write(OPEN);
            busy.commit();
        }
        BackupArchive.restore(file, elsewhere, OPEN, KNOWS);
        assertThat(SmallRecord.entered(elsewhere)).containsExactly("1", "2", "3");
        assertThat(SmallRecord.entered(data)).containsExactly("1", "2", "3", "4");
    }

    @Test
    void under_a_passphrase_nothing_can_be_read_without_it() throws SQLException, IOException {
        write(secret("four quiet words here"));
        assertThat(new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1))
                .doesNotContain("clinic_setting", "sha256");
        assertThatThrownBy(() -> BackupArchive.verify(file, OPEN))
                .isInstanceOf(BackupFault.class)
                .hasMessageContaining("is encrypted")
                .hasMessageContaining("--passphrase-file");
        assertThatThrownBy(() -> BackupArchive.verify(file, secret("four other words here")))
                .isInstanceOf(BackupFault.class)
                .hasMessageContaining("passphrase is not the one");
        assertThat(BackupArchive.verify(file, secret("four quiet words here")).takenAt())
                .isEqualTo(NOW);
    }

    @Test
    void a_copy_with_one_changed_byte_is_refused_and_leaves_no_record() throws SQLException, IOException {
        write(OPEN);
        byte[] whole = Files.readAllBytes(file);
        for (int at : List.of(200, whole.length / 4, whole.length / 2)) {
            byte[] changed = whole.clone();
            changed[at] ^= 0x5a;
            Files.write(file, changed);
            assertThatThrownBy(() -> BackupArchive.restore(file, elsewhere, OPEN, KNOWS))
                    .as("byte %d of %d", at, whole.length)
                    .isInstanceOf(BackupFault.class);
            assertThat(SmallRecord.names(elsewhere)).isEmpty();
        }
    }

    @Test
    void a_cut_copy_and_files_of_other_kinds_are_refused() throws SQLException, IOException {
        write(OPEN);
        byte[] whole = Files.readAllBytes(file);
        Files.write(file, Arrays.copyOf(whole, whole.length / 2));
        assertRefused("was cut");
        Files.writeString(file, "not an archive at all");
        assertRefused("no copy of a record");
        Files.write(file, new byte[0]);
        assertRefused("no copy of a record");
        Files.delete(file);
        assertRefused("There is no file");
    }

    @Test
    void an_archive_of_other_files_is_refused_and_writes_nothing_outside() throws IOException {
        zip("lexicor.mv.db", "x", "../outside.txt", "x");
        assertRefused("holds 2 files; allowed: lexicor.mv.db and manifest.json");
        zip("lexicor.mv.db", "x", "manifest.json", "not json");
        assertRefused("its manifest cannot be read");
        zip("lexicor.mv.db", "x", "manifest.json", "{\"format\": 2}");
        assertRefused("newer Lexicor (form 2, this one knows 1)");
        zip("lexicor.mv.db", "x", "manifest.json", " ".repeat(100_000));
        assertRefused("manifest.json in the archive has 100000 bytes; allowed: up to 65536");
        assertThat(SmallRecord.names(elsewhere)).isEmpty();
    }

    @Test
    void a_folder_with_a_record_is_left_as_it_is() throws SQLException, IOException {
        write(OPEN);
        byte[] before = Files.readAllBytes(data.resolve(RecordDatabase.FILE));
        assertThatThrownBy(() -> BackupArchive.restore(file, data, OPEN, KNOWS))
                .isInstanceOf(BackupFault.class)
                .hasMessageContaining("there already, and nothing was changed");
        assertThat(Files.readAllBytes(data.resolve(RecordDatabase.FILE))).isEqualTo(before);
    }

    @Test
    void a_record_of_a_newer_program_is_not_brought_back() throws SQLException {
        write(OPEN);
        assertThatThrownBy(() -> BackupArchive.restore(file, elsewhere, OPEN, KNOWS - 1))
                .isInstanceOf(BackupFault.class)
                .hasMessageContaining("schema " + KNOWS + ", this one knows " + (KNOWS - 1));
        assertThat(SmallRecord.names(elsewhere)).isEmpty();
    }

    private void assertRefused(String words) {
        assertThatThrownBy(() -> BackupArchive.restore(file, elsewhere, OPEN, KNOWS))
                .isInstanceOf(BackupFault.class)
                .hasMessageContaining(words);
    }

    private void zip(String... namesAndWords) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
            for (int i = 0; i < namesAndWords.length; i += 2) {
                zip.putNextEntry(new ZipEntry(namesAndWords[i]));
                zip.write(namesAndWords[i + 1].getBytes(StandardCharsets.UTF_8));
            }
        }
    }
}
