package lexicor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The page's types are generated from web/openapi.json, so it has to be what the server says of itself. */
@ServerTest
class ApiDescriptionTest {

    private static final Path DESCRIPTION = Path.of("..", "web", "openapi.json");
    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    @Autowired
    private MockMvcTester server;

    @Test
    void the_description_that_the_page_is_built_from_is_the_servers_own() throws IOException {
        JsonNode served = JSON.readTree(
                server.get().uri("/v3/api-docs").exchange().getResponse().getContentAsString());
        if (Boolean.getBoolean("lexicor.write-api")) {
            Files.writeString(DESCRIPTION, JSON.writeValueAsString(served) + "\n");
        }
        assertThat(JSON.readTree(Files.readString(DESCRIPTION)))
                .as("web/openapi.json; refresh it with ./lexicor api")
                .isEqualTo(served);
    }
}
