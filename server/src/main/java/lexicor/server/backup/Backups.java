package lexicor.server.backup;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Copies the record while the server works: when it is due, when an administrator asks, and for the command line. */
@Component
class Backups {

    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);

    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("'lexicor-'yyyyMMdd-HHmmss'.zip'").withZone(ZoneOffset.UTC);

    /** What a copy leaves lying for longer was broken off. */
    private static final Duration LONGEST_WORK = Duration.ofHours(6);

    private final DataSource record;
    private final BackupRuns runs;
    private final BackupFolder folder;
    private final Clock clock;
    private final boolean byItself;

    Backups(
            DataSource record,
            BackupRuns runs,
            Clock clock,
            @Value("${lexicor.data}") String data,
            @Value("${lexicor.demo}") boolean demo,
            @Value("${spring.datasource.url}") String address) {
        this.record = record;
        this.runs = runs;
        this.folder = BackupFolder.of(Path.of(data));
        this.clock = clock;
        this.byItself = !demo && !address.startsWith("jdbc:h2:mem:");
    }

    BackupPlan plan() {
        return runs.plan();
    }

    /** Whether the plan is followed: a demo clinic and a record in memory are not copied by themselves. */
    boolean byItself() {
        return byItself;
    }

    BackupPlan decide(BackupPlan plan) {
        runs.decide(plan);
        runs.restart(clock.instant());
        return plan();
    }

    /** Whether copies should be there and are not. */
    boolean tooOld() {
        BackupPlan plan = plan();
        return byItself && plan.on() && age().compareTo(plan.tooOld()) > 0;
    }

    private Duration age() {
        Instant from = runs.lastGood().map(BackupRun::at).orElseGet(runs::since);
        return Duration.between(from, clock.instant());
    }

    Optional<BackupRun> lastGood() {
        return runs.lastGood();
    }

    List<BackupRun> last() {
        return runs.last();
    }

    /** Where the copies lie on the server. */
    Path folder() {
        return folder.path().toAbsolutePath().normalize();
    }

    /**
     * Copies the record into the folder of copies now, checks the copy, and lets the oldest go. Leaves a line either
     * way.
     */
    synchronized BackupRun take() {
        Instant now = clock.instant();
        BackupRun run;
        try (Connection connection = record.getConnection()) {
            BackupArchive.Taken taken = BackupArchive.write(connection, now, free(now), Optional.empty());
            run = new BackupRun(
                    now,
                    taken.file().getFileName().toString(),
                    taken.bytes(),
                    taken.manifest().contents().words(),
                    "");
            folder.keep(runs.plan().keep());
        } catch (BackupFault | SQLException fault) {
            LOG.warn("The record could not be copied: {}", fault.getMessage());
            run = new BackupRun(now, "", 0, "", fault.getMessage());
        }
        runs.add(run);
        return run;
    }

    /** A name that no copy has yet. */
    private Path free(Instant now) {
        Instant at = now;
        while (Files.exists(folder.path().resolve(NAME.format(at)))) {
            at = at.plusSeconds(1);
        }
        return folder.path().resolve(NAME.format(at));
    }

    /** Copies when it is due: looked at a minute after the start, then every ten. */
    @Scheduled(initialDelay = 60_000, fixedDelay = 600_000)
    void takeWhenDue() {
        folder.clean(Instant.now().minus(LONGEST_WORK));
        BackupPlan plan = plan();
        Optional<Instant> last = runs.lastGood().map(BackupRun::at);
        if (byItself
                && plan.on()
                && last.map(at -> Duration.between(at, clock.instant()).compareTo(plan.interval()) >= 0)
                        .orElse(true)) {
            take();
        }
    }

    /** Answers the command line: whoever can write into the data folder may have a copy of what lies there. */
    @Scheduled(fixedDelay = 1_000)
    void answerCommandLine() {
        for (BackupFolder.Asked asked : folder.asked()) {
            try (Connection connection = record.getConnection()) {
                asked.begun();
                BackupArchive.write(connection, clock.instant(), asked.copy(), Optional.empty());
                LOG.info("The record was copied for the command line.");
            } catch (BackupFault | SQLException fault) {
                asked.failed(fault.getMessage());
            }
        }
    }
}
