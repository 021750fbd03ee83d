package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import lexicor.core.catalogue.TestId;
import lexicor.server.LexicorApplication;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.CommandRecorder;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.Visits;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.scheduling.annotation.Scheduled;

/** The record on the disk outlives the server. */
class RestartTest {

    @TempDir
    private Path data;

    @Test
    void an_examination_stands_at_the_same_test_after_a_restart() {
        Visit visit = new Visit();
        CommandJson arc = visit.record("sh-arc", "pain=familiar", "angle-worst=90");
        CommandJson neer = visit.record("sh-neer", "pain=none");
        UUID id;
        try (ConfigurableApplicationContext server = start()) {
            id = server.getBean(Visits.class).open(Visit.start("RS-1"));
            server.getBean(CommandRecorder.class)
                    .add(id, List.of(arc, neer, visit.undo(neer), visit.move("sh-hawkins")), null);
        }
        try (ConfigurableApplicationContext server = start()) {
            ExaminationRecords service = server.getBean(ExaminationRecords.class);
            Recorded found = service.examination(id);
            assertThat(found.history().standsAt()).contains(TestId.of("sh-hawkins"));
            assertThat(found.history().attempts())
                    .singleElement()
                    .isEqualTo(arc.attempts().get(0).toCore());
            assertThat(found.lastNumber()).isEqualTo(4);
            assertThat(server.getBean(CommandRecorder.class).add(id, List.of(arc), null))
                    .as("sent again after the restart")
                    .extracting(CommandRecorder.Receipt::number)
                    .containsExactly(1L);
        }
    }

    /** Work by the clock that takes a moment, as a copy of the record does. */
    static class Copying {

        private final CountDownLatch begun = new CountDownLatch(1);
        private final CountDownLatch never = new CountDownLatch(1);
        private volatile boolean interrupted;

        @Scheduled(fixedDelay = 1)
        void copy() {
            begun.countDown();
            try {
                interrupted |= never.await(500, TimeUnit.MILLISECONDS);
            } catch (InterruptedException stopped) {
                interrupted = true;
            }
        }
    }

    @Test
    void what_runs_by_the_clock_is_not_interrupted_when_the_server_stops() throws InterruptedException {
        Copying copying;
        try (ConfigurableApplicationContext server = start(Copying.class)) {
            copying = server.getBean(Copying.class);
            assertThat(copying.begun.await(20, TimeUnit.SECONDS)).isTrue();
        }
        assertThat(copying.interrupted).isFalse();
    }

    private ConfigurableApplicationContext start(Class<?>... more) {
        return new SpringApplicationBuilder(LexicorApplication.class)
                .sources(more)
                .run(
                        "--server.port=0",
                        "--lexicor.data=" + data,
                        "--lexicor.demo=false",
                        "--spring.lifecycle.timeout-per-shutdown-phase=50ms");
    }
}
