package lexicor.server.library;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/** Numbers that may be absent, as columns and JSON hold them. */
final class OrNull {

    private OrNull() {}

    static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    static Integer orNull(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }
}
