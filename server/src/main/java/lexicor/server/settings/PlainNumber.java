package lexicor.server.settings;

import java.util.regex.Pattern;

/** Numbers as people write them: digits, and at most one full stop among them. */
final class PlainNumber {

    private static final Pattern PLAIN = Pattern.compile("[0-9]{1,9}(\\.[0-9]{1,12})?");

    private PlainNumber() {}

    /** The number; NaN where the text is none. */
    static double of(String text) {
        return PLAIN.matcher(text).matches() ? Double.parseDouble(text) : Double.NaN;
    }
}
