package lexicor.journeys;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged server as a process of its own, so that it can be killed like one. */
final class RunningServer implements AutoCloseable {

    private static final Pattern READY = Pattern.compile("ready at (http://localhost:\\d+\\S*)");
    private static final Duration PATIENCE = Duration.ofSeconds(300);

    private static final Pattern FIRST_CODE = Pattern.compile("to make the first account: ([A-Z2-7-]+)");

    private final Process process;
    private final String address;
    private final StringBuffer said;

    private RunningServer(Process process, String address, StringBuffer said) {
        this.process = process;
        this.address = address;
        this.said = said;
    }

    /** Starts on a port and waits until the server says that it is ready. Port 0 takes any free one. */
    static RunningServer start(Path data, boolean demo, int port) {
        return start(
                "--server.port=" + port,
                "--lexicor.data=" + data,
                "--lexicor.demo=" + demo,
                // a plan is not to hang on how quick this machine taps
                "--lexicor.times.enough=1000000");
    }

    /** Starts a receiver of signed examinations. */
    static RunningServer receiver() {
        return start("receiver", "--port=0");
    }

    private static RunningServer start(String... arguments) {
        try {
            Path jar = Path.of(System.getProperty("lexicor.jar"));
            List<String> command = new ArrayList<>(List.of(
                    "java",
                    "-XX:TieredStopAtLevel=1",
                    "-XX:+UseSerialGC",
                    "-XX:SharedArchiveFile=" + jar.resolveSibling("lexicor.jsa"),
                    "-Xshare:auto",
                    "-jar",
                    jar.toString()));
            command.addAll(List.of(arguments));
            Process process =
                    new ProcessBuilder(command).redirectErrorStream(true).start();
            CompletableFuture<String> ready = new CompletableFuture<>();
            StringBuffer said = new StringBuffer();
            Thread reader = new Thread(() -> follow(process, ready, said), "server output");
            reader.setDaemon(true);
            reader.start();
            return new RunningServer(process, ready.get(PATIENCE.toSeconds(), TimeUnit.SECONDS), said);
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

    private static void follow(Process process, CompletableFuture<String> ready, StringBuffer said) {
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

    /** The code that the server printed for whoever makes the first account. */
    String firstCode() {
        Matcher code = FIRST_CODE.matcher(said);
        if (!code.find()) {
            throw new IllegalStateException("the server printed no code: " + said);
        }
        return code.group(1);
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
