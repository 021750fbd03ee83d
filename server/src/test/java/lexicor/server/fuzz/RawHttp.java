package lexicor.server.fuzz;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/** Sends bytes as they are, however little they are HTTP, and reads what comes back. */
final class RawHttp implements AutoCloseable {

    private static final int PATIENCE_MS = 30_000;

    private final int port;
    private Socket socket;
    private InputStream input;

    RawHttp(int port) {
        this.port = port;
    }

    /** An answer; {@code status} is 0 where the connection was closed without one. */
    record Reply(int status, Map<String, String> headers, String setCookies, String body) {}

    Reply send(byte[] request) throws IOException {
        try {
            return once(request);
        } catch (IOException stale) {
            close();
            return once(request);
        }
    }

    private Reply once(byte[] request) throws IOException {
        if (socket == null) {
            socket = new Socket("127.0.0.1", port);
            socket.setSoTimeout(PATIENCE_MS);
            input = new BufferedInputStream(socket.getInputStream());
        }
        socket.getOutputStream().write(request);
        socket.getOutputStream().flush();
        return read(request.length > 4 && request[0] == 'H' && request[1] == 'E' && request[2] == 'A');
    }

    /** @param headOnly whether no body follows, whatever the head says of it */
    private Reply read(boolean headOnly) throws IOException {
        String first = line();
        if (first.isEmpty()) {
            throw new IOException("closed");
        }
        int status = Integer.parseInt(first.split(" ")[1]);
        Map<String, String> headers = new LinkedHashMap<>();
        StringBuilder cookies = new StringBuilder();
        for (String line = line(); !line.isEmpty(); line = line()) {
            int colon = line.indexOf(':');
            String name = line.substring(0, colon).toLowerCase(Locale.ROOT);
            headers.put(name, line.substring(colon + 1).strip());
            if (name.equals("set-cookie")) {
                cookies.append(line.substring(colon + 1).strip().split(";")[0]).append('\n');
            }
        }
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        if (headOnly) {
            return new Reply(status, headers, cookies.toString(), "");
        }
        if ("chunked".equals(headers.get("transfer-encoding"))) {
            for (int size = Integer.parseInt(line().split(";")[0], 16);
                    size > 0;
                    size = Integer.parseInt(line().split(";")[0], 16)) {
                body.write(input.readNBytes(size));
                line();
            }
            line();
        } else if (headers.containsKey("content-length")) {
            body.write(input.readNBytes(Integer.parseInt(headers.get("content-length"))));
        }
        if ("close".equals(headers.get("connection"))) {
            close();
        }
        return new Reply(status, headers, cookies.toString(), body.toString(StandardCharsets.UTF_8));
    }

    private String line() throws IOException {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        for (int next = input.read(); next >= 0 && next != '\n'; next = input.read()) {
            if (next != '\r') {
                line.write(next);
            }
        }
        return line.toString(StandardCharsets.ISO_8859_1);
    }

    @Override
    public void close() throws IOException {
        if (socket != null) {
            socket.close();
            socket = null;
        }
    }
}
