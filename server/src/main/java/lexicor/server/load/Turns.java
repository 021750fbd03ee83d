package lexicor.server.load;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import lexicor.server.problems.Busy;

/** Lets so many pieces of work of one kind run at a time; others wait for their turn, first come first served. */
public final class Turns {

    private final Semaphore free;
    private final int mostWaiting;
    private final Duration longestWait;
    private final String whenBusy;

    /**
     * @param atOnce how many run at a time, at least 1
     * @param mostWaiting how many may wait; one more is told to come back
     * @param longestWait how long one waits before it is told to come back
     * @param whenBusy what it is told, in a sentence
     */
    public Turns(int atOnce, int mostWaiting, Duration longestWait, String whenBusy) {
        this.free = new Semaphore(atOnce, true);
        this.mostWaiting = mostWaiting;
        this.longestWait = longestWait;
        this.whenBusy = whenBusy;
    }

    /** Half of the machine's processors, at least one: what is left serves everything else. */
    public static int halfTheMachine() {
        return Math.max(1, Runtime.getRuntime().availableProcessors() / 2);
    }

    /** A turn that was taken; whoever took it gives it back. */
    public interface Turn extends AutoCloseable {

        @Override
        void close();
    }

    /**
     * Waits until the turn has come.
     *
     * @throws Busy where too many wait already, or the wait grew too long
     */
    public Turn take() {
        int seconds = (int) Math.max(1, longestWait.toSeconds());
        try {
            if (free.getQueueLength() >= mostWaiting
                    || !free.tryAcquire(longestWait.toMillis(), TimeUnit.MILLISECONDS)) {
                throw new Busy(whenBusy, seconds);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Busy(whenBusy, seconds);
        }
        return free::release;
    }

    /**
     * Does a piece of work when its turn has come.
     *
     * @throws Busy as of {@link #take()}
     */
    public <T> T take(Supplier<T> work) {
        try (Turn turn = take()) {
            return work.get();
        }
    }
}
