package lexicor.server.accounts;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.TimeMeter;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/**
 * Slows down guessing. A name may fail five times at once and then once in half a minute; an address fifty times and then
 * once in five seconds.
 */
@Component
class SignInThrottle {

    static final int TRIES = 5;

    private static final int TRIES_OF_AN_ADDRESS = 50;
    private static final int MOST_REMEMBERED = 10_000;

    private final Cache<String, Bucket> buckets = Caffeine.newBuilder().maximumSize(MOST_REMEMBERED).expireAfterAccess(1, TimeUnit.HOURS).build();
    private final TimeMeter time;

    SignInThrottle(Clock clock) {
        this.time = new TimeMeter() {
            @Override
            public long currentTimeNanos() {
                return TimeUnit.MILLISECONDS.toNanos(clock.millis());
            }

            @Override
            public boolean isWallClockBased() {
                return true;
            }
        };
    }

    /** How long to wait before the next try; empty where it may be made now. */
    Optional<Duration> wait(String name, String address) {
        long nanos = Math.max(ofName(name).estimateAbilityToConsume(1).getNanosToWaitForRefill(), ofAddress(address).estimateAbilityToConsume(1).getNanosToWaitForRefill());
        return nanos > 0 ? Optional.of(Duration.ofNanos(nanos)) : Optional.empty();
    }

    void failed(String name, String address) {
        ofName(name).tryConsume(1);
        ofAddress(address).tryConsume(1);
    }

    void succeeded(String name) {
        buckets.invalidate("name " + name);
    }

    private Bucket ofName(String name) {
        return bucket("name " + name, TRIES, Duration.ofSeconds(30));
    }

    private Bucket ofAddress(String address) {
        return bucket("address " + address, TRIES_OF_AN_ADDRESS, Duration.ofSeconds(5));
    }

    private Bucket bucket(String key, int tries, Duration each) {
        return buckets.get(key, missing -> Bucket.builder().withCustomTimePrecision(time)
                .addLimit(limit -> limit.capacity(tries).refillIntervally(1, each)).build());
    }
}
