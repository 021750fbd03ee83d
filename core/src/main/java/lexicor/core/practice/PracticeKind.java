package lexicor.core.practice;

/** What makes a practice case hard, if anything does. */
public enum PracticeKind {
    /** One thing is wrong. */
    PLAIN,
    /** One thing is wrong, and something else that it is mistaken for is provoked by the same tests. */
    RIVAL,
    /** Two things are wrong. */
    TWO,
    /** A red flag is there for whoever asks. */
    FLAG,
    /** Some tests must not be done, for whoever asks. */
    LOCK,
    /** Nothing that the region's tests are about is wrong. */
    NOTHING
}
