package lexicor.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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
 * Kills the server at random moments of a scripted examination. What it had acknowledged has to be there when it is back;
 * what it had not is sent again, as the page does, and counts once.
 */
public final class KillTrial {

    private static final int LONGEST_LIFE_MS = 2500;
    private static final List<String> ANSWERS = List.of("none", "familiar", "other");
    private static final Pattern COMMAND = Pattern.compile("\\{\"id\":\"([0-9a-f-]{36})\",\"clientId\"");

    private final Path data;
    private final Random random = new Random(20);
    private final String examination = UUID.randomUUID().toString();
    private final String client = UUID.randomUUID().toString();
    private final Map<String, String> sent = new LinkedHashMap<>();
    private final List<String> acknowledged = new ArrayList<>();
    private int lost;
    private int doubled;
    private int unanswered;

    private KillTrial(Path data) {
        this.data = data;
    }

    /** @param arguments how many kills; 100 where none is given */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        int kills = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 100;
        KillTrial trial = new KillTrial(Files.createTempDirectory("lexicor-kills"));
        trial.begin();
        for (int kill = 0; kill < kills; kill++) {
            trial.liveAndDie();
            if (kill % 10 == 9) {
                trial.say(kill + 1);
            }
        }
        trial.atLast(kills);
    }

    private void begin() throws IOException, InterruptedException {
        try (Server server = Server.start(data)) {
            server.begin();
            server.post("/api/cases", "{\"id\":\"" + UUID.randomUUID() + "\",\"code\":\"KT-1\",\"details\":{\"occupation\":\"Trial\"},\"visit\":{\"id\":\"" + examination
                    + "\",\"region\":\"shoulder\",\"side\":\"RIGHT\",\"setting\":\"FIRST_CONTACT\"}}", 201);
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
        killer.start();
        try {
            for (String waiting : unacknowledged()) {
                send(server, waiting);
            }
            while (true) {
                send(server, next());
            }
        } catch (IOException dead) {
            unanswered += acknowledged.size() < sent.size() ? 1 : 0;
        }
        killer.join();
    }

    private List<String> unacknowledged() {
        return sent.keySet().stream().filter(id -> !acknowledged.contains(id)).toList();
    }

    private String next() {
        String id = UUID.randomUUID().toString();
        sent.put(id, String.format(Locale.ROOT, "{\"commands\":[{\"id\":\"%s\",\"clientId\":\"%s\",\"order\":%d,\"at\":\"2026-11-26T10:00:00Z\",\"kind\":\"RECORD\",\"standAt\":\"sh-neer\",\"attempts\":"
                + "[{\"id\":\"%s\",\"testId\":\"sh-neer\",\"variant\":\"usual\",\"side\":\"RIGHT\",\"tryNumber\":1,\"supersedes\":[],\"parts\":[{\"key\":\"pain\",\"choice\":\"%s\"}]}],\"answers\":[]}]}",
                id, client, sent.size() + 1, UUID.randomUUID(), ANSWERS.get(random.nextInt(ANSWERS.size()))));
        return id;
    }

    private void send(Server server, String id) throws IOException, InterruptedException {
        server.post("/api/examinations/" + examination + "/commands", sent.get(id), 200);
        acknowledged.add(id);
    }

    private void check(Server server) throws IOException, InterruptedException {
        Matcher commands = COMMAND.matcher(server.get("/api/examinations/" + examination));
        List<String> found = new ArrayList<>();
        while (commands.find()) {
            found.add(commands.group(1));
        }
        lost += (int) acknowledged.stream().filter(id -> !found.contains(id)).count();
        doubled += found.size() - (int) found.stream().distinct().count();
        List<String> inOrder = sent.keySet().stream().filter(found::contains).toList();
        if (!found.equals(inOrder)) {
            throw new IllegalStateException("the record is not in the order in which it was sent");
        }
    }

    private void atLast(int kills) throws IOException, InterruptedException {
        try (Server server = Server.start(data)) {
            server.signIn();
            for (String waiting : unacknowledged()) {
                send(server, waiting);
            }
            check(server);
        }
        say(kills);
    }

    private void say(int kills) {
        System.out.printf(Locale.UK, "%d kills, %d of them with an entry under way, which was sent again; %d entries: lost %d, doubled %d%n", kills, unanswered, sent.size(), lost, doubled);
    }
}
