package lexicor.server.database;

/** Why a record did not go from one database to another, in words for whoever asked for it. */
public class CopyFault extends RuntimeException {

    private static final long serialVersionUID = 1;

    public CopyFault(String message) {
        super(message);
    }
}
