package lexicor.server.cases;

/** The side of a complaint. */
public enum Affected {
    LEFT,
    RIGHT,
    BOTH
}
