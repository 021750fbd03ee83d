package lexicor.bench;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;

/** What a therapist's page sends: a right shoulder, and findings one after the other. */
final class Entries {

    private static final List<String> ANSWERS = List.of("none", "familiar", "other");
    private static final List<String> TESTS = List.of("sh-neer", "sh-hawkins", "sh-er-resist", "sh-empty-can");

    private final String client = UUID.randomUUID().toString();
    private final Random random;
    private long order;

    Entries(long seed) {
        this.random = new Random(seed);
    }

    /** Opens a case with its examination. */
    static String start(String code, String examination) {
        return "{\"id\":\"" + UUID.randomUUID() + "\",\"code\":\"" + code
                + "\",\"details\":{\"occupation\":\"Trial\"},\"visit\":{\"id\":\"" + examination
                + "\",\"region\":\"shoulder\",\"side\":\"RIGHT\",\"setting\":\"FIRST_CONTACT\"}}";
    }

    /** A batch of one command: a finding of one of a few tests. */
    String next(String id) {
        order++;
        String test = TESTS.get((int) (order % TESTS.size()));
        return String.format(
                Locale.ROOT,
                "{\"commands\":[{\"id\":\"%s\",\"clientId\":\"%s\",\"order\":%d,\"at\":\"%s\",\"kind\":\"RECORD\",\"standAt\":\"%s\",\"attempts\":"
                        + "[{\"id\":\"%s\",\"testId\":\"%s\",\"variant\":\"usual\",\"side\":\"RIGHT\",\"tryNumber\":1,\"supersedes\":[],\"parts\":[{\"key\":\"pain\",\"choice\":\"%s\"}]}],\"answers\":[]}]}",
                id,
                client,
                order,
                Instant.now(),
                test,
                UUID.randomUUID(),
                test,
                ANSWERS.get(random.nextInt(ANSWERS.size())));
    }
}
