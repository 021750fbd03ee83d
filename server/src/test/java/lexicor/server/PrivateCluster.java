package lexicor.server;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * A PostgreSQL of the tests' own: made from the machine's programs in a folder that goes with the process, listening to
 * this machine alone. One a process.
 */
public final class PrivateCluster {

    public static final String USER = "lexicor";

    private static final Path PROGRAMS = Path.of("/usr/lib/postgresql");

    /** PostgreSQL refuses to run as root: then it runs as the user that its package has made. */
    private static final String ITS_OWN = "postgres";

    private static PrivateCluster only;

    private final Path programs;
    private final Path folder;
    private final int port;
    private final String password = UUID.randomUUID().toString();

    private PrivateCluster() throws IOException, InterruptedException {
        programs = programs();
        folder = Files.createTempDirectory("lexicor-postgresql");
        port = freePort();
        Path secret = Files.writeString(folder.resolve("password"), password);
        own(folder);
        own(secret);
        Path data = folder.resolve("data");
        run(
                "initdb",
                "-D",
                data + "",
                "-U",
                USER,
                "--pwfile=" + secret,
                "-A",
                "scram-sha-256",
                "-E",
                "UTF8",
                "--no-sync");
        run(
                "pg_ctl",
                "-D",
                data + "",
                "-w",
                "-l",
                folder.resolve("log") + "",
                "-o",
                "-p " + port + " -c listen_addresses=127.0.0.1 -k " + folder + " -c fsync=off",
                "start");
        Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
    }

    /** The one of this process, started the first time it is asked for. */
    public static synchronized PrivateCluster get() {
        if (only == null) {
            try {
                only = new PrivateCluster();
            } catch (IOException fault) {
                throw new IllegalStateException("PostgreSQL did not start", fault);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException("PostgreSQL was not waited for", stopped);
            }
        }
        return only;
    }

    public String password() {
        return password;
    }

    /** Address of a database; it need not be there. */
    public String address(String database) {
        return "jdbc:postgresql://127.0.0.1:" + port + "/" + database;
    }

    /** Makes an empty database and tells its address. */
    public String database(String name) throws SQLException {
        try (Connection connection = DriverManager.getConnection(address("postgres"), USER, password);
                Statement statement = connection.createStatement()) {
            statement.execute("create database " + name);
        }
        return address(name);
    }

    public Connection open(String address) throws SQLException {
        return DriverManager.getConnection(address, USER, password);
    }

    private void stop() {
        try {
            run("pg_ctl", "-D", folder.resolve("data") + "", "-m", "immediate", "stop");
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(each);
                }
            }
        } catch (IOException left) {
            System.err.println("A PostgreSQL of the tests was left in " + folder + ": " + left.getMessage());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static Path programs() throws IOException {
        try (Stream<Path> versions = Files.list(PROGRAMS)) {
            return versions.map(version -> version.resolve("bin"))
                    .filter(bin -> Files.isExecutable(bin.resolve("initdb")))
                    .max(Comparator.naturalOrder())
                    .orElseThrow();
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }

    private static boolean asRoot() {
        return "root".equals(System.getProperty("user.name"));
    }

    private static void own(Path path) throws IOException {
        if (asRoot()) {
            Files.setOwner(
                    path,
                    FileSystems.getDefault().getUserPrincipalLookupService().lookupPrincipalByName(ITS_OWN));
        }
    }

    private void run(String program, String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        if (asRoot()) {
            command.addAll(List.of("runuser", "-u", ITS_OWN, "--"));
        }
        command.add(programs.resolve(program).toString());
        command.addAll(List.of(arguments));
        Path said = folder.resolve(program + ".said");
        Process process = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        if (!process.waitFor(60, TimeUnit.SECONDS) || process.exitValue() != 0) {
            process.destroyForcibly();
            throw new IOException(program + " failed: " + Files.readString(said));
        }
    }
}
