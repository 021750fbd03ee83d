package lexicor.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** How long the list of cases and its search take with 100,000 cases, request and answer over HTTP. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 3, time = 4)
public class CaseListBench {

    @Param("100000")
    private int cases;

    /** One server for all benchmarks: filling it takes longer than measuring. */
    private static Server server;

    private int turn;

    /** Runs all benchmarks of this class. */
    public static void main(String[] arguments) throws RunnerException {
        new Runner(new OptionsBuilder()
                        .include(CaseListBench.class.getSimpleName())
                        .forks(0)
                        .shouldFailOnError(true)
                        .build())
                .run();
    }

    @Setup
    public void fill() throws IOException, InterruptedException, SQLException {
        if (server != null) {
            return;
        }
        Path data = Files.createTempDirectory("lexicor-bench");
        try (Server first = Server.start(data)) {
            first.begin();
        }
        ManyCases.fill(data, cases);
        server = Server.start(data);
        server.signIn();
        Runtime.getRuntime().addShutdownHook(new Thread(server::close));
    }

    @Benchmark
    public String first_page() throws IOException, InterruptedException {
        return server.get("/api/cases");
    }

    @Benchmark
    public String a_page_far_down() throws IOException, InterruptedException {
        return server.get("/api/cases?page=" + (2000 + turn++ % 1000));
    }

    @Benchmark
    public String one_state_and_region() throws IOException, InterruptedException {
        return server.get("/api/cases?state=TESTING&region=wrist");
    }

    @Benchmark
    public String search_by_code() throws IOException, InterruptedException {
        return server.get("/api/cases?find=bn-0" + (10_000 + turn++ % 80_000));
    }

    @Benchmark
    public String search_by_two_letters() throws IOException, InterruptedException {
        return server.get("/api/cases?find=" + new String[] {"ro", "ch", "ha", "bo", "ki"}[turn++ % 5]);
    }

    @Benchmark
    public String search_by_two_words() throws IOException, InterruptedException {
        return server.get("/api/cases?find=harp%20tun");
    }
}
