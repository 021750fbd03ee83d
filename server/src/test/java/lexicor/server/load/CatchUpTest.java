package lexicor.server.load;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** Work behind the back of those who save ends between two pieces when the server stops, never within one. */
class CatchUpTest {

    private final CountDownLatch begun = new CountDownLatch(1);
    private final CountDownLatch never = new CountDownLatch(1);

    /** Work that takes a moment, as reading the record does; true where it was interrupted in it. */
    private boolean interruptedInAMoment() {
        try {
            return never.await(200, TimeUnit.MILLISECONDS);
        } catch (InterruptedException stopped) {
            return true;
        }
    }

    @Test
    void the_piece_in_hand_is_ended_uninterrupted_and_no_other_begun() throws InterruptedException {
        AtomicInteger ended = new AtomicInteger();
        AtomicBoolean interrupted = new AtomicBoolean();
        CatchUp pieces = new CatchUp("pieces", goOn -> {
            while (goOn.getAsBoolean()) {
                begun.countDown();
                interrupted.compareAndSet(false, interruptedInAMoment());
                ended.incrementAndGet();
            }
        });

        pieces.ask();
        assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        pieces.close();

        assertThat(ended.get()).isPositive();
        int then = ended.get();
        assertThat(interrupted).isFalse();
        pieces.ask();
        assertThat(ended).hasValue(then);
    }

    @Test
    void what_is_asked_while_it_runs_is_done_once_more_and_not_after_the_end() throws InterruptedException {
        AtomicInteger runs = new AtomicInteger();
        CountDownLatch twice = new CountDownLatch(2);
        CountDownLatch asked = new CountDownLatch(1);
        CatchUp again = new CatchUp("again", goOn -> {
            runs.incrementAndGet();
            begun.countDown();
            twice.countDown();
            try {
                asked.await(10, TimeUnit.SECONDS);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        });

        again.ask();
        assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        again.ask();
        again.ask();
        asked.countDown();
        assertThat(twice.await(10, TimeUnit.SECONDS)).isTrue();
        again.close();
        again.ask();

        assertThat(runs).hasValue(2);
    }
}
