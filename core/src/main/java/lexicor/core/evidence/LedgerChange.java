package lexicor.core.evidence;

/** One change that a clinic made to its ledger. Changes are only ever added. */
public sealed interface LedgerChange {

    RecordId record();

    /**
     * A study of the clinic's own, or a correction of one that is there.
     *
     * @param basis fingerprint of the shipped record that was corrected; empty for a study of the clinic's own
     */
    record Entered(LedgerEntry entry, String basis) implements LedgerChange {
        @Override
        public RecordId record() {
            return entry.id();
        }
    }

    /** It weighs nothing any more; it stays to be seen. */
    record Withdrawn(RecordId record, String why) implements LedgerChange {}

    /** A withdrawal taken back. */
    record Restored(RecordId record) implements LedgerChange {}

    /** Corrections of a shipped record taken back: it is again as it ships. */
    record AsShipped(RecordId record) implements LedgerChange {}

    /** Compared with its original. */
    record Reviewed(RecordId record, Review review) implements LedgerChange {}
}
