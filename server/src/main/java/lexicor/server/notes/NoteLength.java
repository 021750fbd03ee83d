package lexicor.server.examinations;

/** How much of an examination is written down. */
public enum NoteLength {
    /** What speaks for and against, and the conclusion: for the record of a busy day. */
    SHORT,
    /** All of it, in the order of the work. */
    FULL,
    /** To a colleague who takes over. */
    LETTER
}
