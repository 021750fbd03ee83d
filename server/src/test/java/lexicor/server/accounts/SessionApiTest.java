package lexicor.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import jakarta.servlet.http.Cookie;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import lexicor.server.Asking;
import lexicor.server.LexicorApplication;
import lexicor.server.problems.TooManyTries;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpSession;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@SpringBootTest(
        classes = LexicorApplication.class,
        properties = {"spring.datasource.url=jdbc:h2:mem:sessions;DB_CLOSE_DELAY=-1", "lexicor.demo=false"})
@AutoConfigureMockMvc
class SessionApiTest {

    private static final String PASSWORD = "a rather long one";

    @Autowired
    private MockMvcTester server;

    @Autowired
    private AccountService accounts;

    @Autowired
    private FirstAccountCode code;

    @Autowired
    private SecondFactor secondFactor;

    @Autowired
    private Passwords passwords;

    @Autowired
    private JdbcTemplate database;

    @Test
    void the_first_account_is_asked_for_once_and_keeps_the_others() throws Exception {
        if (accounts.isEmpty()) {
            assertThat(json(ask(HttpMethod.GET, "/api/session", null, ""), 200)
                            .get("firstAccount")
                            .asBoolean())
                    .isTrue();
            assertThat(json(
                                    ask(
                                            HttpMethod.POST,
                                            "/api/first-account",
                                            null,
                                            firstAccount("lone", "STUDENT", code.printed())),
                                    400)
                            .get("detail")
                            .asString())
                    .contains("ADMINISTRATOR");
            assertThat(json(
                                    ask(
                                            HttpMethod.POST,
                                            "/api/first-account",
                                            null,
                                            firstAccount("lone", "ADMINISTRATOR", "ABCD-EFGH-IJKL-MNOP")),
                                    400)
                            .get("field")
                            .asString())
                    .isEqualTo("code");
            MockHttpSession session = new MockHttpSession();
            JsonNode made = json(
                    ask(
                            HttpMethod.POST,
                            "/api/first-account",
                            session,
                            firstAccount(
                                    "first",
                                    "ADMINISTRATOR",
                                    code.printed().toLowerCase(Locale.ROOT).replace('-', ' '))),
                    201);
            assertThat(made.at("/person/name").asString()).isEqualTo("first");
        }
        assertThat(json(
                                ask(
                                        HttpMethod.POST,
                                        "/api/first-account",
                                        null,
                                        firstAccount("second", "ADMINISTRATOR", code.printed())),
                                409)
                        .get("detail")
                        .asString())
                .contains("ask the administrator");
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
        assertThat(session.getId())
                .as("a new id, so that a planted one is worth nothing")
                .isNotEqualTo(before);
        json(ask(HttpMethod.GET, "/api/library", session, ""), 200);
        json(ask(HttpMethod.GET, "/api/cases", session, ""), 403);
        assertThat(ask(HttpMethod.DELETE, "/api/session", session, "")
                        .getResponse()
                        .getStatus())
                .isEqualTo(204);
        assertThat(session.isInvalid()).isTrue();
    }

    @Test
    void a_wrong_password_and_an_unknown_name_get_the_same_answer() throws Exception {
        make("heath", Role.STUDENT);
        String wrong = json(ask(HttpMethod.POST, "/api/session", null, signIn("heath", "not it")), 401)
                .get("detail")
                .asString();
        assertThat(json(ask(HttpMethod.POST, "/api/session", null, signIn("nobody-at-all", "not it")), 401)
                        .get("detail")
                        .asString())
                .isEqualTo(wrong);
    }

    @Test
    void guessing_is_slowed_down_and_says_for_how_long() throws Exception {
        make("moss", Role.STUDENT);
        for (int i = 0; i < SignInThrottle.TRIES; i++) {
            json(ask(HttpMethod.POST, "/api/session", null, signIn("moss", "guess " + i)), 401);
        }
        MvcTestResult slowed = ask(HttpMethod.POST, "/api/session", null, signIn("moss", PASSWORD));
        assertThat(json(slowed, 429).get("detail").asString()).matches("Too many tries. Please wait \\d+ seconds.");
        assertThat(Integer.parseInt(slowed.getResponse().getHeader("Retry-After")))
                .isBetween(1, 8);
    }

    @Test
    void a_device_on_which_somebody_signed_in_before_is_not_kept_out_by_the_tries_of_strangers() throws Exception {
        make("fern", Role.STUDENT);
        MvcTestResult in = ask(HttpMethod.POST, "/api/session", null, signIn("fern", PASSWORD));
        Cookie device = java.util.Arrays.stream(in.getResponse().getCookies())
                .filter(cookie -> cookie.getName().startsWith("lexicor-device-"))
                .findFirst()
                .orElseThrow();
        assertThat(device.isHttpOnly()).isTrue();
        for (int i = 0; i <= SignInThrottle.TRIES; i++) {
            ask(HttpMethod.POST, "/api/session", null, signIn("fern", "guess " + i));
        }
        json(ask(HttpMethod.POST, "/api/session", null, signIn("fern", PASSWORD)), 429);
        assertThat(withCookie(signIn("fern", PASSWORD), device).getResponse().getStatus())
                .isEqualTo(200);
        Cookie forged = new Cookie(device.getName(), device.getValue().replaceFirst("^..", "AA"));
        assertThat(withCookie(signIn("fern", PASSWORD), forged).getResponse().getStatus())
                .isEqualTo(429);
    }

    @Test
    void two_hundred_guesses_at_once_are_no_more_than_one_after_the_other() throws Exception {
        make("bryn", Role.STUDENT);
        ExecutorService many = Executors.newFixedThreadPool(50);
        try {
            List<Future<Integer>> guesses = new ArrayList<>();
            for (int i = 0; i < 200; i++) {
                String guess = "a wrong guess " + i;
                guesses.add(many.submit(() -> ask(HttpMethod.POST, "/api/session", null, signIn("bryn", guess))
                        .getResponse()
                        .getStatus()));
            }
            int looked = 0;
            for (Future<Integer> guess : guesses) {
                looked += guess.get() == 429 ? 0 : 1;
            }
            assertThat(looked).isBetween(1, SignInThrottle.TRIES + 2);
        } finally {
            many.shutdownNow();
        }
    }

    @Test
    void of_eight_first_accounts_at_once_one_is_made() throws Exception {
        try (var fresh = new org.springframework.boot.builder.SpringApplicationBuilder(LexicorApplication.class)
                .run(
                        "--server.port=0",
                        "--spring.datasource.url=jdbc:h2:mem:firsts;DB_CLOSE_DELAY=-1",
                        "--lexicor.demo=false")) {
            AccountService service = fresh.getBean(AccountService.class);
            String printed = fresh.getBean(FirstAccountCode.class).printed();
            ExecutorService eight = Executors.newFixedThreadPool(8);
            List<Future<Boolean>> made = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                String name = "first" + i;
                made.add(eight.submit(() -> {
                    try {
                        service.first(new AccountJson.FirstAccount(
                                printed,
                                name,
                                "First " + "abcdefgh".charAt(name.charAt(5) - '0'),
                                Set.of(Role.ADMINISTRATOR),
                                PASSWORD));
                        return true;
                    } catch (RuntimeException refused) {
                        return false;
                    }
                }));
            }
            long successes = 0;
            for (Future<Boolean> each : made) {
                successes += each.get() ? 1 : 0;
            }
            eight.shutdownNow();
            assertThat(successes).isEqualTo(1);
            assertThat(service.all()).hasSize(1);
        }
    }

    @Test
    void the_throttle_keeps_strangers_apart_by_address_and_lets_go_after_seconds() {
        long[] nanos = {0};
        SignInThrottle throttle = new SignInThrottle(new io.github.bucket4j.TimeMeter() {
            @Override
            public long currentTimeNanos() {
                return nanos[0];
            }

            @Override
            public boolean isWallClockBased() {
                return false;
            }
        });
        for (int i = 0; i < SignInThrottle.TRIES; i++) {
            throttle.pay("beck", "10.0.0.1", null);
        }
        assertThatThrownBy(() -> throttle.pay("beck", "10.0.0.1", null)).isInstanceOf(TooManyTries.class);
        throttle.pay("beck", "10.0.0.2", null);
        throttle.pay("somebody else", "10.0.0.1", null);
        nanos[0] += SignInThrottle.STRANGER_EVERY.plusSeconds(1).toNanos();
        SignInThrottle.Try right = throttle.pay("beck", "10.0.0.1", null);
        assertThatThrownBy(() -> throttle.pay("beck", "10.0.0.1", null)).isInstanceOf(TooManyTries.class);
        right.succeeded();
        throttle.pay("beck", "10.0.0.1", null);
    }

    @Test
    void a_password_that_the_administrator_chose_is_changed_before_anything_else() throws Exception {
        AccountJson made = make("glen", Role.THERAPIST);
        Asking administrator = Asking.as(server, "head", Role.ADMINISTRATOR);
        administrator.put(
                "/api/accounts/" + made.id(),
                "{\"displayName\":\"glen\",\"roles\":[\"THERAPIST\"],\"active\":true,\"password\":\"chosen by the head\",\"version\":"
                        + made.version() + "}",
                200);
        assertThat(administrator
                        .get("/api/audit?subjectId=" + made.id(), 200)
                        .get(0)
                        .get("detail")
                        .asString())
                .isEqualTo("glen: password reset");
        MockHttpSession session = new MockHttpSession();
        assertThat(json(ask(HttpMethod.POST, "/api/session", session, signIn("glen", "chosen by the head")), 200)
                        .at("/person/mustChangePassword")
                        .asBoolean())
                .isTrue();
        assertThat(json(ask(HttpMethod.GET, "/api/cases", session, ""), 403)
                        .get("detail")
                        .asString())
                .contains("administrator has set your password");
        assertThat(json(
                                ask(
                                        HttpMethod.POST,
                                        "/api/session/password",
                                        session,
                                        "{\"present\":\"chosen by the head\",\"fresh\":\"" + PASSWORD + "\"}"),
                                200)
                        .at("/person/mustChangePassword")
                        .asBoolean())
                .isFalse();
        json(ask(HttpMethod.GET, "/api/cases", session, ""), 200);
    }

    @Test
    void a_second_factor_asks_for_a_code_that_is_good_once() throws Exception {
        make("ridge", Role.STEWARD);
        MockHttpSession session = new MockHttpSession();
        json(ask(HttpMethod.POST, "/api/session", session, signIn("ridge", PASSWORD)), 200);
        JsonNode begun = json(ask(HttpMethod.POST, "/api/session/second-factor", session, ""), 200);
        String secret = begun.get("secret").asString();
        assertThat(begun.get("address").asString()).startsWith("otpauth://totp/Lexicor%3Aridge?secret=" + secret);
        long step = Instant.now().getEpochSecond() / 30;
        json(
                ask(
                        HttpMethod.POST,
                        "/api/session/second-factor/confirmed",
                        session,
                        "{\"secret\":\"" + secret + "\",\"code\":\"000000\"}"),
                400);
        JsonNode recovery = json(
                        ask(
                                HttpMethod.POST,
                                "/api/session/second-factor/confirmed",
                                session,
                                "{\"secret\":\"" + secret + "\",\"code\":\"" + secondFactor.at(secret, step) + "\"}"),
                        200)
                .get("codes");
        assertThat(recovery).hasSize(10);
        assertThat(json(ask(HttpMethod.POST, "/api/session", null, signIn("ridge", PASSWORD)), 401)
                        .get("field")
                        .asString())
                .isEqualTo("code");
        String used = "{\"name\":\"ridge\",\"password\":\"" + PASSWORD + "\",\"code\":\"%s\"}";
        json(ask(HttpMethod.POST, "/api/session", null, used.formatted(secondFactor.at(secret, step))), 401);
        json(ask(HttpMethod.POST, "/api/session", null, used.formatted(secondFactor.at(secret, step + 1))), 200);
        json(
                ask(
                        HttpMethod.POST,
                        "/api/session",
                        null,
                        used.formatted(recovery.get(0).asString().toUpperCase(Locale.ROOT))),
                200);
        json(
                ask(
                        HttpMethod.POST,
                        "/api/session",
                        null,
                        used.formatted(recovery.get(0).asString())),
                401);
        MockHttpSession again = new MockHttpSession();
        json(
                ask(
                        HttpMethod.POST,
                        "/api/session",
                        again,
                        used.formatted(recovery.get(1).asString())),
                200);
        json(ask(HttpMethod.POST, "/api/session/second-factor/ended", again, "{\"password\":\"not it\"}"), 400);
        json(
                ask(HttpMethod.POST, "/api/session/second-factor/ended", again, "{\"password\":\"" + PASSWORD + "\"}"),
                200);
        json(ask(HttpMethod.POST, "/api/session", null, signIn("ridge", PASSWORD)), 200);
    }

    @Test
    void a_hash_of_an_older_kind_is_read_and_renewed() throws Exception {
        AccountJson made = make("old", Role.STUDENT);
        database.update(
                "update account set password_hash = ? where id = ?",
                new BCryptPasswordEncoder(4).encode(PASSWORD),
                made.id());
        MockHttpSession session = new MockHttpSession();
        json(ask(HttpMethod.POST, "/api/session", session, signIn("old", PASSWORD)), 200);
        assertThat(database.queryForObject("select password_hash from account where id = ?", String.class, made.id()))
                .startsWith("{argon2}");
        json(ask(HttpMethod.GET, "/api/library", session, ""), 200);
    }

    @ParameterizedTest
    @CsvSource({
        "password password password, false",
        "aaaaaaaaaaaaaaaaaaaaaaaa, false",
        "abcdefghijklmnopqrst, false",
        "short, false",
        "four sails on a lake, true",
        "ein Löffel Grießbrei um acht, true",
        "🦜🦜🦚🦩 four birds now, true"
    })
    void passwords_go_by_length_and_by_how_easily_they_are_guessed(String password, boolean taken) {
        assertThat(passwords.fault(password, List.of("dale", "R. Dale")).isEmpty())
                .isEqualTo(taken);
    }

    @Test
    void every_character_of_a_password_counts() {
        String long72 = "x".repeat(80);
        String hash = passwords.encode(long72 + "a");
        assertThat(passwords.matches(long72 + "a", hash)).isTrue();
        assertThat(passwords.matches(long72 + "b", hash)).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "server, Somebody Else, name",
        "wren, ' Server', displayName",
        "wren, 'L. Mаrtin', displayName",
        "wren, 'L.  MARTIN', displayName",
        "wren, lmartin, displayName",
        "wren, 'a\u202Eb', displayName"
    })
    void nobody_can_be_taken_for_the_server_or_for_a_colleague(String name, String displayName, String field) {
        if (accounts.all().stream().noneMatch(each -> each.name().equals("lmartin"))) {
            make("lmartin", "L. Martin", Role.STUDENT);
        }
        JsonNode fault = Asking.as(server, "head", Role.ADMINISTRATOR)
                .post(
                        "/api/accounts",
                        "{\"name\":\"" + name + "\",\"displayName\":\"" + displayName
                                + "\",\"roles\":[\"STUDENT\"],\"password\":\"" + PASSWORD + "\"}",
                        400);
        assertThat(fault.get("field").asString()).isEqualTo(field);
    }

    @Test
    void what_a_role_does_not_allow_is_traced() {
        Asking.as(server, "prowler", Role.STUDENT).get("/api/cases", 403);
        JsonNode line = Asking.as(server, "head", Role.ADMINISTRATOR)
                .get("/api/audit?author=prowler", 200)
                .get(0);
        assertThat(line.get("action").asString()).isEqualTo("REFUSED");
        assertThat(line.get("detail").asString()).isEqualTo("GET /api/cases");
    }

    @Test
    void a_password_is_changed_by_whoever_knows_the_present_one() throws Exception {
        make("combe", Role.STUDENT);
        MockHttpSession session = new MockHttpSession();
        json(ask(HttpMethod.POST, "/api/session", session, signIn("combe", PASSWORD)), 200);
        assertThat(json(
                                ask(
                                        HttpMethod.POST,
                                        "/api/session/password",
                                        session,
                                        "{\"present\":\"no\",\"fresh\":\"another long one\"}"),
                                400)
                        .get("field")
                        .asString())
                .isEqualTo("present");
        assertThat(json(
                                ask(
                                        HttpMethod.POST,
                                        "/api/session/password",
                                        session,
                                        "{\"present\":\"" + PASSWORD + "\",\"fresh\":\"short\"}"),
                                400)
                        .get("field")
                        .asString())
                .isEqualTo("fresh");
        json(
                ask(
                        HttpMethod.POST,
                        "/api/session/password",
                        session,
                        "{\"present\":\"" + PASSWORD + "\",\"fresh\":\"another long one\"}"),
                200);
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
        administrator.put(
                "/api/accounts/" + made.id(),
                "{\"displayName\":\"Holt\",\"roles\":[\"THERAPIST\"],\"active\":false,\"version\":" + made.version()
                        + "}",
                200);
        json(ask(HttpMethod.GET, "/api/cases", session, ""), 401);
        json(ask(HttpMethod.POST, "/api/session", null, signIn("holt", PASSWORD)), 401);
    }

    @Test
    void the_last_administrator_stays_one_and_a_stale_change_is_refused() {
        if (accounts.isEmpty()) {
            accounts.first(new AccountJson.FirstAccount(
                    code.printed(), "first", "First", Set.of(Role.ADMINISTRATOR), PASSWORD));
        }
        Asking administrator = Asking.as(server, "head", Role.ADMINISTRATOR);
        JsonNode first = administrator
                .get("/api/accounts", 200)
                .valueStream()
                .filter(each -> each.get("name").asString().equals("first"))
                .findFirst()
                .orElseThrow();
        String address = "/api/accounts/" + first.get("id").asString();
        int version = first.get("version").asInt();
        assertThat(administrator
                        .put(
                                address,
                                "{\"displayName\":\"First\",\"roles\":[\"STEWARD\"],\"active\":true,\"version\":"
                                        + version + "}",
                                400)
                        .get("detail")
                        .asString())
                .contains("last administrator");
        assertThat(administrator
                        .put(
                                address,
                                "{\"displayName\":\"First\",\"roles\":[\"ADMINISTRATOR\"],\"active\":true,\"version\":"
                                        + (version + 7) + "}",
                                409)
                        .get("detail")
                        .asString())
                .contains("Somebody else changed");
    }

    @Test
    void faults_in_a_new_account_are_named_and_no_hash_leaves_the_server() {
        Asking administrator = Asking.as(server, "head", Role.ADMINISTRATOR);
        assertThat(administrator
                        .post("/api/accounts", account("No Spaces", "STUDENT"), 400)
                        .get("field")
                        .asString())
                .isEqualTo("name");
        assertThat(administrator
                        .post("/api/accounts", account("rill", "STUDENT").replace(PASSWORD, "short"), 400)
                        .get("field")
                        .asString())
                .isEqualTo("password");
        administrator.post("/api/accounts", account("rill", "STUDENT"), 201);
        assertThat(administrator
                        .post("/api/accounts", account("rill", "STUDENT"), 400)
                        .get("detail")
                        .asString())
                .contains("'rill' is in use");
        assertThat(administrator.get("/api/accounts", 200).toString())
                .doesNotContain("$2a$")
                .doesNotContain("argon2")
                .doesNotContain("asswordHash");
    }

    private AccountJson make(String name, Role role) {
        return make(name, name, role);
    }

    private AccountJson make(String name, String displayName, Role role) {
        if (accounts.isEmpty()) {
            accounts.first(new AccountJson.FirstAccount(
                    code.printed(), "first", "First", Set.of(Role.ADMINISTRATOR), PASSWORD));
        }
        return accounts.make(new AccountJson.NewAccount(name, displayName, Set.of(role), PASSWORD), false);
    }

    private static String firstAccount(String name, String role, String code) {
        return account(name, role).replaceFirst("\\{", "{\"code\":\"" + code + "\",");
    }

    private MvcTestResult withCookie(String body, Cookie cookie) {
        return server.post()
                .uri("/api/session")
                .with(csrf())
                .cookie(cookie)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)
                .exchange();
    }

    private static String account(String name, String role) {
        return "{\"name\":\"" + name + "\",\"displayName\":\"Called " + name + "\",\"roles\":[\"" + role
                + "\"],\"password\":\"" + PASSWORD + "\"}";
    }

    private static String signIn(String name, String password) {
        return "{\"name\":\"" + name + "\",\"password\":\"" + password + "\"}";
    }

    private MvcTestResult ask(HttpMethod method, String address, MockHttpSession session, String body) {
        var request = server.method(method)
                .uri(address)
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(body);
        return (session == null ? request : request.session(session)).exchange();
    }

    private static JsonNode json(MvcTestResult result, int status) throws Exception {
        String body = result.getResponse().getContentAsString();
        assertThat(result.getResponse().getStatus()).as(body).isEqualTo(status);
        return body.isEmpty()
                ? JsonMapper.shared().nullNode()
                : JsonMapper.shared().readTree(body);
    }
}
