package lexicor.core.source;

/**
 * Something in the content that can be read but is not as it should be, and what is assumed until it is mended.
 *
 * @param place where it stands
 * @param says what is wrong and what is assumed, in a sentence
 */
public record Warning(Place place, String says) {

    @Override
    public String toString() {
        return place.file() + ", line " + place.line() + ": " + says;
    }
}
