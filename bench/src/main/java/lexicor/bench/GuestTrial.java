package lexicor.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/** Many at the door at once: first accounts, guesses, callers who send slowly, and fifty therapists at work. */
public final class GuestTrial {

    private static final int SLOW = 500;
    private static final int GUESSES = 200;
    private static final int THERAPISTS = 50;
    private static final int SECONDS = 60;
    private static final int TAP_EVERY_MS = 2000;

    private final Server server;

    private GuestTrial(Server server) {
        this.server = server;
    }

    public static void main(String[] arguments) throws Exception {
        Path data = Files.createTempDirectory("lexicor-guests");
        try (Server server = Server.start(data)) {
            GuestTrial trial = new GuestTrial(server);
            trial.firstAccounts();
        }
        try (Server server = Server.start(Files.createTempDirectory("lexicor-guests"))) {
            server.begin();
            server.signIn();
            GuestTrial trial = new GuestTrial(server);
            trial.guesses();
            trial.slowCallers();
            trial.therapists(1, 20);
            trial.therapists(THERAPISTS, SECONDS);
        }
    }

    private void firstAccounts() throws InterruptedException, ExecutionException {
        List<Callable<Integer>> eight = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            String request = server.first("first" + i);
            eight.add(() -> {
                Caller caller = new Caller(server.address());
                caller.get("/api/session");
                return caller.tried("/api/first-account", request);
            });
        }
        say(
                "first accounts made by 8 calls at once: %d",
                together(8, eight).stream().filter(status -> status == 201).count());
    }

    private void guesses() throws InterruptedException, ExecutionException {
        List<Callable<Integer>> guesses = new ArrayList<>();
        for (int i = 0; i < GUESSES; i++) {
            String guess = "{\"name\":\"bench\",\"password\":\"a guess of number " + i + "\"}";
            guesses.add(() -> {
                Caller caller = new Caller(server.address());
                caller.get("/api/session");
                return caller.tried("/api/session", guess);
            });
        }
        List<Integer> statuses = together(GUESSES, guesses);
        say(
                "passwords looked at in %d tries at once: %d",
                GUESSES, statuses.stream().filter(status -> status == 401).count());
    }

    /** Half of them send the head of a request byte by byte, half the body of one. */
    private void slowCallers() throws IOException, InterruptedException {
        List<Socket> slow = new ArrayList<>();
        ScheduledExecutorService drip = Executors.newSingleThreadScheduledExecutor();
        for (int i = 0; i < SLOW; i++) {
            Socket socket = new Socket("127.0.0.1", server.port());
            String begin = i % 2 == 0
                    ? "GET /api/session HTTP/1.1\r\nHost: localhost\r\nX-Slow: "
                    : "POST /api/calculate/accuracy HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n{";
            socket.getOutputStream().write(begin.getBytes(StandardCharsets.US_ASCII));
            slow.add(socket);
        }
        drip.scheduleAtFixedRate(() -> slow.forEach(GuestTrial::oneMore), 1, 1, TimeUnit.SECONDS);
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            long before = System.nanoTime();
            server.get("/api/cases");
            times.add((System.nanoTime() - before) / 1e6);
            Thread.sleep(500);
        }
        Thread.sleep(6000);
        long open = slow.stream().filter(GuestTrial::isOpen).count();
        drip.shutdownNow();
        for (Socket socket : slow) {
            socket.close();
        }
        say(
                "the list beside %d slow callers: median %.0f ms, 95th %.0f ms, worst %.0f ms; after half a minute %d of them still hold a connection",
                SLOW, at(times, 0.5), at(times, 0.95), at(times, 1), open);
    }

    private static void oneMore(Socket socket) {
        try {
            socket.getOutputStream().write('x');
        } catch (IOException closed) {
            // as it should be
        }
    }

    private static boolean isOpen(Socket socket) {
        try {
            OutputStream output = socket.getOutputStream();
            output.write('x');
            Thread.sleep(2);
            output.write('x');
            return socket.getInputStream().available() == 0;
        } catch (IOException closed) {
            return false;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private void therapists(int many, int seconds) throws InterruptedException, ExecutionException {
        List<Double> saves = Collections.synchronizedList(new ArrayList<>());
        List<Double> weighings = Collections.synchronizedList(new ArrayList<>());
        AtomicInteger errors = new AtomicInteger();
        List<Callable<Integer>> work = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            int number = i;
            work.add(() -> work(many + "-" + number, number, seconds, saves, weighings, errors));
        }
        together(many, work);
        say(
                "%d therapist%s for %d s, a tap each %d s: %d taps; saving median %.0f ms, 95th %.0f ms; weighing median %.0f ms, 95th %.0f ms; errors %d",
                many,
                many == 1 ? "" : "s",
                seconds,
                TAP_EVERY_MS / 1000,
                saves.size(),
                at(saves, 0.5),
                at(saves, 0.95),
                at(weighings, 0.5),
                at(weighings, 0.95),
                errors.get());
    }

    private int work(
            String code, int seed, int seconds, List<Double> saves, List<Double> weighings, AtomicInteger errors)
            throws IOException, InterruptedException {
        Caller caller = new Caller(server.address());
        Thread.sleep((long) seed * TAP_EVERY_MS / THERAPISTS);
        for (int tries = 0; ; tries++) {
            try {
                caller.signIn("bench", Server.PASSWORD);
                break;
            } catch (IOException busy) {
                if (tries > 20) {
                    throw busy;
                }
                Thread.sleep(1000);
            }
        }
        String examination = UUID.randomUUID().toString();
        caller.post("/api/cases", Entries.start("GT-" + code, examination), 201);
        Entries entries = new Entries(seed);
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        long next = System.nanoTime();
        while (System.nanoTime() < end) {
            next += TimeUnit.MILLISECONDS.toNanos(TAP_EVERY_MS);
            try {
                long before = System.nanoTime();
                caller.post(
                        "/api/examinations/" + examination + "/commands",
                        entries.next(UUID.randomUUID().toString()),
                        200);
                long saved = System.nanoTime();
                caller.get("/api/examinations/" + examination + "/weighing");
                saves.add((saved - before) / 1e6);
                weighings.add((System.nanoTime() - saved) / 1e6);
            } catch (IOException fault) {
                errors.incrementAndGet();
            }
            Thread.sleep(Math.max(0, (next - System.nanoTime()) / 1_000_000));
        }
        return 0;
    }

    private static <T> List<T> together(int many, List<Callable<T>> work)
            throws InterruptedException, ExecutionException {
        ExecutorService threads = Executors.newFixedThreadPool(many);
        try {
            List<T> results = new ArrayList<>();
            for (Future<T> each : threads.invokeAll(work)) {
                results.add(each.get());
            }
            return results;
        } finally {
            threads.shutdownNow();
        }
    }

    /** The value below which a share of them lies. */
    private static double at(List<Double> values, double share) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.isEmpty()
                ? Double.NaN
                : sorted.get((int) Math.min(sorted.size() - 1, Math.floor(share * sorted.size())));
    }

    private static void say(String words, Object... values) {
        System.out.printf(Locale.UK, words + "%n", values);
    }
}
