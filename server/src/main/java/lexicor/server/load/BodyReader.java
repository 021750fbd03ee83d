package lexicor.server.load;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import lexicor.server.problems.PlainProblem;

/**
 * Takes in the body of a request without a thread that waits for it, and hands the request on once it is there as a
 * whole. Callers who send slowly hold no thread, and have {@link #DEADLINE_MS} for all of it.
 */
final class BodyReader implements Filter {

    /** The largest body that is read; a larger one is handed on unread, to be refused. */
    static final int MOST = BodyLimit.MOST;

    private static final long DEADLINE_MS = 20_000;
    private static final String BODY = BodyReader.class.getName();
    private static final int CHUNK = 8192;

    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest http = (HttpServletRequest) request;
        if (http.getAttribute(BODY) instanceof byte[] body) {
            chain.doFilter(new Whole(http, body), response);
        } else if (http.getDispatcherType() == DispatcherType.REQUEST
                && http.getContentLengthLong() > 0
                && http.getContentLengthLong() <= MOST) {
            read(http, (HttpServletResponse) response);
        } else {
            chain.doFilter(request, response);
        }
    }

    private static void read(HttpServletRequest request, HttpServletResponse response) throws IOException {
        AsyncContext async = request.startAsync(request, response);
        async.setTimeout(DEADLINE_MS);
        async.addListener(new TooSlow(response));
        ServletInputStream input = request.getInputStream();
        ByteArrayOutputStream body = new ByteArrayOutputStream((int) request.getContentLengthLong());
        input.setReadListener(new ReadListener() {
            private final byte[] chunk = new byte[CHUNK];

            @Override
            public void onDataAvailable() throws IOException {
                while (input.isReady()) {
                    int length = input.read(chunk);
                    if (length < 0) {
                        return;
                    }
                    body.write(chunk, 0, length);
                }
            }

            @Override
            public void onAllDataRead() {
                request.setAttribute(BODY, body.toByteArray());
                async.dispatch();
            }

            @Override
            public void onError(Throwable gone) {
                async.complete();
            }
        });
    }

    /** Answers a caller who did not send all of it in time. */
    private record TooSlow(HttpServletResponse response) implements AsyncListener {

        @Override
        public void onTimeout(AsyncEvent event) throws IOException {
            response.setHeader("Connection", "close");
            PlainProblem.write(
                    response,
                    org.springframework.http.HttpStatus.REQUEST_TIMEOUT,
                    "body",
                    "body: did not come in within " + DEADLINE_MS / 1000 + " seconds");
            event.getAsyncContext().complete();
        }

        @Override
        public void onComplete(AsyncEvent event) {
            // nothing is left to do
        }

        @Override
        public void onError(AsyncEvent event) {
            // the caller is gone
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            // never begun twice
        }
    }

    /** The request with its body in memory. To everybody behind, it is as if it had come in this way. */
    private static final class Whole extends HttpServletRequestWrapper {

        private final byte[] body;

        private Whole(HttpServletRequest request, byte[] body) {
            super(request);
            this.body = body;
        }

        @Override
        public DispatcherType getDispatcherType() {
            return super.getDispatcherType() == DispatcherType.ASYNC
                    ? DispatcherType.REQUEST
                    : super.getDispatcherType();
        }

        @Override
        public ServletInputStream getInputStream() {
            ByteArrayInputStream bytes = new ByteArrayInputStream(body);
            return new ServletInputStream() {
                @Override
                public int read() {
                    return bytes.read();
                }

                @Override
                public int read(byte[] into, int from, int length) {
                    return bytes.read(into, from, length);
                }

                @Override
                public boolean isFinished() {
                    return bytes.available() == 0;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    throw new IllegalStateException("the body is here already");
                }
            };
        }

        @Override
        public BufferedReader getReader() {
            Charset charset =
                    getCharacterEncoding() == null ? StandardCharsets.UTF_8 : Charset.forName(getCharacterEncoding());
            return new BufferedReader(new InputStreamReader(getInputStream(), charset));
        }
    }
}
