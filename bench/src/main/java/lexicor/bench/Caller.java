package lexicor.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;

/** Somebody with a browser of one's own. */
final class Caller {

    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .build();

    Caller(String address) {
        this.address = address;
    }

    void signIn(String name, String password) throws IOException, InterruptedException {
        get("/api/session");
        post("/api/session", "{\"name\":\"" + name + "\",\"password\":\"" + password + "\"}", 200);
    }

    /** The body of an answer; anything but 200 is a fault. */
    String get(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(URI.create(address + path)).build(), 200);
    }

    String post(String path, String body, int status) throws IOException, InterruptedException {
        return send(posting(path, body), status);
    }

    /** Only the status of the answer. */
    int tried(String path, String body) throws IOException, InterruptedException {
        return client.send(posting(path, body), HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }

    private HttpRequest posting(String path, String body) {
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .getValue();
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
    }

    private String send(HttpRequest request, int status) throws IOException, InterruptedException {
        HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() != status) {
            throw new IOException(request.uri() + " answered " + response.statusCode() + ": " + response.body());
        }
        return response.body();
    }
}
