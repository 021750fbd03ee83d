package lexicor.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged server as a process of its own, with somebody signed in. */
final class Server implements AutoCloseable {

    static final String PASSWORD = "many many cases of it";

    private static final Pattern READY = Pattern.compile("Lexicor is ready at (http://localhost:\\d+)");
    private static final Pattern FIRST_CODE = Pattern.compile("to make the first account: ([A-Z2-7-]+)");

    private final Process process;
    private final String address;
    private final String firstCode;
    private final Caller somebody;

    private Server(Process process, String address, String firstCode) {
        this.process = process;
        this.address = address;
        this.firstCode = firstCode;
        this.somebody = new Caller(address);
    }

    static Server start(Path data, String... more) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                "java",
                "-XX:+UseSerialGC",
                "-jar",
                System.getProperty("lexicor.jar"),
                "--server.port=0",
                "--lexicor.data=" + data));
        command.addAll(Arrays.asList(more));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        BufferedReader output = process.inputReader();
        String firstCode = "";
        for (String line = output.readLine(); line != null; line = output.readLine()) {
            Matcher code = FIRST_CODE.matcher(line);
            firstCode = code.find() ? code.group(1) : firstCode;
            Matcher ready = READY.matcher(line);
            if (ready.find()) {
                Thread reader = new Thread(() -> output.lines().forEach(each -> {}), "server output");
                reader.setDaemon(true);
                reader.start();
                return new Server(process, ready.group(1), firstCode);
            }
        }
        throw new IOException("the server ended before it was ready");
    }

    String address() {
        return address;
    }

    int port() {
        return Integer.parseInt(address.substring(address.lastIndexOf(':') + 1));
    }

    /** Makes the first account. */
    void begin() throws IOException, InterruptedException {
        get("/api/session");
        post("/api/first-account", first("bench"), 201);
    }

    /** A request for the first account under a name, with the code that the server printed. */
    String first(String name) {
        return "{\"code\":\"" + firstCode + "\",\"name\":\"" + name + "\",\"displayName\":\"Called " + name
                + "\",\"roles\":[\"ADMINISTRATOR\",\"THERAPIST\"],\"password\":\"" + PASSWORD + "\"}";
    }

    void signIn() throws IOException, InterruptedException {
        somebody.signIn("bench", PASSWORD);
    }

    String get(String path) throws IOException, InterruptedException {
        return somebody.get(path);
    }

    void post(String path, String body, int status) throws IOException, InterruptedException {
        somebody.post(path, body, status);
    }

    /** Ends it in the middle of whatever it is doing. */
    void kill() {
        process.destroyForcibly();
        process.onExit().join();
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
