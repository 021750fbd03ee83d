package lexicor.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Set;
import lexicor.server.Asking;
import lexicor.server.LexicorApplication;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpSession;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@SpringBootTest(classes = LexicorApplication.class, properties = {"spring.datasource.url=jdbc:h2:mem:sessions;DB_CLOSE_DELAY=-1", "lexicor.demo=false"})
@AutoConfigureMockMvc
class SessionApiTest {

    private static final String PASSWORD = "a rather long one";

    @Autowired
    private MockMvcTester server;

    @Autowired
    private AccountService accounts;

    @Test
    void the_first_account_is_asked_for_once_and_keeps_the_others() throws Exception {
        if (accounts.isEmpty()) {
            assertThat(json(ask(HttpMethod.GET, "/api/session", null, ""), 200).get("firstAccount").asBoolean()).isTrue();
            assertThat(json(ask(HttpMethod.POST, "/api/first-account", null, account("lone", "STUDENT")), 400).get("detail").asString()).contains("ADMINISTRATOR");
            MockHttpSession session = new MockHttpSession();
            JsonNode made = json(ask(HttpMethod.POST, "/api/first-account", session, account("first", "ADMINISTRATOR")), 201);
            assertThat(made.at("/person/name").asString()).isEqualTo("first");
        }
        assertThat(json(ask(HttpMethod.POST, "/api/first-account", null, account("second", "ADMINISTRATOR")), 409).get("detail").asString()).contains("ask the administrator");
        JsonNode session = json(ask(HttpMethod.GET, "/api/session", null, ""), 200);
        assertThat(session.get("firstAccount").asBoolean()).isFalse();
        assertThat(session.has("person")).isFalse();
        assertThat(session.get("demoPeople")).as("outside the demo").isEmpty();
    }

    @Test
    void signing_in_begins_a_session_of_its_own_and_signing_out_ends_it() throws Exception {
        make("dale", Role.STUDENT);
        MockHttpSession session = new MockHttpSession();
        String before = session.getId();
        JsonNode in = json(ask(HttpMethod.POST, "/api/session", session, signIn("Dale ", PASSWORD)), 200);
        assertThat(in.at("/person/roles/0").asString()).isEqualTo("STUDENT");
        assertThat(session.getId()).as("a new id, so that a planted one is worth nothing").isNotEqualTo(before);
        json(ask(HttpMethod.GET, "/api/library", session, ""), 200);
        json(ask(HttpMethod.GET, "/api/cases", session, ""), 403);
        assertThat(ask(HttpMethod.DELETE, "/api/session", session, "").getResponse().getStatus()).isEqualTo(204);
        assertThat(session.isInvalid()).isTrue();
    }

    @Test
    void a_wrong_password_and_an_unknown_name_get_the_same_answer() throws Exception {
        make("heath", Role.STUDENT);
        String wrong = json(ask(HttpMethod.POST, "/api/session", null, signIn("heath", "not it")), 401).get("detail").asString();
        assertThat(json(ask(HttpMethod.POST, "/api/session", null, signIn("nobody-at-all", "not it")), 401).get("detail").asString()).isEqualTo(wrong);
    }

    @Test
    void guessing_is_slowed_down_and_says_for_how_long() throws Exception {
        make("moss", Role.STUDENT);
        for (int i = 0; i < SignInThrottle.TRIES; i++) {
            json(ask(HttpMethod.POST, "/api/session", null, signIn("moss", "guess " + i)), 401);
        }
        MvcTestResult slowed = ask(HttpMethod.POST, "/api/session", null, signIn("moss", PASSWORD));
        assertThat(json(slowed, 429).get("detail").asString()).matches("Too many tries. Please wait \\d+ seconds.");
        assertThat(Integer.parseInt(slowed.getResponse().getHeader("Retry-After"))).isBetween(1, 30);
    }

    @Test
    void the_throttle_lets_go_after_half_a_minute_and_at_once_after_a_success() {
        Instant[] now = {Instant.parse("2026-03-02T10:00:00Z")};
        SignInThrottle throttle = new SignInThrottle(new Clock() {
            @Override
            public ZoneOffset getZone() {
                return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(java.time.ZoneId zone) {
                return this;
            }

            @Override
            public Instant instant() {
                return now[0];
            }
        });
        for (int i = 0; i < SignInThrottle.TRIES; i++) {
            assertThat(throttle.wait("beck", "10.0.0.1")).isEmpty();
            throttle.failed("beck", "10.0.0.1");
        }
        assertThat(throttle.wait("beck", "10.0.0.1")).hasValueSatisfying(wait -> assertThat(wait).isBetween(Duration.ofSeconds(29), Duration.ofSeconds(30)));
        assertThat(throttle.wait("somebody else", "10.0.0.1")).isEmpty();
        now[0] = now[0].plusSeconds(31);
        assertThat(throttle.wait("beck", "10.0.0.1")).isEmpty();
        throttle.failed("beck", "10.0.0.1");
        assertThat(throttle.wait("beck", "10.0.0.1")).isPresent();
        throttle.succeeded("beck");
        assertThat(throttle.wait("beck", "10.0.0.1")).isEmpty();
    }

    @Test
    void a_password_is_changed_by_whoever_knows_the_present_one() throws Exception {
        make("combe", Role.STUDENT);
        MockHttpSession session = new MockHttpSession();
        json(ask(HttpMethod.POST, "/api/session", session, signIn("combe", PASSWORD)), 200);
        assertThat(json(ask(HttpMethod.POST, "/api/session/password", session, "{\"present\":\"no\",\"fresh\":\"another long one\"}"), 400).get("field").asString()).isEqualTo("present");
        assertThat(json(ask(HttpMethod.POST, "/api/session/password", session, "{\"present\":\"" + PASSWORD + "\",\"fresh\":\"short\"}"), 400).get("field").asString()).isEqualTo("fresh");
        json(ask(HttpMethod.POST, "/api/session/password", session, "{\"present\":\"" + PASSWORD + "\",\"fresh\":\"another long one\"}"), 200);
        json(ask(HttpMethod.GET, "/api/library", session, ""), 200);
        json(ask(HttpMethod.POST, "/api/session", null, signIn("combe", PASSWORD)), 401);
        json(ask(HttpMethod.POST, "/api/session", null, signIn("combe", "another long one")), 200);
    }

    @Test
    void an_account_that_is_switched_off_ends_its_session_at_once() throws Exception {
        AccountJson made = make("holt", Role.THERAPIST);
        MockHttpSession session = new MockHttpSession();
        json(ask(HttpMethod.POST, "/api/session", session, signIn("holt", PASSWORD)), 200);
        json(ask(HttpMethod.GET, "/api/cases", session, ""), 200);
        Asking administrator = Asking.as(server, "head", Role.ADMINISTRATOR);
        administrator.put("/api/accounts/" + made.id(), "{\"displayName\":\"Holt\",\"roles\":[\"THERAPIST\"],\"active\":false,\"version\":" + made.version() + "}", 200);
        json(ask(HttpMethod.GET, "/api/cases", session, ""), 401);
        json(ask(HttpMethod.POST, "/api/session", null, signIn("holt", PASSWORD)), 401);
    }

    @Test
    void the_last_administrator_stays_one_and_a_stale_change_is_refused() {
        if (accounts.isEmpty()) {
            accounts.first(new AccountJson.NewAccount("first", "First", Set.of(Role.ADMINISTRATOR), PASSWORD));
        }
        Asking administrator = Asking.as(server, "head", Role.ADMINISTRATOR);
        JsonNode first = administrator.get("/api/accounts", 200).valueStream().filter(each -> each.get("name").asString().equals("first")).findFirst().orElseThrow();
        String address = "/api/accounts/" + first.get("id").asString();
        int version = first.get("version").asInt();
        assertThat(administrator.put(address, "{\"displayName\":\"F\",\"roles\":[\"STEWARD\"],\"active\":true,\"version\":" + version + "}", 400).get("detail").asString()).contains("last administrator");
        assertThat(administrator.put(address, "{\"displayName\":\"F\",\"roles\":[\"ADMINISTRATOR\"],\"active\":true,\"version\":" + (version + 7) + "}", 409).get("detail").asString())
                .contains("Somebody else changed");
    }

    @Test
    void faults_in_a_new_account_are_named_and_no_hash_leaves_the_server() {
        Asking administrator = Asking.as(server, "head", Role.ADMINISTRATOR);
        assertThat(administrator.post("/api/accounts", account("No Spaces", "STUDENT"), 400).get("field").asString()).isEqualTo("name");
        assertThat(administrator.post("/api/accounts", account("rill", "STUDENT").replace(PASSWORD, "short"), 400).get("field").asString()).isEqualTo("password");
        administrator.post("/api/accounts", account("rill", "STUDENT"), 201);
        assertThat(administrator.post("/api/accounts", account("rill", "STUDENT"), 400).get("detail").asString()).contains("'rill' is in use");
        assertThat(administrator.get("/api/accounts", 200).toString()).doesNotContain("$2a$").doesNotContain("assword");
    }

    private AccountJson make(String name, Role role) {
        if (accounts.isEmpty()) {
            accounts.first(new AccountJson.NewAccount("first", "First", Set.of(Role.ADMINISTRATOR), PASSWORD));
        }
        return accounts.add(new AccountJson.NewAccount(name, name, Set.of(role), PASSWORD));
    }

    private static String account(String name, String role) {
        return "{\"name\":\"" + name + "\",\"displayName\":\"Somebody\",\"roles\":[\"" + role + "\"],\"password\":\"" + PASSWORD + "\"}";
    }

    private static String signIn(String name, String password) {
        return "{\"name\":\"" + name + "\",\"password\":\"" + password + "\"}";
    }

    private MvcTestResult ask(HttpMethod method, String address, MockHttpSession session, String body) {
        var request = server.method(method).uri(address).with(csrf()).contentType(MediaType.APPLICATION_JSON).content(body);
        return (session == null ? request : request.session(session)).exchange();
    }

    private static JsonNode json(MvcTestResult result, int status) throws Exception {
        String body = result.getResponse().getContentAsString();
        assertThat(result.getResponse().getStatus()).as(body).isEqualTo(status);
        return body.isEmpty() ? JsonMapper.shared().nullNode() : JsonMapper.shared().readTree(body);
    }
}
