package lexicor.server.backup;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Copies of a record from the command line: {@code backup FILE}, {@code restore FILE}, {@code verify FILE}. */
public final class BackupTool {

    private static final Duration PATIENCE = Duration.ofMinutes(30);
    private static final Duration PAUSE = Duration.ofMillis(200);
    private static final int WRONG_CALL = 2;
    private static final int REFUSED = 4;

    private static final String DATA = "--data=";
    private static final String PASSPHRASE_FILE = "--passphrase-file=";

    private final int knows;
    private final PrintStream out;
    private final PrintStream faults;

    /** @param knows number of the last migration that this program brings */
    public BackupTool(int knows, PrintStream out, PrintStream faults) {
        this.knows = knows;
        this.out = out;
        this.faults = faults;
    }

    /** Whether a call is one of this tool's. */
    public static boolean knows(String[] arguments) {
        return arguments.length > 0 && List.of("backup", "restore", "verify").contains(arguments[0]);
    }

    /** Does what a call asks for, says what came of it, and gives the code to exit with: 0 where it succeeded. */
    public int run(String[] arguments) {
        Path data = Path.of("data");
        Optional<char[]> passphrase = Optional.empty();
        List<String> files = new ArrayList<>();
        try {
            for (String argument : List.of(arguments).subList(1, arguments.length)) {
                if (argument.startsWith(DATA)) {
                    data = Path.of(argument.substring(DATA.length()));
                } else if (argument.startsWith(PASSPHRASE_FILE)) {
                    passphrase = Optional.of(
                            BackupArchive.passphrase(Path.of(argument.substring(PASSPHRASE_FILE.length()))));
                } else {
                    files.add(argument);
                }
            }
            if (files.size() != 1) {
                faults.println("lexicor: " + arguments[0] + " needs one file; it was given " + files.size() + ".");
                return WRONG_CALL;
            }
            Path file = Path.of(files.get(0));
            switch (arguments[0]) {
                case "backup" -> backup(data, file, passphrase);
                case "restore" -> restore(file, data, passphrase);
                default -> verify(file, passphrase);
            }
            return 0;
        } catch (BackupFault fault) {
            faults.println("lexicor: " + fault.getMessage());
            return REFUSED;
        } finally {
            BackupArchive.forget(passphrase);
        }
    }

    private void backup(Path data, Path file, Optional<char[]> passphrase) {
        Path record = data.resolve(RecordDatabase.FILE);
        if (!Files.exists(record)) {
            throw new BackupFault("There is no record in " + data + " (--data DIR names another folder).");
        }
        if (Files.exists(file)) {
            throw new BackupFault(file + " is there already, and was left as it is. Choose another name.");
        }
        BackupArchive.Taken taken;
        try (Connection connection = RecordDatabase.open(data)) {
            taken = BackupArchive.write(connection, Clock.systemUTC().instant(), file, passphrase);
        } catch (SQLException fault) {
            if (fault.getErrorCode() != RecordDatabase.IN_USE) {
                throw new BackupFault("The record in " + data + " cannot be opened: " + fault.getMessage(), fault);
            }
            taken = fromServer(data, file, passphrase);
        }
        out.println(file + ": " + taken.manifest().contents().words() + "; "
                + taken.bytes() / 1024 + " kB, read back and found whole"
                + (passphrase.isPresent() ? ", encrypted." : "; not encrypted."));
    }

    /** Asks the server that has the record open. */
    private static BackupArchive.Taken fromServer(Path data, Path file, Optional<char[]> passphrase) {
        try {
            BackupFolder.Asked asked = BackupFolder.of(data).ask();
            try {
                await(asked);
                return BackupArchive.repack(asked.copy(), file, passphrase);
            } finally {
                asked.forget();
            }
        } catch (IOException fault) {
            throw new BackupFault("The server could not be asked for a copy: " + fault.getMessage() + ".", fault);
        }
    }

    private static void await(BackupFolder.Asked asked) throws IOException {
        long until = System.nanoTime() + PATIENCE.toNanos();
        while (!Files.exists(asked.copy())) {
            Optional<String> refusal = asked.refusal();
            if (refusal.isPresent()) {
                throw new BackupFault(refusal.get());
            }
            if (System.nanoTime() > until) {
                throw new BackupFault("The server that has the record open did not answer within "
                        + PATIENCE.toMinutes() + " minutes. Nothing was copied.");
            }
            try {
                Thread.sleep(PAUSE.toMillis());
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                throw new BackupFault("Stopped; nothing was copied.", stopped);
            }
        }
    }

    private void restore(Path file, Path data, Optional<char[]> passphrase) {
        BackupArchive.Manifest manifest = BackupArchive.restore(file, data, passphrase, knows);
        out.println(data + " now holds " + manifest.contents().words() + ", as copied at " + manifest.takenAt()
                + ". Start with: ./lexicor serve --data " + data);
    }

    private void verify(Path file, Optional<char[]> passphrase) {
        BackupArchive.Manifest manifest = BackupArchive.verify(file, passphrase);
        out.println(file + " is whole: " + manifest.contents().words() + ", copied at " + manifest.takenAt()
                + ", schema " + manifest.contents().schema() + ".");
    }
}
