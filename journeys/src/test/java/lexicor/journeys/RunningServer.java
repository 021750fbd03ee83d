package lexicor.journeys;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged server as a process of its own, so that it can be killed like one. */
final class RunningServer implements AutoCloseable {

    private static final Pattern READY = Pattern.compile("Lexicor is ready at (http://localhost:\\d+)");
    private static final Duration PATIENCE = Duration.ofSeconds(120);

    private final Process process;
    private final String address;

    private RunningServer(Process process, String address) {
        this.process = process;
        this.address = address;
    }

    /** Starts on a port and waits until the server says that it is ready. Port 0 takes any free one. */
    static RunningServer start(Path data, boolean demo, int port) {
        try {
            Path jar = Path.of(System.getProperty("lexicor.jar"));
            Process process = new ProcessBuilder("java", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC",
                    "-XX:SharedArchiveFile=" + jar.resolveSibling("lexicor.jsa"), "-Xshare:auto", "-jar", jar.toString(),
                    "--server.port=" + port, "--lexicor.data=" + data, "--lexicor.demo=" + demo).redirectErrorStream(true).start();
            CompletableFuture<String> ready = new CompletableFuture<>();
            Thread reader = new Thread(() -> follow(process, ready), "server output");
            reader.setDaemon(true);
            reader.start();
            return new RunningServer(process, ready.get(PATIENCE.toSeconds(), TimeUnit.SECONDS));
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        } catch (InterruptedException | ExecutionException | TimeoutException fault) {
            throw new IllegalStateException("the server did not become ready", fault);
        }
    }

    static Path freshData() {
        try {
            return Files.createTempDirectory(Path.of(System.getProperty("lexicor.reports")), "data");
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    private static void follow(Process process, CompletableFuture<String> ready) {
        StringBuilder said = new StringBuilder();
        try (BufferedReader output = process.inputReader()) {
            for (String line = output.readLine(); line != null; line = output.readLine()) {
                said.append(line).append('\n');
                Matcher match = READY.matcher(line);
                if (match.find()) {
                    ready.complete(match.group(1));
                }
            }
        } catch (IOException closed) {
            // the process has ended
        }
        ready.completeExceptionally(new IllegalStateException("the server ended: " + said));
    }

    String address() {
        return address;
    }

    int port() {
        return Integer.parseInt(address.substring(address.lastIndexOf(':') + 1));
    }

    /** Ends the process without any warning, as a power cut would. */
    void kill() {
        process.destroyForcibly().onExit().join();
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
