package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import lexicor.server.Asking;
import lexicor.server.LexicorApplication;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.test.context.support.WithMockUser;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.web.context.WebApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Every case of the demo clinic goes out, comes into an empty clinic, and goes out of there as it came. */
@SpringBootTest(properties = {"spring.datasource.url=jdbc:h2:mem:demo;DB_CLOSE_DELAY=-1", "lexicor.demo=true"})
@AutoConfigureMockMvc
@WithMockUser(username = "tarn", roles = "THERAPIST")
class CaseRoundTripTest {

    private static final String BRING = "/api/import/case";

    private static final JsonMapper JSON = JsonMapper.shared();

    @Autowired
    private MockMvcTester demo;

    @Autowired
    private JdbcTemplate database;

    private static ConfigurableApplicationContext elsewhere;
    private static Asking visitor;
    private static Asking keeper;
    private Asking here;

    @BeforeAll
    static void openAnEmptyClinic() {
        elsewhere = new SpringApplicationBuilder(LexicorApplication.class)
                .run(
                        "--server.port=0",
                        "--spring.datasource.url=jdbc:h2:mem:elsewhere",
                        "--lexicor.data=target/elsewhere",
                        "--lexicor.demo=false");
        MockMvcTester http = MockMvcTester.from(
                (WebApplicationContext) elsewhere,
                builder -> builder.apply(springSecurity()).build());
        visitor = Asking.as(http, "visitor", Role.THERAPIST);
        keeper = Asking.as(http, "keeper", Role.ADMINISTRATOR);
    }

    @AfterAll
    static void close() {
        elsewhere.close();
    }

    @BeforeEach
    void ask() {
        here = Asking.as(demo, "visitor", Role.THERAPIST);
    }

    private String taken(String caseId) {
        return here.text("/api/cases/" + caseId + "/case.json");
    }

    /** A document without what the clinic that it was written in adds. */
    private static JsonNode withoutPeople(JsonNode document) {
        ((ObjectNode) document).remove("people");
        return document;
    }

    @Test
    void every_case_comes_back_as_it_went_and_stands_where_it_stood() throws IOException {
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/case.schema.json")));
        List<String> cases =
                database.queryForList("select cast(id as varchar) from case_file order by created_at", String.class);
        int signed = 0;
        for (String id : cases) {
            String document = taken(id);
            assertThat(schema.validate(document, InputFormat.JSON)).as(id).isEmpty();
            JsonNode looked = keeper.post(BRING + "/preview", document, 200);
            assertThat(looked.get("kept").asBoolean()).isFalse();
            boolean before = looked.get("here").asBoolean();
            visitor.get("/api/cases/" + id, before ? 200 : 404);
            JsonNode kept = keeper.post(BRING, document, 200);
            assertThat(kept.get("here").asBoolean()).isEqualTo(before);
            signed += kept.get("signed").asInt();
            assertThat(visitor.text("/api/cases/" + id + "/case.json")).isEqualTo(document);
        }
        assertThat(cases).hasSizeGreaterThan(40);
        assertThat(signed).isGreaterThan(10);
        JsonNode there = here.get("/api/cases?find=SL-0412", 200).at("/lines/0");
        JsonNode come = visitor.get("/api/cases?find=SL-0412", 200).at("/lines/0");
        assertThat(come.get("state")).isEqualTo(there.get("state"));
        assertThat(come.get("done")).isEqualTo(there.get("done"));
        assertThat(come.get("leaderNow")).isEqualTo(there.get("leaderNow"));
        assertThat(elsewhere
                        .getBean(JdbcTemplate.class)
                        .queryForList("select distinct active from account", Boolean.class))
                .as("people who are named and not known get accounts that are closed")
                .containsExactly(false);
    }

    @Test
    void a_case_that_is_here_is_added_once_and_one_that_says_something_else_is_refused() {
        String id = database.queryForObject(
                "select cast(id as varchar) from case_file where code = 'SL-0412'", String.class);
        String document = taken(id);
        keeper.post(BRING, document, 200);
        assertThat(keeper.post(BRING, document, 200).get("here").asBoolean()).isTrue();
        ObjectNode other = (ObjectNode) JSON.readTree(document);
        ((ObjectNode) other.get("person")).put("occupation", "Bell founder");
        assertThat(keeper.post(BRING, other, 409).get("detail").asString())
                .contains("SL-0412 is here and says something else", "Nothing was changed");
        ((ObjectNode) other.get("person")).put("id", "00000000-0000-4000-8000-000000000001");
        assertThat(keeper.post(BRING, other, 400).get("field").asString()).isEqualTo("person.code");
        ((ObjectNode) other.get("person")).put("code", "SL-9999");
        assertThat(keeper.post(BRING, other, 409).get("detail").asString())
                .contains("on record here with another case");
        assertThat(visitor.get("/api/cases?find=SL-9999", 200).get("total").asInt())
                .isZero();
        assertThat(withoutPeople(JSON.readTree(visitor.text("/api/cases/" + id + "/case.json"))))
                .isEqualTo(withoutPeople(JSON.readTree(document)));
    }

    @Test
    void what_cannot_be_taken_is_refused_with_its_place() {
        String id = database.queryForObject(
                "select cast(id as varchar) from case_file where code = 'SL-0412'", String.class);
        String document = taken(id);
        int cases = visitor.get("/api/cases", 200).get("total").asInt();
        assertThat(fault("nothing")).contains("file: cannot be read");
        assertThat(fault("{}")).contains("format: this is no case of Lexicor");
        assertThat(fault("{\"format\":\"lexicor-case\",\"version\":2}")).contains("written by a newer Lexicor");
        assertThat(fault("[".repeat(2000))).contains("file: cannot be read");
        assertThat(changed(document, "/person", "shoeSize", "46")).contains("person.shoeSize: is not known");
        assertThat(changed(document, "/visits/0", "region", "knee")).contains("visits[0].region: 'knee'");
        assertThat(changed(document, "/visits/0", "startedAt", "+999999999-01-01T00:00:00Z"))
                .contains("visits[0].startedAt: allowed: a time since 2000, not after now");
        assertThat(changed(document, "/visits/0", "complaint", "00000000-0000-4000-8000-000000000002"))
                .contains("visits[0].complaint: allowed: the id of a complaint of the same region");
        assertThat(changed(document, "/visits/0/entries/0/command", "standAt", "sh-nowhere"))
                .contains("visits[0].entries[0].command.standAt");
        assertThat(changed(document, "/visits/0/entries/0/command", "author", "stranger"))
                .contains("people.stranger: is missing");
        assertThat(changed(document, "/visits/0/entries/0/command", "kind", "JUMP"))
                .contains("visits[0].entries[0].command.kind");
        ObjectNode twice = (ObjectNode) JSON.readTree(document);
        ((ArrayNode) twice.at("/visits/0/entries")).add(twice.at("/visits/0/entries/0"));
        assertThat(fault(twice)).contains("stands twice");
        assertThat(visitor.get("/api/cases", 200).get("total").asInt()).isEqualTo(cases);
    }

    private String changed(String document, String place, String field, String value) {
        ObjectNode changed = (ObjectNode) JSON.readTree(document);
        ((ObjectNode) changed.at(place)).put(field, value);
        return fault(changed);
    }

    private String fault(Object document) {
        return keeper.post(BRING, document, 400).get("detail").asString();
    }
}
