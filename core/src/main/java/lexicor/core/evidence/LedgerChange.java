package lexicor.core.evidence;

/** One change that a clinic made to its ledger. Changes are only ever added. */
public sealed interface LedgerChange {

    /** A change of one record. */
    sealed interface OfRecord extends LedgerChange {
        RecordId record();
    }

    /** From now on studies are put together in this way. */
    record Policy(EvidencePolicy policy) implements LedgerChange {}

    /** A change that has a record say something. */
    sealed interface Says extends OfRecord {
        LedgerEntry entry();

        /** Fingerprint of the shipped record that it corrects; empty for a study of the clinic's own. */
        String basis();

        @Override
        default RecordId record() {
            return entry().id();
        }
    }

    /** A study of the clinic's own, or a correction of one that is there. */
    record Entered(LedgerEntry entry, String basis) implements Says {}

    /** What a study is to say once a second person agrees; until then everything weighs as before. */
    record Proposed(LedgerEntry entry, String basis) implements Says {}

    /** What was proposed of it holds from now on. */
    record Agreed(RecordId record) implements OfRecord {}

    /** What was proposed of it is dropped. */
    record Declined(RecordId record, String why) implements OfRecord {}

    /** It weighs nothing any more; it stays to be seen. */
    record Withdrawn(RecordId record, String why) implements OfRecord {}

    /** A withdrawal taken back. */
    record Restored(RecordId record) implements OfRecord {}

    /** Corrections of a shipped record taken back: it is again as it ships. */
    record AsShipped(RecordId record) implements OfRecord {}

    /** Compared with its original. */
    record Reviewed(RecordId record, Review review) implements OfRecord {}
}
