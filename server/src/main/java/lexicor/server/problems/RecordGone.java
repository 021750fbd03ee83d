package lexicor.server.problems;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.CannotCreateTransactionException;

/** Whether a request failed because the database was not there, whatever was asked. */
public final class RecordGone {

    /** What is wrong and what is safe, in words. */
    public static final String WORDS =
            "The record cannot be reached just now. What was saved is safe; please try again.";

    /** What the pool says of a connection that broke while it was used. */
    private static final String CLOSED = "Connection is closed";

    private RecordGone() {}

    public static boolean is(Throwable fault) {
        for (Throwable cause = fault; cause != null; cause = cause.getCause()) {
            if (cause instanceof DataAccessResourceFailureException
                    || cause instanceof CannotCreateTransactionException
                    || cause instanceof SQLException lost && isLoss(lost)) {
                return true;
            }
        }
        return false;
    }

    /** By SQL's names for a connection that failed, PostgreSQL's for a server that stops, and the pool's own words. */
    private static boolean isLoss(SQLException fault) {
        String state = fault.getSQLState();
        return fault instanceof SQLTransientConnectionException
                || (state == null
                        ? CLOSED.equals(fault.getMessage())
                        : state.startsWith("08") || state.startsWith("57P"));
    }
}
