package lexicor.server.examinations.export;

import java.util.List;
import java.util.UUID;
import lexicor.server.audit.Traced;

/**
 * What a case that is brought in holds, and what it meets here.
 *
 * @param here whether it is here already and says the same; then nothing is added
 * @param signed how many of its visits are signed
 * @param results how many results of imaging, surgery or time it has
 * @param newPeople names of those who have no account here; each gets one that is closed
 * @param otherDecisions visits that were weighed by other decisions than this clinic's; here they are weighed by these
 * @param otherLedgers visits that were weighed by a ledger that this server cannot make; here they are weighed by its
 *     own
 * @param kept whether it is on record now
 */
public record CaseBroughtJson(
        UUID caseId,
        String code,
        boolean here,
        int complaints,
        int visits,
        int signed,
        int results,
        List<String> newPeople,
        int otherDecisions,
        int otherLedgers,
        boolean kept)
        implements Traced.Known {

    @Override
    public String tracedId() {
        return caseId.toString();
    }
}
