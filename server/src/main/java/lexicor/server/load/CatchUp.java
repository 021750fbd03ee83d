package lexicor.server.load;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Brings something in step with the record behind the back of those who save, on a thread of its own. However often it
 * is asked, it runs once more after the last time. A fault is logged, and the work is tried again the next time it is
 * asked.
 */
public final class CatchUp implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(CatchUp.class);

    /** How long the close waits for the work in hand, in seconds. */
    private static final int PATIENCE = 30;

    private final String name;
    private final Consumer<BooleanSupplier> work;
    private final AtomicBoolean asked = new AtomicBoolean();
    private final ExecutorService worker;

    /**
     * @param name of what is brought in step, for the thread and the log
     * @param work is handed a question that it asks between two pieces: whether it may go on
     */
    public CatchUp(String name, Consumer<BooleanSupplier> work) {
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
        if (!worker.isShutdown() && asked.compareAndSet(false, true)) {
            worker.execute(this::run);
        }
    }

    private void run() {
        if (worker.isShutdown()) {
            return;
        }
        asked.set(false);
        try {
            work.accept(() -> !worker.isShutdown());
        } catch (RuntimeException fault) {
            LOG.warn("The {} could not be brought up to date; it is tried again: {}", name, fault.toString());
        }
    }

    /**
     * Begins nothing more, and waits until the piece in hand is done. The thread is never interrupted: an interrupt
     * while the database reads or writes closes its file.
     */
    @Override
    public void close() {
        worker.shutdown();
        try {
            if (!worker.awaitTermination(PATIENCE, TimeUnit.SECONDS)) {
                LOG.warn("The {} were still being brought up to date when the server stopped", name);
            }
        } catch (InterruptedException hurry) {
            Thread.currentThread().interrupt();
        }
    }
}
