package lexicor.server.cases;

/** The hand that leads. */
public enum Dominance {
    RIGHT,
    LEFT,
    BOTH
}
