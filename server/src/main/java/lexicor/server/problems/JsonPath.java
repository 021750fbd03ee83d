package lexicor.server.problems;

import tools.jackson.core.JacksonException;

/** Where in a JSON text something cannot be read. */
public final class JsonPath {

    private JsonPath() {}

    /** Such as {@code visits[0].region}; empty where the text as a whole is at fault. */
    public static String of(JacksonException fault) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference step : fault.getPath()) {
            if (step.getPropertyName() == null) {
                path.append('[').append(step.getIndex()).append(']');
            } else {
                path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
            }
        }
        return path.toString();
    }
}
