package lexicor.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.security.test.context.support.WithMockUser;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@SpringBootTest(properties = {"spring.datasource.url=jdbc:h2:mem:demo;DB_CLOSE_DELAY=-1", "lexicor.demo=true"})
@AutoConfigureMockMvc
@WithMockUser(username = "tarn", roles = "THERAPIST")
class DemoClinicTest {

    @Autowired
    private MockMvcTester server;

    @Autowired
    private DemoClinic clinic;

    @Test
    void the_cases_stand_at_different_stages() throws Exception {
        JsonNode list = list();
        assertThat(cases().get("total").asInt()).isEqualTo(43);
        assertThat(list).extracting(line -> line.get("done").asInt()).contains(1, 2, 27);
        assertThat(list)
                .extracting(line -> line.get("state").asString())
                .contains("BEGUN", "SUSPENDED", "SCREENED", "TESTING", "DONE", "SIGNED");
        assertThat(list)
                .extracting(line -> line.get("region").asString())
                .contains("shoulder", "elbow", "wrist", "hand");
        assertThat(list).extracting(line -> line.at("/person/code").asString()).doesNotHaveDuplicates();
    }

    @Test
    void a_second_start_adds_nothing() throws Exception {
        JsonNode before = list();
        clinic.afterSingletonsInstantiated();
        assertThat(list()).isEqualTo(before);
    }

    @Test
    @WithMockUser(username = "brook", roles = "STUDENT")
    void the_student_has_examined_invented_patients_and_is_in_a_class() throws Exception {
        JsonNode cases = read("/api/practice/cases");
        assertThat(cases).hasSize(4).allMatch(each -> each.get("ended").asBoolean());
        assertThat(read("/api/practice/classes")).hasSize(1);
        JsonNode review = read("/api/practice/cases/" + cases.get(0).get("id").asString() + "/review");
        assertThat(review.get("turns")).isNotEmpty().allSatisfy(turn -> {
            assertThat(turn.at("/written/otherwise")).isEmpty();
            assertThat(turn.get("moves")).isNotEmpty();
        });
    }

    private JsonNode list() throws Exception {
        return cases().get("lines");
    }

    private JsonNode cases() throws Exception {
        return read("/api/cases");
    }

    private JsonNode read(String path) throws Exception {
        return JsonMapper.shared()
                .readTree(server.get().uri(path).exchange().getResponse().getContentAsString());
    }
}
