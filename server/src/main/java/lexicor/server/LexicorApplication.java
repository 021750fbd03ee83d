package lexicor.server;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import lexicor.server.backup.BackupFault;
import lexicor.server.backup.BackupTool;
import lexicor.server.database.Schema;
import lexicor.server.examinations.sending.StandInReceiver;
import lexicor.server.start.MonotonicClock;
import lexicor.server.start.MoveTool;
import lexicor.server.start.RecordFile;
import lexicor.server.start.ServerDatabase;
import lexicor.server.start.Upgrade;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.annotation.Bean;

/** Starts Lexicor. */
@SpringBootApplication
public class LexicorApplication {

    private static final String DATA = "--lexicor.data=";

    public static void main(String[] arguments) {
        // the database closes itself on a full disk, or is on another machine: a connection that is handed out works
        System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
        if (BackupTool.knows(arguments)) {
            System.exit(new BackupTool(Schema.known(), System.out, System.err).run(arguments));
        }
        if (StandInReceiver.knows(arguments)) {
            System.exit(StandInReceiver.run(arguments, System.out, System.err));
        }
        if (MoveTool.knows(arguments)) {
            System.exit(new MoveTool(System.out, System.err).run(arguments, System.getenv()));
        }
        Optional<ServerDatabase> server = ServerDatabase.of(arguments, System.getenv());
        if (server.isPresent()) {
            server.flatMap(ServerDatabase::refusal)
                    .or(() -> server.get().refusalToHold())
                    .ifPresent(LexicorApplication::refuse);
            new SpringApplicationBuilder(LexicorApplication.class)
                    .properties(server.get().properties())
                    .run(arguments);
            return;
        }
        Optional<Path> data = Arrays.stream(arguments)
                .filter(argument -> argument.startsWith(DATA))
                .map(argument -> Path.of(argument.substring(DATA.length())))
                .findFirst();
        data.flatMap(folder -> RecordFile.in(folder).refusal()).ifPresent(LexicorApplication::refuse);
        Optional<Upgrade> upgrade = data.flatMap(Upgrade::of);
        if (upgrade.isEmpty()) {
            SpringApplication.run(LexicorApplication.class, arguments);
        } else {
            start(upgrade.get(), arguments);
        }
    }

    private static void start(Upgrade upgrade, String[] arguments) {
        Path before;
        try {
            before = upgrade.copyAside(Instant.now());
        } catch (BackupFault fault) {
            refuse(new RecordFile.Refusal(fault.getMessage() + " The record is as it was.", 8));
            return;
        }
        try {
            SpringApplication.run(LexicorApplication.class, arguments);
        } catch (RuntimeException fault) {
            if (Upgrade.failed(fault)) {
                refuse(upgrade.putBack(before));
            }
            throw fault;
        }
    }

    private static void refuse(RecordFile.Refusal refusal) {
        System.err.println("lexicor: " + refusal.line());
        System.exit(refusal.exitCode());
    }

    @Bean
    Clock clock() {
        return new MonotonicClock(Clock.systemUTC());
    }
}
