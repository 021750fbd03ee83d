package lexicor.server;

import lexicor.server.accounts.AccountService;
import lexicor.server.accounts.FirstAccountCode;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Tells the person who started Lexicor where to find it. */
@Component
class ReadyAnnouncement {

    private final Environment environment;
    private final AccountService accounts;
    private final FirstAccountCode firstCode;

    ReadyAnnouncement(Environment environment, AccountService accounts, FirstAccountCode firstCode) {
        this.environment = environment;
        this.accounts = accounts;
        this.firstCode = firstCode;
    }

    @EventListener(ApplicationReadyEvent.class)
    void announce() {
        if (accounts.isEmpty()) {
            System.out.println("Nobody can sign in yet. The page asks for this code to make the first account: "
                    + firstCode.printed());
        }
        System.out.println("Lexicor is ready at http://localhost:" + environment.getProperty("local.server.port", "?"));
    }
}
