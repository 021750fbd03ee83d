package lexicor.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import lexicor.server.Asking;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

@SpringBootTest
@AutoConfigureMockMvc
class CardReviewApiTest {

    private static final String TEST = "sh-hawkins";

    @Autowired
    private MockMvcTester server;

    @Autowired
    private JdbcTemplate database;

    private Asking steward;
    private Asking therapist;

    @BeforeEach
    void ask() {
        steward = Asking.as(server, "sam", Role.STEWARD);
        therapist = Asking.as(server, "dale", Role.THERAPIST);
    }

    private static Map<String, Object> review(String verdict, String words) {
        return Map.of("id", UUID.randomUUID(), "verdict", verdict, "words", words);
    }

    private JsonNode sheet() {
        return therapist.get("/api/library/tests/" + TEST, 200);
    }

    private String onTheBench() {
        for (JsonNode card : therapist.get("/api/library/regions/shoulder", 200).get("tests")) {
            if (card.get("id").asString().equals(TEST)) {
                return card.get("review").asString();
            }
        }
        throw new AssertionError("no card");
    }

    @Test
    void a_card_is_looked_through_by_a_steward_and_everybody_sees_how_it_stands() {
        String address = "/api/library/tests/" + TEST + "/review";
        assertThat(sheet().has("reviewed")).isFalse();
        assertThat(onTheBench()).isEqualTo("DRAFTED");
        int left =
                steward.get("/api/library/records/left", 200).get("cardsLeft").asInt();

        assertThat(steward.post(address, review("DOUBTFUL", " "), 400).toString())
                .contains("what is doubtful or wrong");
        therapist.post(address, review("AGREED", ""), 403);
        steward.post("/api/library/tests/sh-nothing/review", review("AGREED", ""), 404);
        steward.post(address, review("DOUBTFUL", "the angle is larger here"), 200);
        assertThat(onTheBench()).isEqualTo("DOUBTFUL");
        assertThat(sheet().at("/reviewed/words").asString()).isEqualTo("the angle is larger here");

        Map<String, Object> agreed = review("AGREED", "");
        steward.post(address, agreed, 200);
        steward.post(address, agreed, 200);
        assertThat(onTheBench()).isEqualTo("AGREED");
        assertThat(sheet().at("/reviewed/by").asString()).isEqualTo("sam");
        assertThat(steward.get("/api/library/records/left", 200)
                        .get("cardsLeft")
                        .asInt())
                .isEqualTo(left - 1);

        database.update("update card_review set of_card = 'another' where test_id = ?", TEST);
        assertThat(sheet().at("/reviewed/state").asString()).isEqualTo("CHANGED_SINCE");
        database.update("delete from card_review where test_id = ?", TEST);
    }
}
