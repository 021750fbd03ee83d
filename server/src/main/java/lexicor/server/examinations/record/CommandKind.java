package lexicor.server.examinations.record;

/** What a command does. */
public enum CommandKind {
    RECORD,
    UNDO,
    MOVE,
    TELL
}
