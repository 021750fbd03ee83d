package lexicor.server.cases;

/** How far an examination has got. */
public enum VisitState {
    /** Red flags have not all been asked. */
    BEGUN,
    /** A red flag suspends testing. */
    SUSPENDED,
    /** Red flags asked, nothing tested. */
    SCREENED,
    /** Some tests are done. */
    TESTING,
    /** Every test of the routine is done or left out. */
    DONE,
    /** Signed, and not opened again since. */
    SIGNED
}
