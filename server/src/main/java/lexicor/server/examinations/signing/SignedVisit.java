package lexicor.server.examinations.signing;

import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.SignatureRow;

/**
 * An examination as it was signed last.
 *
 * @param recorded what was on record then
 * @param snapshot what went in and what came out, as it was kept
 */
public record SignedVisit(Recorded recorded, SignatureRow signature, Snapshot snapshot) {}
