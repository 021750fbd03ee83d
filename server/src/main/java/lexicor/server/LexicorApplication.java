package lexicor.server;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts Lexicor. */
@SpringBootApplication
public class LexicorApplication {

    public static void main(String[] arguments) {
        SpringApplication.run(LexicorApplication.class, arguments);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
