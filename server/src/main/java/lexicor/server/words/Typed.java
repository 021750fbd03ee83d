package lexicor.server.words;

import java.util.regex.Pattern;

/** Words that somebody typed, before they stand among lines that the product writes. */
public final class Typed {

    /** Breaks of a line in every script, and signs that turn the direction of writing or cannot be seen. */
    private static final Pattern BREAKS = Pattern.compile("[\\p{Cntrl}\\u0085\\u2028\\u2029]+");

    private static final Pattern UNSEEN = Pattern.compile("[\\p{Cf}&&[^\\u200C\\u200D\\u00AD]]+");

    private Typed() {}

    /** In one line, so that typed words can never look like a line of their own. Never null. */
    public static String oneLine(String words) {
        return UNSEEN.matcher(BREAKS.matcher(words).replaceAll(" / "))
                .replaceAll("")
                .strip();
    }
}
