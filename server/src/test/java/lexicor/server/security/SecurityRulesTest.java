package lexicor.server.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.anonymous;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.util.List;
import lexicor.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@ServerTest
class SecurityRulesTest {

    @Autowired
    private MockMvcTester server;

    @Test
    void health_is_open_and_says_up() {
        assertThat(server.get().uri("/actuator/health"))
                .hasStatusOk()
                .bodyText()
                .contains("UP");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                "/new",
                "/examinations/3f0c",
                "/examinations/3f0c/weighing",
                "/examinations/3f0c/intake",
                "/cases/3f0c",
                "/setup",
                "/setup/schools",
                "/sign-in",
                "/library",
                "/library/ledger",
                "/library/tests/sh-arc",
                "/library/ledger/E353",
                "/library/ledger/E353/correct",
                "/cases/3f0c/course/7d1a",
                "/outcomes/waiting",
                "/outcomes/accuracy/slap"
            })
    void every_view_has_an_address(String address) {
        assertThat(server.get().uri(address)).hasStatusOk().hasForwardedUrl("/index.html");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/actuator/env", "/h2-console/x", "/some/where"})
    void what_is_not_named_is_refused(String address) {
        assertThat(server.get().uri(address)).hasStatus(403);
    }

    /**
     * The page's own addresses are open, and FHIR, which begins like one, is not. Whoever may ask is let through to it.
     */
    @ParameterizedTest
    @ValueSource(strings = {"/fhir", "/fhir/metadata", "/fhir/Patient/3f0c/$everything"})
    void what_leaves_as_fhir_is_for_therapists(String address) {
        assertThat(server.get().uri(address).with(anonymous())).hasStatus(401);
        for (String role : List.of("STEWARD", "ADMINISTRATOR", "STUDENT")) {
            assertThat(server.get().uri(address).with(user("gill").roles(role))).hasStatus(403);
        }
        assertThat(server.get()
                        .uri(address)
                        .with(user("dale").roles("THERAPIST"))
                        .exchange()
                        .getResponse()
                        .getStatus())
                .isNotIn(401, 403);
        assertThat(server.delete()
                        .uri(address)
                        .with(user("dale").roles("THERAPIST"))
                        .with(csrf()))
                .hasStatus(403);
    }

    @Test
    void a_change_needs_the_token_against_cross_site_requests() {
        assertThat(server.post()
                        .uri("/api/cases")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{}"))
                .hasStatus(403);
    }

    @Test
    void the_page_may_load_nothing_from_outside() {
        assertThat(server.get().uri("/"))
                .headers()
                .hasHeaderSatisfying(
                        "Content-Security-Policy",
                        values -> assertThat(values.get(0))
                                .startsWith("default-src 'self'")
                                .doesNotContain("http")
                                .doesNotContain("unsafe"));
    }
}
