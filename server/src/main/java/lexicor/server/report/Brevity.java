package lexicor.server.report;

/**
 * How much of a report is left out so that it fits its two pages. What is left out stands in the note.
 *
 * @param sentences whether findings say what they mean
 * @param words the most characters of one line; longer ones are cut
 * @param findings the most findings listed
 */
record Brevity(boolean sentences, int words, int findings) {

    /** From the fullest to the briefest. The last one fits whatever was recorded. */
    static final Brevity[] STEPS = {
        new Brevity(true, 1000, 200),
        new Brevity(false, 1000, 200),
        new Brevity(false, 300, 60),
        new Brevity(false, 160, 24),
        new Brevity(false, 90, 14)
    };
}
