package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.server.examinations.record.VisitRequest;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What the bench is told while the hands are on the patient. */
class BenchApiTest extends AtTheBench {

    @Test
    void relocation_waits_for_apprehension_and_apprehension_closes_what_provokes_alike() {
        String id = begin();
        assertThat(state(id, "sh-relocation").get("waits").asString())
                .isEqualTo("after anterior apprehension: there must be something to relieve");
        assertThat(state(id, "sh-release").get("waits").asString()).isEqualTo("not done by the school in force");
        send(id, visit.record("sh-apprehension", "apprehension=yes", "pain=none"));
        assertThat(state(id, "sh-relocation").has("waits")
                        && !state(id, "sh-relocation").get("waits").isNull())
                .isFalse();
        assertThat(state(id, "sh-relocation").path("lock").isMissingNode()
                        || state(id, "sh-relocation").get("lock").isNull())
                .isTrue();
        assertThat(state(id, "sh-jerk").at("/lock/why/0").asString())
                .isEqualTo(
                        "Closed by anterior apprehension: apprehension is the answer; no further provocation but relocation");
        List<String> ahead = weighing(id)
                .get("ahead")
                .valueStream()
                .map(each -> each.get("testId").asString())
                .toList();
        assertThat(ahead).contains("sh-relocation").doesNotContain("sh-jerk", "sh-fulcrum", "sh-kim");
        send(id, visit.tell(Answer.because("override:sh-jerk", "Patient wishes it, gently")));
        assertThat(state(id, "sh-jerk").at("/lock/override/reason").asString()).isEqualTo("Patient wishes it, gently");
    }

    @Test
    void tries_of_a_gauge_are_told_by_the_school_and_against_the_other_side() {
        String id = begin();
        send(id, visit.recordWell("sh-belly-press", "force=100", "force#2=120", "force#3=110"));
        send(id, visit.record("sh-belly-press", "press=keeps", "strength=full", "force=60", "force#2=90"));
        JsonNode force = state(id, "sh-belly-press").get("force");
        assertThat(force.get("counts").asString()).isEqualTo("BEST");
        assertThat(force.get("percent").asDouble()).isCloseTo(75, Offset.offset(1e-9));
        assertThat(force.at("/well/mean").asDouble()).isCloseTo(110, Offset.offset(1e-9));
        send(id, visit.tell(Answer.of("school:force-of-three", "mean")));
        assertThat(state(id, "sh-belly-press").at("/force/percent").asDouble())
                .isCloseTo(100 * 75.0 / 110, Offset.offset(1e-9));
        assertThat(note(id)).contains("Force 68% of the left side, by the mean of the tries.");
    }

    @Test
    void a_school_confines_a_test_to_one_position_and_says_so() {
        String id = therapist
                .post(
                        "/api/cases",
                        new VisitRequest.NewCase(
                                UUID.randomUUID(),
                                code(),
                                new lexicor.server.cases.CaseDetails(null, 1980, null, "Harp tuner"),
                                Visit.visit("wrist", lexicor.server.cases.Affected.RIGHT)),
                        201)
                .get("id")
                .asString();
        assertThat(state(id, "wr-druj-ballottement").path("variant").isObject()).isFalse();
        send(id, visit.tell(Answer.of("school:druj-positions", "neutral")));
        assertThat(state(id, "wr-druj-ballottement")
                        .at("/variant/positions")
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactly("neutral");
        send(id, visit.record("wr-druj-ballottement", "end@neutral=firm", "pain=none"));
        assertThat(state(id, "wr-druj-ballottement").get("progress").asString()).isEqualTo("READ");
    }

    @Test
    void a_position_and_a_go_that_a_test_does_not_have_are_refused_by_name() {
        String id = begin();
        JsonNode fault = therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(
                        List.of(
                                visit.record("sh-load-shift", "symptoms@forward=none"),
                                visit.record("sh-belly-press", "force#4=80")),
                        null),
                400);
        assertThat(fault.get("field").asString()).isEqualTo("commands[0].attempts[0].parts[0].key");
        fault = therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(List.of(visit.record("sh-belly-press", "force#4=80")), null),
                400);
        assertThat(fault.get("detail").asString()).contains("allowed: 1 to 3");
        fault = therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(List.of(visit.record("sh-load-shift", "feeling@sideways=none")), null),
                400);
        assertThat(fault.get("detail").asString())
                .contains("'sideways' is not a position of 'feeling'; allowed: [forward, backward]");
    }

    @Test
    void an_order_of_ones_own_is_kept_and_names_only_tests() {
        String id = begin();
        send(id, visit.tell(Answer.of("order", "sh-arc", "sh-look")));
        JsonNode fault = therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(List.of(visit.tell(Answer.of("order", "sh-arc", "sh-ark"))), null),
                400);
        assertThat(fault.get("detail").asString()).contains("'sh-ark' is not an answer");
        assertThat(note(id)).doesNotContain("order");
    }

    @Test
    void a_sheet_that_was_all_normal_is_one_line_of_the_note_and_a_test_left_out_says_why() {
        String id = begin();
        send(id, visit.record("sh-look", "hollow=none", "contour=even"));
        send(id, visit.record("sh-wall-push", "winging=none"));
        send(id, visit.record("sh-rhythm", "rhythm=even", "winging=none"));
        assertThat(note(id))
                .contains("- Look: nothing found (inspection, wall push-up, shoulder-blade rhythm)")
                .as("nothing was planned")
                .doesNotContain("Not done");
        send(
                id,
                visit.tell(Answer.of("plan", "sh-look", "sh-arc", "sh-neer")),
                visit.record("sh-arc", "quality=skipped"));
        assertThat(note(id))
                .contains("- Painful arc, right: left out", "- Not done: forward flexion")
                .doesNotContain("relocation", "resisted ext. rotation");
    }

    @Test
    void the_bench_is_given_everything_it_needs_to_go_on_alone() {
        JsonNode region = therapist.get("/api/library/regions/shoulder", 200);
        JsonNode apprehension = region.get("tests")
                .valueStream()
                .filter(test -> test.get("id").asString().equals("sh-apprehension"))
                .findFirst()
                .orElseThrow();
        assertThat(apprehension.at("/stops/0/closes").valueStream().map(JsonNode::asString))
                .contains("sh-jerk")
                .doesNotContain("sh-relocation", "sh-release");
        assertThat(apprehension.at("/usual/0/label").asString()).isEqualTo("Apprehension, No pain");
        assertThat(region.at("/steps/0/together/0/testIds").valueStream().map(JsonNode::asString))
                .containsExactly("sh-look", "sh-wall-push", "sh-rhythm");
        assertThat(region.get("changeSeconds").asDouble()).isPositive();
        JsonNode relocation = region.get("tests")
                .valueStream()
                .filter(test -> test.get("id").asString().equals("sh-relocation"))
                .findFirst()
                .orElseThrow();
        assertThat(relocation.get("follows").asBoolean()).isTrue();
    }

    private static String code() {
        return "BA-" + UUID.randomUUID().toString().substring(0, 8);
    }

    private String begin() {
        return therapist.post("/api/cases", Visit.start(code()), 201).get("id").asString();
    }

    private JsonNode state(String id, String test) {
        return weighing(id)
                .get("tests")
                .valueStream()
                .filter(each -> each.get("testId").asString().equals(test))
                .findFirst()
                .orElseThrow();
    }
}
