package lexicor.core.source;

/** Where something stands in a content file, so that a later check can name it. */
public record Place(String file, int line) {

    /** A fault at this place; throw the result. */
    public SourceException fault(String message) {
        return new SourceException(file, line, message);
    }
}
