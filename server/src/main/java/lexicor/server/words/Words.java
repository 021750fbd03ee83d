package lexicor.server.words;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAccessor;
import java.util.Locale;
import lexicor.core.lookup.Phrase;

/** How days and phrases stand in a sentence. */
public final class Words {

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.UK).withZone(ZoneId.systemDefault());

    private Words() {}

    /** Such as 3 May 2026, of an instant by the server's zone, or of a date. */
    public static String day(TemporalAccessor day) {
        return DAY.format(day);
    }

    /** A name of the code as a table says it: small letters, words apart. */
    public static String of(Enum<?> name) {
        return name.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** A phrase as it stands within a sentence. */
    public static String inSentence(String says) {
        return Phrase.within(says);
    }
}
