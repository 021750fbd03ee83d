package lexicor.server;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Tells the person who started Lexicor where to find it. */
@Component
class ReadyAnnouncement {

    private final Environment environment;

    ReadyAnnouncement(Environment environment) {
        this.environment = environment;
    }

    @EventListener(ApplicationReadyEvent.class)
    void announce() {
        System.out.println("Lexicor is ready at http://localhost:" + environment.getProperty("local.server.port", "?"));
    }
}
