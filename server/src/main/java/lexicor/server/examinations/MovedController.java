package lexicor.server.examinations;

import java.io.IOException;
import java.time.Duration;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import lexicor.server.examinations.record.ExaminationMoved;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter.SseEventBuilder;

/**
 * Tells open pages which examinations are not as they were, as server-sent events. It tells that something moved and
 * never what: pages ask for that by themselves, by the rights they have then. A line is closed after a while, so that
 * whoever has signed out meanwhile does not get another.
 */
@RestController
@RequestMapping("/api/events")
class MovedController {

    private static final Duration LINE = Duration.ofSeconds(60);
    private static final int SENDERS = 2;

    private final Set<SseEmitter> lines = ConcurrentHashMap.newKeySet();
    private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS, work -> {
        Thread thread = new Thread(work, "events");
        thread.setDaemon(true);
        return thread;
    });

    /** An examination that is not as it was; {@code number} is that of its last command. */
    public record MovedJson(UUID examination, UUID caseFile, long number, ExaminationMoved.What what) {}

    /** A line on which events come in, each a {@link MovedJson}. */
    @GetMapping(produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    public SseEmitter listen() throws IOException {
        SseEmitter line = new SseEmitter(LINE.toMillis());
        line.onCompletion(() -> lines.remove(line));
        line.onTimeout(line::complete);
        line.onError(gone -> lines.remove(line));
        line.send(SseEmitter.event().comment("listening"));
        lines.add(line);
        return line;
    }

    @TransactionalEventListener
    void moved(ExaminationMoved event) {
        MovedJson json = new MovedJson(event.examination(), event.caseFile(), event.number(), event.what());
        lines.forEach(line -> senders.execute(
                () -> send(line, SseEmitter.event().name("moved").data(json, MediaType.APPLICATION_JSON))));
    }

    private void send(SseEmitter line, SseEventBuilder event) {
        try {
            line.send(event);
        } catch (IOException | IllegalStateException gone) {
            lines.remove(line);
        }
    }

    /** The server stops: nobody is left listening to nothing. */
    @EventListener(ContextClosedEvent.class)
    void stop() {
        lines.forEach(SseEmitter::complete);
        senders.shutdownNow();
    }
}
