package lexicor.core.lookup;

import java.util.Locale;

/** How a phrase stands at the beginning of a sentence and within one. */
public final class Phrase {

    private Phrase() {}

    /** Within a sentence: with a small letter, unless it begins with an abbreviation such as AC. */
    public static String within(String phrase) {
        return phrase.isEmpty() || phrase.length() > 1 && Character.isUpperCase(phrase.charAt(1))
                ? phrase
                : phrase.substring(0, 1).toLowerCase(Locale.UK) + phrase.substring(1);
    }

    /** At the beginning of one. */
    public static String first(String phrase) {
        return phrase.isEmpty() ? phrase : phrase.substring(0, 1).toUpperCase(Locale.UK) + phrase.substring(1);
    }
}
