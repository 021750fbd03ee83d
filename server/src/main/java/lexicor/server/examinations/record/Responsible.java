package lexicor.server.examinations.record;

import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.Forbidden;

/** What only the person responsible for an examination may do. */
final class Responsible {

    private Responsible() {}

    /**
     * Refuses it to everybody else.
     *
     * @param responsible sign-in name of who is responsible
     * @param what a sentence that says what was tried
     */
    static void require(String responsible, String what) {
        if (!responsible.equals(CurrentUser.isHere())) {
            throw new Forbidden(
                    what + " Take the examination over first; who had it is told, and both names stay in the record.");
        }
    }
}
