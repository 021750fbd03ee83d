package lexicor.server.settings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.UUID;
import lexicor.server.Asking;
import lexicor.server.LexicorApplication;
import lexicor.server.accounts.Role;
import lexicor.server.examinations.Visit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** On a record of its own, since settings count for everybody. */
@SpringBootTest(
        classes = LexicorApplication.class,
        properties = {"spring.datasource.url=jdbc:h2:mem:settings;DB_CLOSE_DELAY=-1", "lexicor.demo=false"})
@AutoConfigureMockMvc
class SettingsApiTest {

    @Autowired
    private MockMvcTester server;

    private Asking steward;
    private Asking therapist;

    @BeforeEach
    void ask() {
        steward = Asking.as(server, "fell", Role.STEWARD);
        therapist = Asking.as(server, "dale", Role.THERAPIST);
    }

    @Test
    void a_change_is_kept_with_who_and_what_it_was_before_and_can_be_put_back() {
        choose("force-unit", "kilograms", 200);
        assertThat(listed("force-unit").get("value").asString()).isEqualTo("kilograms");
        steward.put("/api/settings/force-unit", "{}", 200);
        assertThat(listed("force-unit").get("value").asString()).isEqualTo("newtons");
        JsonNode history = steward.get("/api/settings/history", 200);
        assertThat(history.at("/0/label").asString()).isEqualTo("Unit of force");
        assertThat(history.at("/0/before").asString()).isEqualTo("kilograms");
        assertThat(history.get(0).has("after")).as("as it ships").isFalse();
        assertThat(history.at("/0/author").asString()).isEqualTo("fell");
        assertThat(history.at("/1/after").asString()).isEqualTo("kilograms");
    }

    @Test
    void a_person_decides_for_themselves_how_tests_are_called_and_nobody_else_sees_it() {
        therapist.put("/api/settings/own/test-names", Map.of("value", "the usual name"), 200);
        assertThat(listed(therapist, "test-names").get("own").asString()).isEqualTo("the usual name");
        assertThat(listed(therapist, "test-names").get("value").asString()).isEqualTo("what is done");
        assertThat(listed(steward, "test-names").has("own")).isFalse();
        therapist.put("/api/settings/own/test-names", "{}", 200);
        assertThat(listed(therapist, "test-names").has("own")).isFalse();
    }

    @Test
    void what_is_the_clinics_to_decide_is_no_persons() {
        assertThat(therapist
                        .put("/api/settings/own/not-mine.sh-moon", Map.of("value", "yes"), 400)
                        .get("detail")
                        .asString())
                .contains("'sh-moon' is no test of the library");
        assertThat(therapist
                        .put("/api/settings/own/not-mine.nk-screen", Map.of("value", "yes"), 400)
                        .get("detail")
                        .asString())
                .contains("belongs to every examination");
        assertThat(therapist
                        .put("/api/settings/own/not-mine.sh-neer", Map.of("value", "no"), 400)
                        .get("field")
                        .asString())
                .isEqualTo("value");
        assertThat(therapist
                        .put("/api/settings/own/force-unit", Map.of("value", "kilograms"), 400)
                        .get("detail")
                        .asString())
                .contains("'force-unit' is not a person's to decide; allowed: [side-of-reach, test-names]");
        assertThat(therapist
                        .put("/api/settings/own/test-names", Map.of("value", "short"), 400)
                        .get("detail")
                        .asString())
                .contains("'short' is no answer; allowed: [what is done, the usual name]");
    }

    @Test
    void a_layout_of_a_note_is_tried_kept_and_put_back_and_the_list_of_changes_stays_short() {
        JsonNode preview =
                steward.post("/api/settings/note-preview", Map.of("template", "{{side}} {{region}}. {{caution}}"), 200);
        assertThat(preview.get("text").asString()).startsWith("right shoulder. Decision support");
        assertThat(steward.post("/api/settings/note-preview", Map.of("template", "{{side}}"), 400)
                        .get("field")
                        .asString())
                .isEqualTo("template");
        String layout = "Seen on {{day}}. " + "Kept words. ".repeat(20) + "{{caution}}";
        choose("note.letter", layout, 200);
        assertThat(therapist.get("/api/settings", 200).at("/notes/2/value").asString())
                .isEqualTo(layout);
        assertThat(steward.get("/api/settings/history", 200).at("/0/after").asString())
                .isEqualTo("a text of " + layout.length() + " characters");
        steward.put("/api/settings/note.letter", "{}", 200);
        assertThat(therapist.get("/api/settings", 200).at("/notes/2/value").asString())
                .startsWith("Dear colleague,");
    }

    @Test
    void the_clinics_own_noise_stands_beside_the_one_that_ships() {
        choose("noise.shoulder-range.amount", "8", 200);
        JsonNode range = therapist.get("/api/settings", 200).at("/noise/0");
        assertThat(range.at("/amount/value").asDouble()).isEqualTo(8);
        assertThat(range.at("/amount/shipped").asDouble()).isEqualTo(15);
        assertThat(range.has("share")).as("ships with an amount only").isFalse();
        steward.put("/api/settings/noise.shoulder-range.amount", "{}", 200);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            force-unit                          | stone      | value | newtons, kilograms
            note.short                          | {{caution}} {{weather}} | value | is no name; allowed: side, region
            note.long                           | {{caution}} | name | is not a setting
            noise.grip.amount                   | 0          | value | above 0, at most 1000
            noise.grip.share                    | 101        | value | above 0, at most 100
            noise.force-gauge.amount            | 5          | name  | is not a setting
            moon                                | yes        | name  | is not a setting
            estimate.moon.first-contact         | 0.2        | name  | is not a setting
            estimate.acj.first-contact          | 1          | value | 0.001 to 0.999
            estimate.acj.first-contact          | much       | value | 0.001 to 0.999
            threshold.act                       | 0.2        | value | test further below working diagnosis
            school.sulcus-hands                 | three      | value | one-steadies, both-pull
            weighing.link                       | 0.6        | value | 0 to 0.5
            weighing.between-studies            | -1         | value | 0 to 2
            rho.ac-loading                      | 0.96       | value | 0 to 0.95
            rho.moon                            | 0.4        | name  | is not a setting
            own.sh-palp-acromion.subacromial-pain | 3        | value | two likelihood ratios
            own.sh-palp-acromion.subacromial-pain | 0/2      | value | each from 0.01 to 100
            own.sh-neer.subacromial-pain        | 3/0.5      | name  | is not a setting
            """)
    void what_cannot_be_is_named(String name, String value, String field, String allowed) {
        JsonNode fault = choose(name, value, 400);
        assertThat(fault.get("field").asString()).isEqualTo(field);
        assertThat(fault.get("detail").asString()).contains(allowed);
    }

    @Test
    void a_clinics_own_estimate_weighs_once_switched_on_and_is_called_one() {
        choose("own.sh-palp-acromion.subacromial-pain", "3/0.5", 200);
        choose("unmeasured-findings", "noted", 200);
        choose("own-estimates", "yes", 200);
        assertThat(weighedAfterTenderness(open("ST-7"))).isTrue();
        choose("own-estimates", "no", 200);
        assertThat(weighedAfterTenderness(open("ST-8")))
                .as("switched off as a whole")
                .isFalse();
        steward.put("/api/settings/own-estimates", "{}", 200);
        steward.put("/api/settings/unmeasured-findings", "{}", 200);
        steward.put("/api/settings/own.sh-palp-acromion.subacromial-pain", "{}", 200);
    }

    private boolean weighedAfterTenderness(String id) {
        therapist.post(
                "/api/examinations/" + id + "/commands",
                "{\"commands\":["
                        + JsonMapper.shared()
                                .writeValueAsString(new Visit().record("sh-palp-acromion", "tender=familiar"))
                        + "]}",
                200);
        JsonNode standing = therapist
                .get("/api/examinations/" + id + "/weighing", 200)
                .get("standings")
                .valueStream()
                .filter(each -> each.get("conditionId").asString().equals("subacromial-pain"))
                .findFirst()
                .orElseThrow();
        boolean weighed = standing.get("informed").asBoolean();
        if (weighed) {
            assertThat(standing.at("/loads/0/estimate").asBoolean()).isTrue();
            assertThat(standing.at("/loads/0/caution").asString()).contains("own estimate");
            assertThat(standing.get("likelihoodRatio").asDouble()).isCloseTo(3, within(1e-9));
        }
        return weighed;
    }

    @Test
    void an_examination_keeps_the_estimates_it_began_with() {
        String before = open("ST-1");
        assertThat(start(before).get("estimate").asDouble()).isEqualTo(0.12);
        choose("estimate.acj.first-contact", "0.3", 200);
        String after = open("ST-2");
        assertThat(start(before).get("estimate").asDouble()).isEqualTo(0.12);
        assertThat(start(after).get("estimate").asDouble()).isEqualTo(0.3);
        choose("estimate.acj.first-contact", "0.4", 200);
        assertThat(start(after).get("estimate").asDouble()).isEqualTo(0.3);
        JsonNode weighing = therapist.get("/api/examinations/" + after + "/weighing", 200);
        assertThat(weighing.get("standings")
                        .valueStream()
                        .filter(each -> each.get("conditionId").asString().equals("acj"))
                        .findFirst()
                        .orElseThrow()
                        .get("before")
                        .asDouble())
                .as("the weighing starts there")
                .isEqualTo(0.3);
    }

    @Test
    void the_clinics_thresholds_stand_on_the_condition_sheets() {
        choose("threshold.set-aside", "0.08", 200);
        assertThat(therapist
                        .get("/api/library/conditions/acj", 200)
                        .at("/thresholds/setAside")
                        .asDouble())
                .isEqualTo(0.08);
    }

    @Test
    void the_clinics_school_counts_for_examinations_begun_afterwards() {
        choose("school.positive-apprehension", "apprehension-or-pain", 200);
        JsonNode school = steward.get("/api/settings", 200)
                .get("schools")
                .valueStream()
                .filter(each -> each.get("name").asString().equals("school.positive-apprehension"))
                .findFirst()
                .orElseThrow();
        assertThat(school.get("choice").asString()).isEqualTo("apprehension-or-pain");
        assertThat(school.get("usual").asString()).isEqualTo("apprehension");
    }

    private JsonNode choose(String name, String value, int status) {
        return steward.put("/api/settings/" + name, "{\"value\":\"" + value + "\"}", status);
    }

    private JsonNode listed(String name) {
        return listed(steward, name);
    }

    private static JsonNode listed(Asking person, String name) {
        return person.get("/api/settings", 200)
                .get("listed")
                .valueStream()
                .filter(each -> each.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private String open(String code) {
        return therapist
                .post(
                        "/api/cases",
                        "{\"id\":\"" + UUID.randomUUID() + "\",\"code\":\"" + code
                                + "\",\"details\":{},\"visit\":{\"id\":\"" + UUID.randomUUID()
                                + "\",\"region\":\"shoulder\",\"side\":\"RIGHT\",\"setting\":\"FIRST_CONTACT\"}}",
                        201)
                .get("id")
                .asString();
    }

    private JsonNode start(String examination) {
        return therapist
                .get("/api/examinations/" + examination + "/intake", 200)
                .get("starts")
                .valueStream()
                .filter(each -> each.get("conditionId").asString().equals("acj"))
                .findFirst()
                .orElseThrow();
    }
}
