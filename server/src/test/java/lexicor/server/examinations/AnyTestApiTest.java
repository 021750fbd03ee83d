package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.server.examinations.record.CommandJson;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A test of another region in an examination, a way of doing one, and a conclusion beyond the region. */
class AnyTestApiTest extends AtTheBench {

    private String id;

    @BeforeEach
    void begin() {
        id = therapist
                .post(
                        "/api/cases",
                        Visit.start("AT-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .get("id")
                .asString();
    }

    private JsonNode weighing() {
        return therapist.get("/api/examinations/" + id + "/weighing", 200);
    }

    private static JsonNode standing(JsonNode weighing, String condition) {
        return weighing.get("standings")
                .valueStream()
                .filter(each -> each.get("conditionId").asString().equals(condition))
                .findFirst()
                .orElse(null);
    }

    @Test
    void a_test_of_another_region_brings_its_conditions_into_the_ranking() {
        assertThat(standing(weighing(), "carpal-tunnel"))
                .as("no condition of a shoulder")
                .isNull();
        send(id, visit.record("wr-phalen", "median-tingling=present", "fingers=index"));
        JsonNode weighing = weighing();
        JsonNode tunnel = standing(weighing, "carpal-tunnel");
        assertThat(tunnel.get("now").asDouble())
                .isGreaterThan(tunnel.get("before").asDouble() + 0.01);
        JsonNode phalen = weighing.get("tests")
                .valueStream()
                .filter(each -> each.get("testId").asString().equals("wr-phalen"))
                .findFirst()
                .orElseThrow();
        assertThat(phalen.get("statements")
                        .valueStream()
                        .map(each -> each.get("lead").asString()))
                .anyMatch(lead -> lead.toLowerCase().contains("carpal tunnel"));
        assertThat(note(id)).contains("Wrist flexion held (Phalen's), right: ");
        assertThat(therapist
                        .get("/api/examinations/" + id + "/weighing/carpal-tunnel", 200)
                        .at("/standing/conditionId")
                        .asString())
                .isEqualTo("carpal-tunnel");
    }

    @Test
    void an_undone_test_of_another_region_takes_its_conditions_along() {
        CommandJson phalen = visit.record("wr-phalen", "median-tingling=present");
        send(id, phalen);
        send(id, visit.undo(phalen));
        assertThat(standing(weighing(), "carpal-tunnel")).isNull();
    }

    @Test
    void the_bench_can_do_every_test_of_the_library() {
        JsonNode region = therapist.get("/api/library/regions/shoulder", 200);
        List<String> tests = region.get("tests")
                .valueStream()
                .map(test -> test.get("id").asString())
                .toList();
        assertThat(tests).hasSize(221).doesNotHaveDuplicates().contains("wr-phalen", "el-hook");
        JsonNode hawkins = region.get("tests")
                .valueStream()
                .filter(test -> test.get("id").asString().equals("sh-hawkins"))
                .findFirst()
                .orElseThrow();
        assertThat(hawkins.get("usualName").asString()).isEqualTo("Hawkins-Kennedy");
        assertThat(hawkins.get("misspelt").valueStream().map(JsonNode::asString))
                .contains("Hawkings");
        assertThat(region.get("sharedNames")
                        .valueStream()
                        .map(shared -> shared.get("name").asString()))
                .contains("impingement sign", "Jobe test");
    }

    @Test
    void a_conclusion_names_any_condition_or_the_therapists_own_words() {
        send(
                id,
                visit.tell(
                        Answer.of("working", "carpal-tunnel"),
                        Answer.because("diagnosis-in-words", "with a sore biceps on top")));
        assertThat(note(id)).contains("- Working diagnosis: Carpal tunnel syndrome: with a sore biceps on top");
        send(
                id,
                visit.tell(
                        Answer.of("working"), Answer.because("diagnosis-in-words", "Overuse after a move of house")));
        assertThat(note(id)).contains("- Working diagnosis: Overuse after a move of house");
        JsonNode hindrances =
                therapist.get("/api/examinations/" + id + "/conclusion", 200).get("hindrances");
        assertThat(hindrances.valueStream().map(each -> each.get("kind").asString()))
                .doesNotContain("NOT_CONCLUDED");
    }

    @Test
    void the_way_a_test_was_done_stands_in_the_record_and_decides_its_weight() {
        send(id, visit.record("sh-drop-arm", "lowering=drops", "pain=none"));
        double usual = standing(weighing(), "cuff-tear-full").get("now").asDouble();
        CommandJson done = visit.recordAs("lift-and-let-go", "sh-neer", "pain=none");
        assertThat(therapist
                        .post(
                                "/api/examinations/" + id + "/commands",
                                new ExaminationJson.Batch(List.of(done), null),
                                400)
                        .get("detail")
                        .asString())
                .contains("'lift-and-let-go' is no way of doing 'sh-neer'; allowed: usual");
        String other = therapist
                .post(
                        "/api/cases",
                        Visit.start("AT-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .get("id")
                .asString();
        send(other, visit.recordAs("lift-and-let-go", "sh-drop-arm", "lowering=drops", "pain=none"));
        JsonNode tear = standing(therapist.get("/api/examinations/" + other + "/weighing", 200), "cuff-tear-full");
        assertThat(tear.get("now").asDouble())
                .isEqualTo(tear.get("before").asDouble())
                .isLessThan(usual);
        assertThat(note(other))
                .contains(", done small lift and let go, right: drops", "loosely described, never measured");
    }
}
