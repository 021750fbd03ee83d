package lexicor.server.notes;

import java.util.EnumMap;
import java.util.Map;
import lexicor.core.source.SourceNode;

/** The templates that ship. */
public final class NoteTemplates {

    private static final Map<NoteLength, String> SHIPPED = new EnumMap<>(NoteLength.class);

    static {
        for (NoteLength length : NoteLength.values()) {
            SHIPPED.put(length, SourceNode.resourceText("/notes/" + length.id() + ".txt"));
        }
    }

    private NoteTemplates() {}

    /** Never null. */
    public static String shipped(NoteLength length) {
        return SHIPPED.get(length);
    }
}
