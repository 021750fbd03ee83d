package lexicor.server.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.core.synthesis.StudyRecord.Counts;
import lexicor.core.synthesis.StudyRecord.Criterion;
import lexicor.server.Asking;
import lexicor.server.accounts.Role;
import lexicor.server.examinations.ExaminationJson;
import lexicor.server.examinations.Visit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

/** How studies are put together, and who has to agree to a changed figure. */
@SpringBootTest(properties = {"spring.datasource.url=jdbc:h2:mem:policy;DB_CLOSE_DELAY=-1", "lexicor.demo=false"})
@AutoConfigureMockMvc
@DirtiesContext
class LedgerPolicyApiTest {

    private static final String TEST = "sh-neer";
    private static final String CONDITION = "subacromial-pain";

    private static Map<Criterion, Counts> ownResults = Map.of();

    /** A clinic whose patients say what a test needs. */
    @TestConfiguration
    static class Clinic {
        @Bean
        @Primary
        OwnResults patients() {
            return () -> ownResults;
        }
    }

    @Autowired
    private MockMvcTester server;

    private Asking steward;
    private Asking other;
    private Asking therapist;

    @BeforeEach
    void ask() {
        steward = Asking.as(server, "sam", Role.STEWARD);
        other = Asking.as(server, "ash", Role.STEWARD);
        therapist = Asking.as(server, "dale", Role.THERAPIST);
        ownResults = Map.of();
    }

    private Map<String, Object> policy(String method, String own) {
        Map<String, Object> asked = new LinkedHashMap<>();
        asked.put("id", UUID.randomUUID());
        asked.put("knows", steward.get("/api/ledger/policy", 200).get("knows").asLong());
        asked.put("method", method);
        asked.put("own", own);
        asked.put("why", "to see what it does");
        return asked;
    }

    private double weight() {
        for (JsonNode reading : therapist.get("/api/library/tests/" + TEST, 200).get("reads")) {
            if (reading.get("conditionId").asString().equals(CONDITION)) {
                return reading.at("/weighs/lrPositive").asDouble();
            }
        }
        throw new AssertionError("not weighed");
    }

    @Test
    void another_way_is_previewed_then_weighs_and_goes_back_exactly() {
        double before = weight();
        int changes = steward.get("/api/ledger/policy", 200).get("history").size();
        Map<String, Object> best = policy("BEST_STUDY", "AS_BEFORE");

        JsonNode preview = steward.post("/api/ledger/policy/preview", best, 200);
        assertThat(preview.get("moved").asInt()).isGreaterThan(20);
        assertThat(weight()).isEqualTo(before);
        therapist.post("/api/ledger/policy", best, 403);
        therapist.get("/api/ledger/policy", 200);

        steward.post("/api/ledger/policy", best, 200);
        steward.post("/api/ledger/policy", best, 200);
        assertThat(steward.get("/api/ledger/policy", 200).get("method").asString())
                .isEqualTo("BEST_STUDY");
        assertThat(steward.get("/api/ledger/policy", 200).get("history").size()).isEqualTo(changes + 1);
        assertThat(weight()).isNotCloseTo(before, within(0.02));

        assertThat(steward.post("/api/ledger/policy", policy("BEST_STUDY", "NONE"), 400)
                        .toString())
                .contains("it is so already");
        Map<String, Object> unseen = policy("POOLED", "NONE");
        unseen.put("knows", 0);
        assertThat(steward.post("/api/ledger/policy", unseen, 409).get("detail").asString())
                .contains("was changed by sam");
        Map<String, Object> unexplained = policy("SYNTHESIS", "NONE");
        unexplained.put("why", " ");
        assertThat(steward.post("/api/ledger/policy", unexplained, 400).toString())
                .contains("why");

        steward.post("/api/ledger/policy", policy("SYNTHESIS", "NONE"), 200);
        assertThat(weight()).isEqualTo(before);
    }

    @Test
    void a_change_that_nobody_made_is_not_known() {
        Map<String, Object> ahead = policy("POOLED", "NONE");
        ahead.put("knows", 1_000_000);
        assertThat(steward.post("/api/ledger/policy", ahead, 409).get("detail").asString())
                .contains("Look at it as it is now");
    }

    @Test
    void own_results_weigh_as_they_were_when_they_were_taken() {
        double before = weight();
        assertThat(steward.post("/api/ledger/policy", policy("SYNTHESIS", "AS_NOW"), 400)
                        .toString())
                .contains("no test has results");
        ownResults = Map.of(new Criterion(CONDITION, TEST, "pain"), new Counts(90, 30, 60, 10));

        assertThat(steward.get("/api/ledger/policy", 200).get("more").asBoolean())
                .isTrue();
        steward.post("/api/ledger/policy", policy("SYNTHESIS", "AS_NOW"), 200);
        JsonNode chosen = steward.get("/api/ledger/policy", 200);
        assertThat(chosen.at("/weigh/results/0/testId").asString()).isEqualTo(TEST);
        assertThat(chosen.at("/weigh/results/0/with").asDouble()).isEqualTo(0.75);
        assertThat(chosen.at("/weigh/by").asString()).isEqualTo("sam");
        assertThat(chosen.get("more").asBoolean()).isFalse();
        double with = weight();
        assertThat(with).isGreaterThan(before + 0.3);

        ownResults = Map.of(new Criterion(CONDITION, TEST, "pain"), new Counts(900, 300, 10, 690));
        assertThat(weight()).as("not by itself").isEqualTo(with);
        assertThat(steward.get("/api/ledger/policy", 200).get("more").asBoolean())
                .isTrue();
        steward.post("/api/ledger/policy", policy("SYNTHESIS", "NONE"), 200);
        assertThat(weight()).isEqualTo(before);
    }

    @Test
    void an_examination_stays_with_the_way_it_began_with_until_its_therapist_takes_todays() {
        JsonNode opened = therapist.post(
                "/api/cases", Visit.start("LP-" + UUID.randomUUID().toString().substring(0, 8)), 201);
        String id = opened.get("id").asString();
        Visit here = new Visit();
        therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(
                        List.of(here.tell(Answer.of("red-flags", "none")), here.record(TEST, "pain=familiar")), null),
                200);
        String before = therapist
                .get("/api/examinations/" + id + "/weighing", 200)
                .get("standings")
                .toString();

        steward.post("/api/ledger/policy", policy("BEST_STUDY", "NONE"), 200);

        assertThat(therapist
                        .get("/api/examinations/" + id + "/weighing", 200)
                        .get("standings")
                        .toString())
                .isEqualTo(before);
        assertThat(therapist.get("/api/examinations/" + id + "/evidence", 200).toString())
                .contains("by the best study of each test");
        steward.post("/api/ledger/policy", policy("SYNTHESIS", "NONE"), 200);
    }

    private Map<String, Object> change(Asking who, String what, String record, String why) {
        Map<String, Object> change = new LinkedHashMap<>();
        change.put("id", UUID.randomUUID());
        change.put("what", what);
        change.put("record", record);
        change.put(
                "knows",
                who.get("/api/library/records/" + record, 200)
                        .at("/standing/knows")
                        .asLong());
        change.put("why", why);
        return change;
    }

    private Map<String, Object> correction(double sensitivity) {
        Map<String, Object> change = change(steward, "CORRECT", "E353", "as the paper has it");
        @SuppressWarnings("unchecked")
        Map<String, Object> draft = tools.jackson.databind.json.JsonMapper.shared()
                .convertValue(steward.get("/api/library/records/E353", 200).at("/standing/draft"), LinkedHashMap.class);
        draft.put("sensitivity", sensitivity);
        change.put("draft", draft);
        return change;
    }

    private String csv() {
        return steward.text("/api/ledger/ledger.csv");
    }

    @Test
    void where_the_clinic_wants_it_a_changed_figure_waits_for_a_second_person() {
        String before = csv();
        assertThat(steward.get("/api/ledger/waiting", 200).get("needed").asBoolean())
                .isFalse();
        steward.put("/api/settings/second-person", Map.of("value", "yes"), 200);

        steward.post("/api/ledger/changes", correction(0.5), 200);

        assertThat(csv()).isEqualTo(before);
        JsonNode waiting = steward.get("/api/ledger/waiting", 200);
        assertThat(waiting.at("/changes/0/mine").asBoolean()).isTrue();
        assertThat(waiting.at("/changes/0/change/differences").toString()).contains("Sensitivity", "0.5");
        assertThat(steward.get("/api/library/records/E353", 200)
                        .at("/standing/proposed/by")
                        .asString())
                .isEqualTo("sam");
        Map<String, Object> agreement = Map.of(
                "id",
                UUID.randomUUID(),
                "numbers",
                List.of(waiting.at("/changes/0/change/number").asLong()));
        assertThat(steward.post("/api/ledger/waiting/agree", agreement, 400).toString())
                .contains("you made change");
        therapist.post("/api/ledger/waiting/agree", agreement, 403);
        assertThat(other.post("/api/ledger/waiting/preview", agreement, 200)
                        .get("moved")
                        .asInt())
                .isPositive();
        assertThat(csv()).isEqualTo(before);

        other.post("/api/ledger/waiting/agree", agreement, 200);
        other.post("/api/ledger/waiting/agree", agreement, 200);
        assertThat(other.get("/api/ledger/waiting", 200).get("changes")).isEmpty();
        assertThat(csv()).isNotEqualTo(before).contains("\r\nE353,").contains(",0.5,");
        assertThat(steward.get("/api/library/records/E353", 200)
                        .at("/standing/history")
                        .findValuesAsString("words"))
                .containsExactly("agreed to", "proposed, to be agreed to by a second person");
        assertThat(steward.get("/api/library/records/E353", 200)
                        .at("/standing/history/1/differences/0/after")
                        .asString())
                .isEqualTo("0.5");

        steward.post("/api/ledger/changes", correction(0.6), 200);
        other.post("/api/ledger/changes", change(other, "DECLINE", "E353", "not what the paper says"), 200);
        assertThat(steward.get("/api/ledger/waiting", 200).get("changes")).isEmpty();
        assertThat(other.post("/api/ledger/changes", change(other, "DECLINE", "E353", "once more"), 400)
                        .toString())
                .contains("nothing waits");
        steward.put("/api/settings/second-person", Map.of("value", "no"), 200);
        steward.post("/api/ledger/changes", change(steward, "AS_SHIPPED", "E353", "end of the trial"), 200);
        assertThat(csv()).isEqualTo(before);
    }

    @Test
    void a_new_study_that_waits_is_seen_and_weighs_nothing() {
        double before = weight();
        steward.put("/api/settings/second-person", Map.of("value", "yes"), 200);
        String row = csv().lines()
                .filter(line -> line.startsWith("E353,"))
                .findFirst()
                .orElseThrow()
                .replaceFirst("E353", "")
                .replace("Park HB", "Waiting AB");
        String header = csv().lines().findFirst().orElseThrow() + "\r\n";
        JsonNode kept = steward.post(
                "/api/ledger/import",
                Map.of("id", UUID.randomUUID(), "file", "one.csv", "text", header + row + "\r\n"),
                200);
        String record = kept.at("/added/0/record").asString();
        JsonNode sheet = steward.get("/api/library/records/" + record, 200);
        assertThat(sheet.at("/standing/draft/unused").asString()).isEmpty();
        assertThat(sheet.at("/standing/proposed/by").asString()).isEqualTo("sam");
        assertThat(weight()).isEqualTo(before);
        assertThat(csv()).contains("waits for a second person");
        other.post("/api/ledger/changes", change(other, "DECLINE", record, "there already"), 200);
        steward.put("/api/settings/second-person", Map.of("value", "no"), 200);
        JsonNode after = steward.get("/api/library/records/" + record, 200);
        assertThat(after.at("/record/because").asString()).contains("a second person did not agree");
        assertThat(after.at("/standing/proposed").isMissingNode()).isTrue();
        assertThat(weight()).isEqualTo(before);
        String next = steward.post(
                        "/api/ledger/import",
                        Map.of(
                                "id",
                                UUID.randomUUID(),
                                "file",
                                "two.csv",
                                "text",
                                header + row.replace("Waiting AB", "Later CD") + "\r\n"),
                        200)
                .at("/added/0/record")
                .asString();
        assertThat(next).as("a key is never given twice").isNotEqualTo(record);
        steward.post("/api/ledger/changes", change(steward, "WITHDRAW", next, "end of the trial"), 200);
    }

    @Test
    void the_ledger_goes_out_as_json_and_comes_back_equal() {
        String json = steward.text("/api/ledger/ledger.json");
        assertThat(json).contains("\"format\" : \"lexicor-ledger\"", "\"version\" : 1");
        JsonNode same = brought("/api/ledger/import/preview", json);
        assertThat(same.get("faulty").asInt()).isZero();
        assertThat(same.get("same").asInt()).isEqualTo((int) csv().lines().count() - 1);
        assertThat(same.get("corrected")).isEmpty();

        assertThat(brought(
                                "/api/ledger/import/preview",
                                "{\"format\":\"lexicor-ledger\",\"version\":1,\"records\":[{\"subjct\":\"x\"}]}")
                        .at("/faults/0/says")
                        .asString())
                .startsWith("record 1 has the field 'subjct'; allowed: record,");
        assertThat(brought("/api/ledger/import/preview", "{\"format\":\"lexicor-ledger\",\"version\":9}")
                        .at("/faults/0/says")
                        .asString())
                .isEqualTo("version is 9; allowed: 1");
        assertThat(brought("/api/ledger/import/preview", "{\"format\":")
                        .at("/faults/0/says")
                        .asString())
                .startsWith("it is no JSON");
        JsonNode bad = brought(
                "/api/ledger/import/preview", json.replaceFirst("\"sensitivity\" : 0\\.\\d+", "\"sensitivity\" : 7"));
        assertThat(bad.get("place").asString()).isEqualTo("RECORD");
        assertThat(bad.at("/faults/0/line").asInt()).isEqualTo(1);
    }

    private JsonNode brought(String address, String text) {
        return steward.post(address, Map.of("id", UUID.randomUUID(), "file", "ledger.json", "text", text), 200);
    }
}
