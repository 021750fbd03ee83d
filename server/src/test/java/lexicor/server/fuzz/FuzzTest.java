package lexicor.server.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lexicor.server.LexicorApplication;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** However a call is made, the fault is never the server's. */
class FuzzTest {

    private static final int CALLS = Integer.getInteger("lexicor.fuzz.calls", 1200);
    private static final long SEED = Long.getLong("lexicor.fuzz.seed", 20261129L);

    @Test
    void no_call_is_answered_as_a_fault_of_the_server() throws IOException {
        try (ConfigurableApplicationContext server = new SpringApplicationBuilder(LexicorApplication.class)
                .run(
                        "--server.port=0",
                        "--spring.datasource.url=jdbc:h2:mem:fuzz;DB_CLOSE_DELAY=-1",
                        "--lexicor.demo=true")) {
            JdbcTemplate database = server.getBean(JdbcTemplate.class);
            List<String> ids = new ArrayList<>(database.queryForList(
                    "select cast(id as varchar) from examination where id not in (select examination_id from signature)",
                    String.class));
            ids.addAll(database.queryForList("select cast(id as varchar) from case_file", String.class));
            Fuzzer fuzzer =
                    new Fuzzer(Integer.parseInt(server.getEnvironment().getProperty("local.server.port")), SEED, ids);
            Map<Integer, Integer> statuses = new TreeMap<>();
            List<String> faults = new ArrayList<>();
            for (int call = 0; call < CALLS; call++) {
                Fuzzer.Call made = fuzzer.next();
                statuses.merge(made.reply().status(), 1, Integer::sum);
                if (made.reply().status() >= 500 || made.reply().status() == 0) {
                    faults.add(made.reply().status() + " " + made.reply().body() + "\n    "
                            + made.request().replace("\r\n", "\n    "));
                }
            }
            System.out.println("fuzz: " + CALLS + " calls, by status " + statuses);
            assertThat(statuses.keySet())
                    .as("calls that are right are among them")
                    .contains(200, 400, 403);
            assertThat(faults).as("of %d calls", CALLS).isEmpty();
        }
    }

    /** The connector turns TRACE away before any filter sees the call, and shows the page of errors in its name. */
    @Test
    void a_method_that_the_connector_refuses_is_no_fault_of_the_server_whatever_it_brings() throws IOException {
        try (ConfigurableApplicationContext server = new SpringApplicationBuilder(LexicorApplication.class)
                        .run("--server.port=0", "--spring.datasource.url=jdbc:h2:mem:trace;DB_CLOSE_DELAY=-1");
                RawHttp connection =
                        new RawHttp(Integer.parseInt(server.getEnvironment().getProperty("local.server.port")))) {
            for (String type : List.of("application/json", "multipart/form-data", "multipart/form-data; boundary=x")) {
                String request = "TRACE /api/calculate/agreement HTTP/1.1\r\nHost: localhost\r\nContent-Type: " + type
                        + "\r\nContent-Length: 4\r\n\r\nnull";
                assertThat(connection
                                .send(request.getBytes(StandardCharsets.US_ASCII))
                                .status())
                        .as(type)
                        .isEqualTo(405);
            }
        }
    }
}
