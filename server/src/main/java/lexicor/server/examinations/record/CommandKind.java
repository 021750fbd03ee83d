package lexicor.server.examinations;

/** What a command does. */
public enum CommandKind {
    RECORD,
    UNDO,
    MOVE,
    TELL
}
