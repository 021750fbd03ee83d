package lexicor.server.accounts;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.TimeMeter;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import lexicor.server.problems.TooManyTries;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Slows down guessing. A try is paid for before the password is looked at, so that many at once are no way round, and
 * is given back where it succeeds. Each device that signed in as this person before has an allowance of its own;
 * strangers share one by name and address, and a wider one by name, so that somebody else's tries keep nobody out for
 * more than seconds. An address may be that of a proxy or a whole clinic, so that its own allowance is wide. Time is
 * the machine's monotonic one.
 */
@Component
class SignInThrottle {

    /** Tries at once of a stranger at one address on one name; then one every {@link #STRANGER_EVERY}. */
    static final int TRIES = 5;

    static final Duration STRANGER_EVERY = Duration.ofSeconds(8);
    private static final int TRIES_OF_A_DEVICE = 10;
    private static final Duration DEVICE_EVERY = Duration.ofSeconds(5);
    private static final int TRIES_ON_A_NAME = 40;
    private static final Duration NAME_EVERY = Duration.ofSeconds(2);
    private static final int TRIES_OF_AN_ADDRESS = 300;
    private static final Duration ADDRESS_EVERY = Duration.ofSeconds(1);
    private static final int MOST_REMEMBERED = 50_000;

    private final Cache<String, Bucket> buckets = Caffeine.newBuilder()
            .maximumSize(MOST_REMEMBERED)
            .expireAfterAccess(1, TimeUnit.HOURS)
            .build();
    private final TimeMeter time;

    @Autowired
    SignInThrottle() {
        this(TimeMeter.SYSTEM_NANOTIME);
    }

    SignInThrottle(TimeMeter time) {
        this.time = time;
    }

    /** A try that was paid for. */
    final class Try {

        private final List<Bucket> paid;

        private Try(List<Bucket> paid) {
            this.paid = List.copyOf(paid);
        }

        /** The try was none: it costs nothing. */
        void takenBack() {
            paid.forEach(bucket -> bucket.addTokens(1));
        }

        /** The try was right: it costs nothing, and what was tried before it is forgiven at the narrowest allowance. */
        void succeeded() {
            paid.get(0).reset();
            paid.stream().skip(1).forEach(bucket -> bucket.addTokens(1));
        }
    }

    /**
     * Pays for a try.
     *
     * @param device id of a device on which this person signed in before; null for a stranger
     * @throws TooManyTries where it has to wait, and for how long
     */
    Try pay(String name, String address, String device) {
        List<Bucket> paid = new ArrayList<>();
        if (device == null) {
            pay(paid, "stranger " + name + " " + address, TRIES, STRANGER_EVERY);
            pay(paid, "name " + name, TRIES_ON_A_NAME, NAME_EVERY);
            pay(paid, "address " + address, TRIES_OF_AN_ADDRESS, ADDRESS_EVERY);
        } else {
            pay(paid, "device " + name + " " + device, TRIES_OF_A_DEVICE, DEVICE_EVERY);
        }
        return new Try(paid);
    }

    private void pay(List<Bucket> paid, String key, int tries, Duration each) {
        Bucket bucket = buckets.get(
                key,
                missing -> Bucket.builder()
                        .withCustomTimePrecision(time)
                        .addLimit(limit -> limit.capacity(tries).refillIntervally(1, each))
                        .build());
        var probe = bucket.tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            paid.forEach(earlier -> earlier.addTokens(1));
            throw new TooManyTries(Duration.ofNanos(probe.getNanosToWaitForRefill()));
        }
        paid.add(bucket);
    }
}
