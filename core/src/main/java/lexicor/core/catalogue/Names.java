package lexicor.core.catalogue;

import java.util.List;
import java.util.Optional;

/**
 * What the field calls a test beside its descriptive name.
 *
 * @param usual the name that is used most; empty where that is the descriptive one
 * @param also further names
 * @param misspelt how the names are misspelt, for searching only
 */
public record Names(Optional<String> usual, List<String> also, List<String> misspelt) {

    /** A test known by its descriptive name alone. */
    public static final Names NONE = new Names(Optional.empty(), List.of(), List.of());

    public Names {
        also = List.copyOf(also);
        misspelt = List.copyOf(misspelt);
    }
}
