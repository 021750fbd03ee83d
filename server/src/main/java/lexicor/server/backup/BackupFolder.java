package lexicor.server.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;

/** The folder of copies beside a record. */
public record BackupFolder(Path path) {

    private static final String ASKED = ".asked";

    public static BackupFolder of(Path data) {
        return new BackupFolder(data.resolve("backups"));
    }

    /** The copies, latest first: their names are their times. */
    public List<Path> copies() {
        if (!Files.isDirectory(path)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(path)) {
            return all.filter(each -> each.getFileName().toString().matches("lexicor-\\d{8}-\\d{6}\\.zip"))
                    .sorted(Comparator.reverseOrder())
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Lets all but the latest go. */
    void keep(int number) {
        copies().stream().skip(number).forEach(old -> {
            try {
                Files.deleteIfExists(old);
            } catch (IOException stays) {
                throw new BackupFault("The old copy " + old + " cannot be taken away.", stays);
            }
        });
    }

    /** Takes away what copies that were broken off have left behind. */
    void clean(Instant before) {
        if (!Files.isDirectory(path)) {
            return;
        }
        try (Stream<Path> all = Files.list(path)) {
            for (Path each : all.filter(BackupFolder::passing).toList()) {
                if (Files.getLastModifiedTime(each).toInstant().isBefore(before)) {
                    FileSystemUtils.deleteRecursively(each);
                }
            }
        } catch (IOException stays) {
            throw new UncheckedIOException(stays);
        }
    }

    private static boolean passing(Path each) {
        String name = each.getFileName().toString();
        return name.startsWith(BackupArchive.WORKING) || name.matches("copy-.*\\.(asked|copy|fault)");
    }

    /** What the command line has asked for. */
    List<Asked> asked() {
        if (!Files.isDirectory(path)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(path)) {
            return all.filter(each -> each.getFileName().toString().endsWith(ASKED))
                    .map(Asked::new)
                    .toList();
        } catch (IOException unreadable) {
            return List.of();
        }
    }

    /** Asks a working server for a copy. */
    Asked ask() throws IOException {
        Files.createDirectories(path);
        return new Asked(Files.createTempFile(path, "copy-", ASKED));
    }

    /** A copy that was asked for; the answer lies beside it. */
    record Asked(Path request) {

        private Path beside(String ending) {
            return request.resolveSibling(request.getFileName().toString().replace(ASKED, ending));
        }

        Path copy() {
            return beside(".copy");
        }

        private Path fault() {
            return beside(".fault");
        }

        void begun() {
            try {
                Files.deleteIfExists(request);
            } catch (IOException stays) {
                throw new UncheckedIOException(stays);
            }
        }

        void failed(String words) {
            try {
                begun();
                Files.writeString(fault(), words);
            } catch (IOException unwritten) {
                throw new UncheckedIOException(unwritten);
            }
        }

        /** Why the server could not; empty where it could or has not answered yet. */
        Optional<String> refusal() throws IOException {
            return Files.exists(fault()) ? Optional.of(Files.readString(fault())) : Optional.empty();
        }

        void forget() throws IOException {
            Files.deleteIfExists(request);
            Files.deleteIfExists(copy());
            Files.deleteIfExists(fault());
        }
    }
}
