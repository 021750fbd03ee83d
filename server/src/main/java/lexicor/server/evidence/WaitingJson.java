package lexicor.server.evidence;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What waits for a second person.
 *
 * @param needed whether the clinic wants a second person
 */
@Schema(name = "LedgerWaitingJson")
public record WaitingJson(boolean needed, List<OfJson> changes) {

    /**
     * One change.
     *
     * @param subject test or clue in words
     * @param mine whether the person at work made it, and another has to agree
     */
    @Schema(name = "LedgerWaitingOfJson")
    public record OfJson(StandingJson.ChangeJson change, String subject, String condition, boolean mine) {}
}
