package lexicor.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Kills the server at random moments while three therapists record. What it had acknowledged has to be there when it is
 * back; what it had not is sent again, as the page does, and counts once; and every entry has its line in the audit.
 */
public final class KillTrial {

    private static final int STREAMS = 3;
    private static final int LONGEST_LIFE_MS = 2500;
    private static final Pattern COMMAND = Pattern.compile("\\{\"id\":\"([0-9a-f-]{36})\",\"clientId\"");

    private final Path data;
    private final Random random = new Random(20);
    private final List<Stream> streams = new ArrayList<>();
    private int lost;
    private int doubled;
    private int unanswered;

    private KillTrial(Path data) {
        this.data = data;
        for (int i = 0; i < STREAMS; i++) {
            streams.add(new Stream(new Entries(i)));
        }
    }

    /** One therapist at one examination. */
    private static final class Stream {

        private final String examination = UUID.randomUUID().toString();
        private final Entries entries;
        private final Map<String, String> sent = new LinkedHashMap<>();
        private final List<String> acknowledged = new ArrayList<>();

        private Stream(Entries entries) {
            this.entries = entries;
        }

        private void record(Caller caller) throws IOException, InterruptedException {
            for (String waiting : unacknowledged()) {
                send(caller, waiting);
            }
            while (true) {
                String id = UUID.randomUUID().toString();
                sent.put(id, entries.next(id));
                send(caller, id);
            }
        }

        private List<String> unacknowledged() {
            return sent.keySet().stream()
                    .filter(id -> !acknowledged.contains(id))
                    .toList();
        }

        private void send(Caller caller, String id) throws IOException, InterruptedException {
            caller.post("/api/examinations/" + examination + "/commands", sent.get(id), 200);
            acknowledged.add(id);
        }
    }

    /** @param arguments how many kills; 100 where none is given */
    public static void main(String[] arguments) throws IOException, InterruptedException, SQLException {
        int kills = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 100;
        KillTrial trial = new KillTrial(Files.createTempDirectory("lexicor-kills"));
        trial.begin();
        for (int kill = 0; kill < kills; kill++) {
            trial.liveAndDie();
            if (kill % 10 == 9) {
                trial.say(kill + 1, "");
            }
        }
        trial.atLast(kills);
    }

    private void begin() throws IOException, InterruptedException {
        try (Server server = Server.start(data)) {
            server.begin();
            for (int i = 0; i < STREAMS; i++) {
                server.post("/api/cases", Entries.start("KT-" + i, streams.get(i).examination), 201);
            }
        }
    }

    /** One life of the server: checks what it knows, sends what it does not, goes on recording until it is killed. */
    private void liveAndDie() throws IOException, InterruptedException {
        Server server = Server.start(data);
        server.signIn();
        check(server);
        Thread killer = new Thread(() -> {
            try {
                Thread.sleep(random.nextInt(LONGEST_LIFE_MS));
            } catch (InterruptedException early) {
                Thread.currentThread().interrupt();
            }
            server.kill();
        });
        List<Thread> therapists = streams.stream()
                .map(stream -> new Thread(() -> record(server, stream)))
                .toList();
        therapists.forEach(Thread::start);
        killer.start();
        for (Thread therapist : therapists) {
            therapist.join();
        }
        killer.join();
        unanswered += (int) streams.stream()
                .filter(stream -> stream.acknowledged.size() < stream.sent.size())
                .count();
    }

    private static void record(Server server, Stream stream) {
        try {
            Caller caller = new Caller(server.address());
            caller.signIn("bench", Server.PASSWORD);
            stream.record(caller);
        } catch (IOException dead) {
            // the server was killed
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void check(Server server) throws IOException, InterruptedException {
        for (Stream stream : streams) {
            Matcher commands = COMMAND.matcher(server.get("/api/examinations/" + stream.examination));
            List<String> found = new ArrayList<>();
            while (commands.find()) {
                found.add(commands.group(1));
            }
            lost += (int) stream.acknowledged.stream()
                    .filter(id -> !found.contains(id))
                    .count();
            doubled += found.size() - (int) found.stream().distinct().count();
            if (!found.equals(
                    stream.sent.keySet().stream().filter(found::contains).toList())) {
                throw new IllegalStateException("the record is not in the order in which it was sent");
            }
        }
    }

    private void atLast(int kills) throws IOException, InterruptedException, SQLException {
        try (Server server = Server.start(data)) {
            server.signIn();
            check(server);
        }
        say(kills, ", entries without their line in the audit " + withoutLine());
    }

    /**
     * Entries on record beyond those that the audit tells of. Each was sent by itself, so that each has a line of its
     * own.
     */
    private int withoutLine() throws SQLException {
        int missing = 0;
        try (Connection record =
                DriverManager.getConnection("jdbc:h2:file:" + data.resolve("lexicor"), "lexicor", "")) {
            for (Stream stream : streams) {
                int entries = count(
                        record, "select count(*) from command where examination_id = '" + stream.examination + "'");
                int lines = count(
                        record,
                        "select count(*) from audit_entry where action = 'ENTERED' and subject = 'examination' and subject_id = '"
                                + stream.examination + "'");
                missing += Math.max(0, entries - lines);
            }
        }
        return missing;
    }

    private static int count(Connection record, String question) throws SQLException {
        try (ResultSet answer = record.createStatement().executeQuery(question)) {
            answer.next();
            return answer.getInt(1);
        }
    }

    private void say(int kills, String more) {
        System.out.printf(
                Locale.UK,
                "%d kills, %d streams, %d entries under way when killed; %d entries: lost %d, doubled %d%s%n",
                kills,
                STREAMS,
                unanswered,
                streams.stream().mapToInt(stream -> stream.sent.size()).sum(),
                lost,
                doubled,
                more);
    }
}
