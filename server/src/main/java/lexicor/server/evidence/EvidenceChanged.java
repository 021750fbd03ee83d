package lexicor.server.evidence;

/** Told within the change itself, so that what is kept beside the ledger changes with it or not at all. */
public record EvidenceChanged(Figures figures) {}
