package lexicor.server.library;

/** How far the card of a test was looked through here. */
public enum CardState {
    DRAFTED,
    AGREED,
    DOUBTFUL,
    WRONG,
    CHANGED_SINCE
}
