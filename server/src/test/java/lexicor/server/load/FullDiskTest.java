package lexicor.server.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.when;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.UUID;
import lexicor.server.Asking;
import lexicor.server.LexicorApplication;
import lexicor.server.accounts.Role;
import lexicor.server.disk.DiskRoom;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.bean.override.mockito.MockitoBean;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@SpringBootTest(
        classes = LexicorApplication.class,
        properties = {"spring.datasource.url=jdbc:h2:mem:full;DB_CLOSE_DELAY=-1", "lexicor.demo=false"})
@AutoConfigureMockMvc
class FullDiskTest {

    @MockitoBean
    private DiskRoom room;

    @Autowired
    private MockMvcTester server;

    @Autowired
    private JdbcTemplate database;

    private Asking therapist;

    @BeforeEach
    void ask() {
        therapist = Asking.as(server, "tarn", Role.THERAPIST);
    }

    @Test
    void writing_is_refused_in_words_and_everything_else_goes_on_and_leaves_its_line_later() {
        when(room.isThere()).thenReturn(false);
        String start =
                "{\"id\":\"%s\",\"code\":\"FD-1\",\"details\":{},\"visit\":{\"id\":\"%s\",\"region\":\"shoulder\",\"side\":\"LEFT\",\"setting\":\"FIRST_CONTACT\"}}"
                        .formatted(UUID.randomUUID(), UUID.randomUUID());
        assertThat(therapist.post("/api/cases", start, 507).get("detail").asString())
                .contains("disk of the server is full", "What was saved is safe");
        int lines = lines();
        assertThat(therapist.get("/api/cases", 200).get("lines")).isNotNull();
        assertThat(server.post()
                        .uri("/api/session")
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"name\":\"gill\",\"password\":\"not the right one\"}"))
                .hasStatus(401);
        assertThat(server.get().uri("/actuator/health")).hasStatusOk();
        assertThat(server.post()
                        .uri("/api/calculate/accuracy")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"tp\":1,\"fp\":1,\"fn\":1,\"tn\":1}"))
                .hasStatusOk();
        assertThat(lines()).isEqualTo(lines);
        when(room.isThere()).thenReturn(true);
        therapist.post("/api/cases", start, 201);
        assertThat(lines())
                .as("the list that was seen, the sign-in that failed, and the case")
                .isEqualTo(lines + 3);
    }

    private int lines() {
        return database.queryForObject("select count(*) from audit_entry", Integer.class);
    }
}
