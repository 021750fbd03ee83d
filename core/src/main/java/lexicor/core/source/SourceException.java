package lexicor.core.source;

import org.jspecify.annotations.Nullable;

/**
 * A content file that cannot be used, with the place of the fault: {@code file:line: what is wrong and what is
 * allowed}.
 */
public final class SourceException extends RuntimeException {

    private final String file;
    private final int line;
    private final String says;

    public SourceException(String file, int line, @Nullable String message) {
        super(file + ":" + line + ": " + message);
        this.file = file;
        this.line = line;
        this.says = String.valueOf(message);
    }

    /** Name of the content file, never empty. */
    public String file() {
        return file;
    }

    /** What is wrong and what is allowed, without the place. */
    public String says() {
        return says;
    }

    /** Line of the fault, counted from 1. */
    public int line() {
        return line;
    }
}
