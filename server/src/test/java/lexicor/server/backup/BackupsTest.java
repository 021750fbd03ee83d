package lexicor.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import lexicor.server.database.Schema;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** Copies that the server takes by itself. */
class BackupsTest {

    @TempDir
    private Path data;

    private DriverManagerDataSource record;
    private Instant now;
    private Backups backups;

    /** A clock that is set by hand. */
    private final class HandClock extends Clock {
        @Override
        public Instant instant() {
            return now;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }

    @BeforeEach
    void begin() {
        SmallRecord.migrate(data, "latest");
        record = new DriverManagerDataSource(SmallRecord.address(data), "lexicor", "");
        now = Instant.now();
        backups = backups(false);
    }

    private Backups backups(boolean demo) {
        return new Backups(
                record,
                new BackupRuns(new JdbcTemplate(record)),
                new HandClock(),
                data.toString(),
                demo,
                SmallRecord.address(data));
    }

    private void later(Duration time) {
        now = now.plus(time);
    }

    @Test
    void a_copy_is_taken_when_it_is_due_and_the_oldest_go() {
        backups.decide(new BackupPlan(12, 2));
        backups.takeWhenDue();
        assertThat(backups.last()).hasSize(1);
        later(Duration.ofHours(11));
        backups.takeWhenDue();
        assertThat(backups.last()).as("not due yet").hasSize(1);
        for (int day = 0; day < 3; day++) {
            later(Duration.ofHours(12));
            backups.takeWhenDue();
        }
        assertThat(backups.last()).hasSize(4).allMatch(BackupRun::good);
        assertThat(SmallRecord.names(backups.folder()))
                .containsExactlyInAnyOrder(
                        backups.last().get(0).file(), backups.last().get(1).file());
    }

    @Test
    void the_last_copy_is_too_old_when_two_are_missing() {
        backups.decide(new BackupPlan(24, 7));
        assertThat(backups.tooOld()).as("just begun").isFalse();
        later(Duration.ofHours(49));
        assertThat(backups.tooOld()).as("never copied").isTrue();
        backups.take();
        assertThat(backups.tooOld()).isFalse();
        later(Duration.ofHours(47));
        assertThat(backups.tooOld()).isFalse();
        later(Duration.ofHours(2));
        assertThat(backups.tooOld()).isTrue();
        backups.decide(new BackupPlan(0, 7));
        assertThat(backups.tooOld()).as("nobody wants any").isFalse();
    }

    @Test
    void a_demo_clinic_is_copied_only_when_somebody_asks() {
        Backups demo = backups(true);
        demo.takeWhenDue();
        assertThat(demo.last()).isEmpty();
        later(Duration.ofDays(30));
        assertThat(demo.tooOld()).isFalse();
        assertThat(demo.take().good()).isTrue();
    }

    @Test
    void two_copies_of_one_second_are_two_files() {
        assertThat(backups.take().file()).isNotEqualTo(backups.take().file());
        assertThat(SmallRecord.names(backups.folder())).hasSize(2);
    }

    @Test
    void a_copy_that_fails_leaves_a_line_with_the_reason_and_the_older_copies() throws IOException {
        backups.take();
        record.setUrl("jdbc:h2:mem:nothing-to-copy");
        Backups failing = new Backups(
                record,
                new BackupRuns(new JdbcTemplate(new DriverManagerDataSource(SmallRecord.address(data), "lexicor", ""))),
                new HandClock(),
                data.toString(),
                false,
                SmallRecord.address(data));
        BackupRun run = failing.take();
        assertThat(run.good()).isFalse();
        assertThat(run.fault()).contains("could not be copied");
        assertThat(failing.last().get(0)).isEqualTo(run);
        assertThat(SmallRecord.names(failing.folder())).hasSize(1);
    }

    @Test
    void what_the_command_line_asks_for_is_laid_beside_its_request() throws IOException, SQLException {
        BackupFolder.Asked asked = BackupFolder.of(data).ask();
        backups.answerCommandLine();
        assertThat(asked.refusal()).isEmpty();
        assertThat(asked.request()).doesNotExist();
        assertThat(BackupArchive.verify(asked.copy(), Optional.empty())
                        .contents()
                        .schema())
                .isEqualTo(Schema.known());
        asked.forget();
        assertThat(SmallRecord.names(backups.folder())).isEmpty();
    }

    @Test
    void what_a_broken_off_copy_has_left_is_taken_away_and_work_in_hand_is_not() throws IOException {
        Path folder = Files.createDirectories(backups.folder());
        Path old = Files.createDirectory(folder.resolve("lexicor-copying-1"));
        Path within = Files.createFile(old.resolve("lexicor.mv.db"));
        Path answer = Files.createFile(folder.resolve("copy-1.copy"));
        Files.createDirectory(folder.resolve("lexicor-copying-2"));
        FileTime yesterday = FileTime.from(Instant.now().minus(Duration.ofDays(1)));
        for (Path each : List.of(within, old, answer)) {
            Files.setLastModifiedTime(each, yesterday);
        }
        backups.decide(new BackupPlan(0, 7));
        backups.takeWhenDue();
        assertThat(SmallRecord.names(folder)).containsExactly("lexicor-copying-2");
    }
}
