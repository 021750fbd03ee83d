package lexicor.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import lexicor.server.LexicorApplication;
import lexicor.server.PrivateCluster;
import lexicor.server.ServerDatabaseUnderTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpSession;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** A server database that goes away while somebody works, and comes back. */
@SpringBootTest(
        classes = LexicorApplication.class,
        properties = {"lexicor.demo=false", "spring.datasource.hikari.connection-timeout=500"})
@ContextConfiguration(initializers = LostDatabaseTest.OfItsOwn.class)
@AutoConfigureMockMvc
@DirtiesContext
class LostDatabaseTest {

    private static final String NAME = "lost";

    static class OfItsOwn implements ApplicationContextInitializer<ConfigurableApplicationContext> {
        @Override
        public void initialize(ConfigurableApplicationContext context) {
            try {
                ServerDatabaseUnderTest.use(context, PrivateCluster.get().database(NAME));
            } catch (SQLException fault) {
                throw new IllegalStateException(fault);
            }
        }
    }

    @Autowired
    private MockMvcTester server;

    @Autowired
    private FirstAccountCode code;

    private final MockHttpSession session = new MockHttpSession();

    private static void command(String words) throws SQLException {
        PrivateCluster cluster = PrivateCluster.get();
        try (Connection connection = cluster.open(cluster.address("postgres"));
                Statement statement = connection.createStatement()) {
            statement.execute(words);
        }
    }

    private void assertAnswer(int status, String words) {
        assertThat(server.get().uri("/api/accounts").session(session))
                .hasStatus(status)
                .bodyText()
                .contains(words);
    }

    @Test
    void whoever_is_signed_in_is_told_that_the_record_is_away_and_goes_on_when_it_is_back() throws SQLException {
        assertThat(server.post()
                        .uri("/api/first-account")
                        .session(session)
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("""
                                {"code":"%s","name":"first","displayName":"F","roles":["ADMINISTRATOR"],\
                                "password":"a rather long one"}""".formatted(code.printed())))
                .hasStatus(201);
        assertAnswer(200, "first");

        command("alter database " + NAME + " allow_connections false");
        command("select pg_terminate_backend(pid) from pg_stat_activity where datname = '" + NAME + "'");
        assertAnswer(503, "The record cannot be reached just now. What was saved is safe");
        assertAnswer(503, "The record cannot be reached just now. What was saved is safe");

        command("alter database " + NAME + " allow_connections true");
        assertAnswer(200, "first");
    }
}
