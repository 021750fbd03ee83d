package lexicor.server.backup;

import static java.nio.file.attribute.PosixFilePermission.OWNER_READ;
import static java.nio.file.attribute.PosixFilePermission.OWNER_WRITE;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import lexicor.server.LexicorApplication;
import lexicor.server.database.Schema;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Copies from the command line, beside a server that works and without one. */
class BackupToolTest {

    @TempDir
    private Path data;

    @TempDir
    private Path other;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream faults = new ByteArrayOutputStream();

    private int run(String... arguments) {
        out.reset();
        faults.reset();
        return new BackupTool(Schema.known(), new PrintStream(out, true), new PrintStream(faults, true)).run(arguments);
    }

    private String said() {
        return out.toString(StandardCharsets.UTF_8);
    }

    private String fault() {
        return faults.toString(StandardCharsets.UTF_8);
    }

    @Test
    void a_record_without_a_server_is_copied_verified_and_brought_back() throws SQLException {
        SmallRecord.migrate(data, "latest");
        try (Connection record = SmallRecord.open(data)) {
            SmallRecord.enter(record, 7);
        }
        Path file = other.resolve("copy.zip");
        assertThat(run("backup", file.toString(), "--data=" + data)).isZero();
        assertThat(said()).contains("0 cases", "read back and found whole", "not encrypted");
        assertThat(run("verify", file.toString())).isZero();
        assertThat(said()).contains("is whole", "schema " + Schema.known());
        Path fresh = other.resolve("fresh");
        assertThat(run("restore", file.toString(), "--data=" + fresh))
                .as(fault())
                .isZero();
        assertThat(said()).contains("now holds", "./lexicor serve --data " + fresh);
        assertThat(SmallRecord.entered(fresh)).containsExactly("7");
    }

    @Test
    void a_server_at_work_gives_a_copy_when_it_is_asked() throws IOException, SQLException {
        Process server = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("java.class.path"),
                        LexicorApplication.class.getName(),
                        "--server.port=0",
                        "--lexicor.data=" + data,
                        "--lexicor.demo=false")
                .redirectErrorStream(true)
                .start();
        Path secret = Files.writeString(other.resolve("secret"), "four quiet words\n");
        Path file = other.resolve("copy.zip");
        try {
            String line = server.inputReader().readLine();
            while (line != null && !line.contains("is ready")) {
                line = server.inputReader().readLine();
            }
            assertThat(run("backup", file.toString(), "--data=" + data, "--passphrase-file=" + secret))
                    .as(fault())
                    .isZero();
        } finally {
            server.destroyForcibly();
        }
        assertThat(said()).contains("encrypted.");
        assertThat(SmallRecord.names(data.resolve("backups"))).isEmpty();
        assertThat(Files.getPosixFilePermissions(file)).containsExactlyInAnyOrder(OWNER_READ, OWNER_WRITE);
        assertThat(run("verify", file.toString())).isEqualTo(4);
        assertThat(fault()).contains("is encrypted");
        assertThat(run("verify", file.toString(), "--passphrase-file=" + secret))
                .isZero();
    }

    @Test
    void calls_that_cannot_be_answered_are_refused_in_one_line() throws IOException {
        assertThat(run("backup", "x.zip", "--data=" + data)).isEqualTo(4);
        assertThat(fault()).contains("There is no record in " + data);
        assertThat(run("restore")).isEqualTo(2);
        assertThat(fault()).contains("needs one file");
        Path existing = Files.createFile(other.resolve("kept.zip"));
        SmallRecord.migrate(data, "latest");
        assertThat(run("backup", existing.toString(), "--data=" + data)).isEqualTo(4);
        assertThat(fault()).contains("is there already, and was left as it is");
        Path brief = Files.writeString(other.resolve("brief"), "short");
        assertThat(run("backup", "x.zip", "--data=" + data, "--passphrase-file=" + brief))
                .isEqualTo(4);
        assertThat(fault()).contains("5 characters; allowed: 8 or more");
        assertThat(List.of(fault().split("\n"))).hasSize(1);
    }
}
