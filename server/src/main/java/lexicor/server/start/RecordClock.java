package lexicor.server.start;

import java.sql.Timestamp;
import java.time.Clock;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Sets the clock by the record before the first request: nothing new is dated before what is there already. */
@Component
class RecordClock implements SmartInitializingSingleton {

    private final Clock clock;
    private final JdbcTemplate database;

    RecordClock(Clock clock, JdbcTemplate database) {
        this.clock = clock;
        this.database = database;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (clock instanceof MonotonicClock monotonic) {
            last("select max(at) from audit_entry", monotonic);
            last("select max(received_at) from command", monotonic);
        }
    }

    private void last(String question, MonotonicClock monotonic) {
        Timestamp found = database.queryForObject(question, Timestamp.class);
        if (found != null) {
            monotonic.notBefore(found.toInstant());
        }
    }
}
