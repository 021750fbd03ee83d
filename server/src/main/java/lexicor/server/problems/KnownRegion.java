package lexicor.server.problems;

import lexicor.core.catalogue.Catalogue;

/** Refuses what is no region. */
public final class KnownRegion {

    private KnownRegion() {}

    /** @throws BadInput that names the field and what is allowed */
    public static void require(Catalogue catalogue, String field, String region) {
        if (region == null || !catalogue.routines().containsKey(region)) {
            throw new BadInput(
                    field,
                    "'" + region + "' is no region; allowed: "
                            + String.join(", ", catalogue.routines().keySet()));
        }
    }
}
