package lexicor.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.io.UnsupportedEncodingException;
import java.net.URI;
import lexicor.server.accounts.Role;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks the server in the name of somebody and reads the answer. */
public final class Asking {

    private final MockMvcTester server;
    private final String name;
    private final Role role;

    private Asking(MockMvcTester server, String name, Role role) {
        this.server = server;
        this.name = name;
        this.role = role;
    }

    public static Asking as(MockMvcTester server, String name, Role role) {
        return new Asking(server, name, role);
    }

    public JsonNode get(String address, int status) {
        return ask(HttpMethod.GET, address, "", status);
    }

    public JsonNode post(String address, Object body, int status) {
        return ask(HttpMethod.POST, address, body, status);
    }

    public JsonNode put(String address, Object body, int status) {
        return ask(HttpMethod.PUT, address, body, status);
    }

    /** What is served as plain text. */
    public String text(String address) {
        try {
            return server.get()
                    .uri(URI.create(address))
                    .with(user(name).roles(role.name()))
                    .exchange()
                    .getResponse()
                    .getContentAsString();
        } catch (UnsupportedEncodingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** What is served as bytes. */
    public byte[] bytes(String address) {
        return server.get()
                .uri(URI.create(address))
                .with(user(name).roles(role.name()))
                .exchange()
                .getResponse()
                .getContentAsByteArray();
    }

    /** A person who asks, with the token against cross-site requests. */
    public static RequestPostProcessor person(String name, Role role) {
        return request ->
                csrf().postProcessRequest(user(name).roles(role.name()).postProcessRequest(request));
    }

    private JsonNode ask(HttpMethod method, String address, Object body, int status) {
        String content =
                body instanceof String text ? text : JsonMapper.shared().writeValueAsString(body);
        MvcTestResult result = server.method(method)
                .uri(URI.create(address))
                .with(user(name).roles(role.name()))
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(content)
                .exchange();
        try {
            String answer = result.getResponse().getContentAsString();
            assertThat(result.getResponse().getStatus())
                    .as("%s %s: %s", method, address, answer)
                    .isEqualTo(status);
            return answer.isEmpty() || !answer.startsWith("{") && !answer.startsWith("[")
                    ? JsonMapper.shared().nullNode()
                    : JsonMapper.shared().readTree(answer);
        } catch (UnsupportedEncodingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
