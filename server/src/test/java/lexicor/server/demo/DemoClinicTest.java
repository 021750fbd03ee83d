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

    private JsonNode list() throws Exception {
        return cases().get("lines");
    }

    private JsonNode cases() throws Exception {
        return JsonMapper.shared()
                .readTree(
                        server.get().uri("/api/cases").exchange().getResponse().getContentAsString());
    }
}
