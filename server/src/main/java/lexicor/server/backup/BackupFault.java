package lexicor.server.backup;

/** A copy that cannot be taken, read or brought back: what is wrong and what is safe, in words for a person. */
public final class BackupFault extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public BackupFault(String words) {
        super(words);
    }

    public BackupFault(String words, Throwable cause) {
        super(words, cause);
    }
}
