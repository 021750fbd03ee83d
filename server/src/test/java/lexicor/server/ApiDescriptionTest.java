package lexicor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The page's types are generated from web/openapi.json, so it has to be what the server says of itself. */
@ServerTest
class ApiDescriptionTest {

    private static final Path DESCRIPTION = Path.of("..", "web", "openapi.json");
    private static final Path CASE_SCHEMA = Path.of("..", "docs", "case.schema.json");
    private static final String COMPONENTS = "#/components/schemas/";
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

    @Test
    void the_schema_of_a_case_is_that_of_what_the_server_writes() throws IOException {
        JsonNode schemas = JSON.readTree(server.get()
                        .uri("/v3/api-docs")
                        .exchange()
                        .getResponse()
                        .getContentAsString())
                .at("/components/schemas");
        ObjectNode schema = JSON.createObjectNode()
                .put("$schema", "https://json-schema.org/draft/2020-12/schema")
                .put("title", "A case as Lexicor writes it, version 1")
                .put("$ref", COMPONENTS + "CaseDocument");
        Map<String, JsonNode> parts = new TreeMap<>();
        collect("CaseDocument", schemas, parts);
        ObjectNode defined = schema.putObject("$defs");
        parts.forEach(defined::set);
        JsonNode written = JSON.readTree(JSON.writeValueAsString(schema).replace(COMPONENTS, "#/$defs/"));
        if (Boolean.getBoolean("lexicor.write-api")) {
            Files.writeString(CASE_SCHEMA, JSON.writeValueAsString(written) + "\n");
        }
        assertThat(JSON.readTree(Files.readString(CASE_SCHEMA)))
                .as("docs/case.schema.json; refresh it with ./lexicor api")
                .isEqualTo(written);
    }

    /** A part with all the parts that it names. */
    private static void collect(String name, JsonNode schemas, Map<String, JsonNode> parts) {
        if (parts.putIfAbsent(name, schemas.get(name)) == null) {
            schemas.get(name)
                    .findValues("$ref")
                    .forEach(part -> collect(part.asString().substring(COMPONENTS.length()), schemas, parts));
        }
    }
}
