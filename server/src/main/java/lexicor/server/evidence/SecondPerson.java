package lexicor.server.evidence;

/** Whether a figure of the ledger changes only once a second person has agreed. */
public interface SecondPerson {

    boolean needed();
}
