package lexicor.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged server as a process of its own, with somebody signed in. */
final class Server implements AutoCloseable {

    private static final Pattern READY = Pattern.compile("Lexicor is ready at (http://localhost:\\d+)");
    private static final String PERSON = "{\"name\":\"bench\",\"displayName\":\"Bench\",\"roles\":[\"ADMINISTRATOR\",\"THERAPIST\"],\"password\":\"many many cases\"}";

    private final Process process;
    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();

    private Server(Process process, String address) {
        this.process = process;
        this.address = address;
    }

    static Server start(Path data) throws IOException {
        Process process = new ProcessBuilder("java", "-XX:TieredStopAtLevel=1", "-jar", System.getProperty("lexicor.jar"), "--server.port=0", "--lexicor.data=" + data, "--lexicor.demo=false")
                .redirectErrorStream(true).start();
        BufferedReader output = process.inputReader();
        for (String line = output.readLine(); line != null; line = output.readLine()) {
            Matcher ready = READY.matcher(line);
            if (ready.find()) {
                Thread reader = new Thread(() -> output.lines().forEach(each -> { }), "server output");
                reader.setDaemon(true);
                reader.start();
                return new Server(process, ready.group(1));
            }
        }
        throw new IOException("the server ended before it was ready");
    }

    /** Makes the first account. */
    void begin() throws IOException, InterruptedException {
        get("/api/session");
        post("/api/first-account", PERSON, 201);
    }

    void signIn() throws IOException, InterruptedException {
        get("/api/session");
        post("/api/session", "{\"name\":\"bench\",\"password\":\"many many cases\"}", 200);
    }

    /** The body of an answer; anything but 200 is a fault. */
    String get(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(URI.create(address + path)).build(), 200);
    }

    void post(String path, String body, int status) throws IOException, InterruptedException {
        String token = cookies.getCookieStore().getCookies().stream().filter(cookie -> cookie.getName().equals("XSRF-TOKEN")).findFirst().orElseThrow().getValue();
        send(HttpRequest.newBuilder(URI.create(address + path)).header("Content-Type", "application/json").header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(body)).build(), status);
    }

    private String send(HttpRequest request, int status) throws IOException, InterruptedException {
        HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() != status) {
            throw new IOException(request.uri() + " answered " + response.statusCode() + ": " + response.body());
        }
        return response.body();
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
