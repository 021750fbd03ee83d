package lexicor.server.json;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/** Numbers that may be absent, as columns and JSON hold them. */
public final class OrNull {

    private OrNull() {}

    public static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    public static Integer orNull(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }
}
