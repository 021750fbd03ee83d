package lexicor.server.disk;

import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Whether the disk that holds the record has room for more. The database closes itself on a write that finds none, so
 * that writing stops before: at {@link #RESERVE}, or a twentieth of a small disk.
 */
@Component
public class DiskRoom {

    /** Bytes that are left free. */
    private static final long RESERVE = 16L * 1024 * 1024;

    private static final int SHARE = 20;

    private final Path data;

    public DiskRoom(@Value("${lexicor.data}") String data) {
        this.data = Path.of(data);
    }

    /** Whether something more can be written. Where nobody can tell, it is tried. */
    public boolean isThere() {
        return isThere(data);
    }

    /** Whether something more can be written to the disk of a folder. Where nobody can tell, it is tried. */
    public static boolean isThere(Path folder) {
        try {
            FileStore disk = Files.getFileStore(Files.exists(folder) ? folder : Path.of("."));
            return disk.getUsableSpace() > Math.min(RESERVE, disk.getTotalSpace() / SHARE);
        } catch (IOException unknown) {
            return true;
        }
    }

    /** What is wrong and what is safe, in words. */
    public static final String FULL =
            "The disk of the server is full. What was saved is safe, and what you enter is kept in this browser until there is room again. Please tell whoever looks after the server.";
}
