package lexicor.server.settings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import lexicor.server.Asking;
import lexicor.server.LexicorApplication;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

/** Routines that ship and the clinic's own, on a record of its own. */
@SpringBootTest(
        classes = LexicorApplication.class,
        properties = {"spring.datasource.url=jdbc:h2:mem:routines;DB_CLOSE_DELAY=-1", "lexicor.demo=false"})
@AutoConfigureMockMvc
class RoutineApiTest {

    @Autowired
    private MockMvcTester server;

    @Autowired
    private JdbcTemplate database;

    private Asking steward;
    private Asking therapist;

    @BeforeEach
    void ask() {
        steward = Asking.as(server, "fell", Role.STEWARD);
        therapist = Asking.as(server, "dale", Role.THERAPIST);
    }

    private List<JsonNode> routines(String region) {
        return therapist
                .get("/api/routines?region=" + region, 200)
                .valueStream()
                .toList();
    }

    @Test
    void a_copy_with_times_of_its_own_stands_before_those_that_ship_and_can_be_removed() {
        assertThat(routines("elbow"))
                .extracting(routine -> routine.get("name").asString())
                .containsExactly("Elbow, three sides");
        steward.put("/api/settings/routine.elbow.ours", Map.of("value", "Ours\nel-look\nel-hook 90"), 200);
        JsonNode ours = routines("elbow").get(0);
        assertThat(ours.get("own").asBoolean()).isTrue();
        assertThat(ours.at("/steps/1/seconds").asInt()).isEqualTo(90);
        assertThat(ours.at("/steps/1/set").asBoolean()).isTrue();
        assertThat(steward.get("/api/settings/history", 200).at("/0/label").asString())
                .isEqualTo("Routine of the elbow, ours");
        steward.put("/api/settings/routine.elbow.ours", "{}", 200);
        assertThat(routines("elbow")).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            routine.elbow.a    | Name\\nel-hok            | is not in the library
            routine.elbow.a    | Name                     | allowed: 1 to 60
            routine.elbow.a    | Name\\nel-hook\\nel-hook | in twice
            routine.shoulder.a | Name\\nsh-relocation     | never reached
            routine.elbow.a    | Name\\nel-hook 2000      | allowed: 1 to 900
            """)
    void what_could_not_be_done_is_not_kept(String name, String text, String why) {
        JsonNode problem = steward.put("/api/settings/" + name, Map.of("value", text.replace("\\n", "\n")), 400);
        assertThat(problem.get("field").asString()).isEqualTo("value");
        assertThat(problem.get("detail").asString()).contains(why);
    }

    @Test
    void a_routine_of_no_region_is_no_setting_and_asking_for_one_names_the_regions() {
        assertThat(steward.put("/api/settings/routine.knee.a", Map.of("value", "Name\nel-hook"), 400)
                        .get("field")
                        .asString())
                .isEqualTo("name");
        assertThat(therapist.get("/api/routines?region=knee", 400).get("detail").asString())
                .contains("shoulder");
    }

    @Test
    void a_draft_says_what_it_takes_and_what_speaks_against_it() {
        JsonNode draft = steward.post(
                "/api/routines/check",
                Map.of("region", "shoulder", "text", "Mine\nsh-apprehension\nsh-arc\nsh-gone"),
                200);
        assertThat(draft.get("missing").valueStream().map(JsonNode::asString)).containsExactly("sh-gone");
        assertThat(draft.at("/faults/0/words").asString()).contains("goes last");
        assertThat(draft.at("/faults/0/unreachable").asBoolean()).isFalse();
        assertThat(draft.get("locks")).isNotEmpty();
        assertThat(draft.get("moves").asInt()).isEqualTo(2);
        assertThat(steward.post("/api/routines/check", Map.of("region", "shoulder", "text", "Mine"), 400)
                        .get("field")
                        .asString())
                .isEqualTo("text");
    }

    @Test
    void a_test_that_was_removed_since_is_named_and_the_rest_stays() {
        steward.put("/api/settings/routine.hand.old", Map.of("value", "Old\nha-grip"), 200);
        database.update(
                "update clinic_setting set chosen = 'Old' || chr(10) || 'ha-gone' || chr(10) || 'ha-grip' where name = 'routine.hand.old'");
        JsonNode old = routines("hand").get(0);
        assertThat(old.get("missing").valueStream().map(JsonNode::asString)).containsExactly("ha-gone");
        assertThat(old.at("/steps/0/testId").asString()).isEqualTo("ha-grip");
        steward.put("/api/settings/routine.hand.old", "{}", 200);
    }
}
