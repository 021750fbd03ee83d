package lexicor.core.examination;

/** A side of the body. */
public enum Side {
    LEFT,
    RIGHT;

    public Side other() {
        return this == LEFT ? RIGHT : LEFT;
    }
}
