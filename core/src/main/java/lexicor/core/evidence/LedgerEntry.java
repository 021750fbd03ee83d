package lexicor.core.evidence;

/** A published result and what it speaks for; both name the same record. */
public record LedgerEntry(AccuracyRecord record, Tie tie) {

    /** @throws IllegalArgumentException if they are of different records */
    public LedgerEntry {
        if (!record.id().equals(tie.record())) {
            throw new IllegalArgumentException("record " + record.id() + " cannot have the tie of " + tie.record());
        }
    }

    public RecordId id() {
        return record.id();
    }

    /** Whether it comes from those who proposed the test or derived the rule. */
    public boolean byInventors() {
        return record.originator() || tie instanceof Tie.ToTest to && to.inventors();
    }

    /** The same result, kept and not used. */
    LedgerEntry unused(String because) {
        return new LedgerEntry(record, new Tie.Unused(id(), because));
    }

    LedgerEntry reviewed(String state) {
        return new LedgerEntry(record.withReviewState(state), tie);
    }

    /**
     * All that can change what it weighs or how it reads, in one line: equal content, equal text. Not the line of the
     * file and not whether anybody has checked it.
     */
    public String content() {
        return record.withReviewState("").withLine(0) + " " + tie;
    }
}
