package lexicor.server.notes;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** How much of an examination is written down. */
public enum NoteLength {
    /** What speaks for and against, and the conclusion: for the record of a busy day. */
    SHORT("Short"),
    /** All of it, in the order of the work. */
    FULL("Full"),
    /** To a colleague who takes over. */
    LETTER("Letter"),
    /** Half a page in everyday words, to take home. */
    PATIENT("For the patient");

    private final String label;

    NoteLength(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** As it is named in addresses and settings. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** All names, as they are told to whoever gives another one. */
    public static String ids() {
        return Arrays.stream(values()).map(NoteLength::id).collect(Collectors.joining(", "));
    }

    /** Empty where no length has the name. */
    public static Optional<NoteLength> of(String id) {
        return Arrays.stream(values()).filter(length -> length.id().equals(id)).findFirst();
    }
}
