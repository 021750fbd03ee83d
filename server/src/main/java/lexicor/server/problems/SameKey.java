package lexicor.server.problems;

import java.sql.SQLException;
import org.springframework.dao.DataIntegrityViolationException;

/** Whether the tables refused something because it is on record already. */
public final class SameKey {

    /** SQL's own name for a key that is on record already. */
    private static final String STATE = "23505";

    private SameKey() {}

    public static boolean is(DataIntegrityViolationException fault) {
        return fault.getMostSpecificCause() instanceof SQLException refused && STATE.equals(refused.getSQLState());
    }
}
