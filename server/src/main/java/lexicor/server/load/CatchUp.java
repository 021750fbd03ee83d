package lexicor.server.load;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Brings something in step with the record behind the back of those who save, on a thread of its own. However often it
 * is asked, it runs once more after the last time. A fault is logged, and the work is tried again the next time it is
 * asked.
 */
public final class CatchUp implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(CatchUp.class);

    private final String name;
    private final Runnable work;
    private final AtomicBoolean asked = new AtomicBoolean();
    private final ExecutorService worker;

    /** @param name of what is brought in step, for the thread and the log */
    public CatchUp(String name, Runnable work) {
        this.name = name;
        this.work = work;
        worker = Executors.newSingleThreadExecutor(task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        });
    }

    /** Has it done soon. */
    public void ask() {
        if (asked.compareAndSet(false, true)) {
            worker.execute(this::run);
        }
    }

    private void run() {
        asked.set(false);
        try {
            work.run();
        } catch (RuntimeException fault) {
            LOG.warn("The {} could not be brought up to date; it is tried again: {}", name, fault.toString());
        }
    }

    /** Stops what is being done. */
    @Override
    public void close() {
        worker.shutdownNow();
    }
}
