package lexicor.server.evidence;

/** Examinations that are not signed, and so may still be weighed by a later ledger. */
public interface OpenExaminations {

    /** How many there are. */
    long count();
}
