package lexicor.server.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.OptionalInt;
import lexicor.server.backup.BackupArchive;
import lexicor.server.backup.SmallRecord;
import lexicor.server.database.Schema;
import org.flywaydb.core.api.FlywayException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Records of older versions are copied aside, taken over, and put back where that fails. */
class UpgradeTest {

    private static final Instant NOW = Instant.parse("2026-11-29T10:00:00Z");

    @TempDir
    private Path data;

    @Test
    void a_new_folder_and_a_record_of_this_version_need_no_upgrade() {
        assertThat(Upgrade.of(data)).isEmpty();
        SmallRecord.migrate(data, "latest");
        assertThat(Upgrade.of(data)).isEmpty();
    }

    /** Every schema from which the clinic's settings are kept. */
    @ParameterizedTest
    @ValueSource(strings = {"3", "4", "5", "6", "7", "8", "9", "10", "11", "12", "13"})
    void a_record_of_each_released_schema_is_copied_aside_and_taken_over(String schema) throws SQLException {
        SmallRecord.migrate(data, schema);
        try (Connection record = SmallRecord.open(data)) {
            SmallRecord.enter(record, 1, 2);
        }
        Path copy = Upgrade.of(data).orElseThrow().copyAside(NOW);
        assertThat(copy.getParent()).isEqualTo(data.resolve("backups"));
        SmallRecord.migrate(data, "latest");
        assertThat(RecordFile.in(data).schema()).isEqualTo(OptionalInt.of(Schema.known()));
        assertThat(SmallRecord.entered(data)).containsExactly("1", "2");
        assertThat(BackupArchive.verify(copy, java.util.Optional.empty())
                        .contents()
                        .schema())
                .isEqualTo(Integer.parseInt(schema));
    }

    @Test
    void after_a_failed_migration_the_record_is_as_it_was() throws SQLException {
        SmallRecord.migrate(data, "8");
        try (Connection record = SmallRecord.open(data)) {
            SmallRecord.enter(record, 5);
        }
        Upgrade upgrade = Upgrade.of(data).orElseThrow();
        Path copy = upgrade.copyAside(NOW);
        try (Connection record = SmallRecord.open(data);
                Statement statement = record.createStatement()) {
            statement.execute("drop table clinic_setting");
        }
        RecordFile.Refusal refusal = upgrade.putBack(copy);
        assertThat(refusal.line())
                .contains("from schema 8 to " + Schema.known() + " failed", "as it was before")
                .doesNotContain("Exception");
        assertThat(refusal.exitCode()).isEqualTo(8);
        assertThat(SmallRecord.entered(data)).containsExactly("5");
        assertThat(data.resolve("lexicor.failed-upgrade-8-" + Schema.known())).exists();
        assertThat(Files.exists(copy)).isTrue();
    }

    @Test
    void only_a_fault_of_the_migration_means_that_the_upgrade_failed() {
        assertThat(Upgrade.failed(new IllegalStateException(new FlywayException("no"))))
                .isTrue();
        assertThat(Upgrade.failed(new IllegalStateException("port in use"))).isFalse();
    }
}
