package lexicor.journeys;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** What the journeys measured, in target/journeys.txt. */
final class Report {

    private Report() {}

    static void line(String line) {
        try {
            Files.writeString(
                    Path.of(System.getProperty("lexicor.reports"), "journeys.txt"),
                    line + "\n",
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
            System.out.println(line);
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }
}
