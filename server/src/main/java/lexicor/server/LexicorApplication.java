package lexicor.server;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.Optional;
import lexicor.server.start.MonotonicClock;
import lexicor.server.start.RecordFile;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts Lexicor. */
@SpringBootApplication
public class LexicorApplication {

    private static final String DATA = "--lexicor.data=";

    public static void main(String[] arguments) {
        Optional<RecordFile.Refusal> refusal = Arrays.stream(arguments)
                .filter(argument -> argument.startsWith(DATA))
                .map(argument -> argument.substring(DATA.length()))
                .findFirst()
                .flatMap(data -> RecordFile.in(Path.of(data)).refusal());
        if (refusal.isPresent()) {
            System.err.println("lexicor: " + refusal.get().line());
            System.exit(refusal.get().exitCode());
        }
        // the database closes itself on a full disk: whoever is given a connection gets one that works
        System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
        SpringApplication.run(LexicorApplication.class, arguments);
    }

    @Bean
    Clock clock() {
        return new MonotonicClock(Clock.systemUTC());
    }
}
