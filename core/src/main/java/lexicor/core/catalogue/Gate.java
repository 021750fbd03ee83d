package lexicor.core.catalogue;

/**
 * A reason why an answer cannot be read. A gate acts only once its rule is known to hold.
 *
 * @param when when the gate closes
 * @param voids what it takes away
 * @param because the reason in plain words, without a full stop
 */
public record Gate(Rule when, Voids voids, String because) {

    /** A compensation usually hides weakness, so it voids a negative but leaves a positive standing. */
    public enum Voids {
        NEGATIVES,
        EVERYTHING
    }

    public boolean closed(Answers answers) {
        return when.truth(answers) == Truth.YES;
    }
}
