package lexicor.server.library;

import lexicor.server.evidence.StandingJson;

/** A record of the ledger with how it stands here. */
public record RecordSheetJson(RecordJson record, StandingJson standing) {}
