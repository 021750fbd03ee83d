package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import lexicor.core.examination.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The plan of an examination as it stands. */
class PlanApiTest extends AtTheBench {

    private String id;

    @BeforeEach
    void begin() {
        id = therapist.post("/api/cases", Visit.start("PL-" + UUID.randomUUID().toString().substring(0, 8)), 201).get("id").asString();
        send(id, visit.tell(Answer.of("red-flags", "none")));
    }

    private JsonNode plan(String query, int status) {
        return therapist.get("/api/examinations/" + id + "/plan" + query, status);
    }

    private static List<String> tests(JsonNode plan) {
        return plan.get("steps").valueStream().map(step -> step.get("testId").asString()).toList();
    }

    @Test
    void it_keeps_to_the_minutes_and_says_of_each_test_why_it_is_in_or_out() {
        JsonNode plan = plan("?minutes=10", 200);
        assertThat(plan.get("minutes").asDouble()).isLessThanOrEqualTo(10);
        assertThat(plan.get("steps").valueStream().map(step -> step.get("why").asString())).contains("SAFETY", "INFORMATION");
        assertThat(plan.get("steps").valueStream().filter(step -> step.get("why").asString().equals("INFORMATION"))).allSatisfy(step -> {
            assertThat(step.get("bits").asDouble()).isPositive();
            assertThat(step.get("changes")).isNotEmpty();
        });
        assertThat(plan.get("out").valueStream().map(out -> out.get("why").asString()).distinct()).contains("NO_TIME", "NO_FIGURES");
        assertThat(plan("?minutes=0", 200).get("steps")).isEmpty();
        assertThat(plan("?minutes=-1", 400).get("field").asString()).isEqualTo("minutes");
        assertThat(plan("?minutes=soon", 400).get("field").asString()).isEqualTo("minutes");
    }

    @Test
    void a_plan_that_was_taken_is_kept_as_told() {
        send(id, visit.tell(Answer.of("order", "sh-rent", "sh-arc"), Answer.of("plan", "sh-rent", "sh-arc")));
        assertThat(therapist.get("/api/examinations/" + id, 200).toString()).contains("\"question\":\"plan\"");
        assertThat(therapist.post("/api/examinations/" + id + "/commands", new ExaminationJson.Batch(List.of(visit.tell(Answer.of("plan", "sh-ark")))), 400).get("detail").asString()).contains("'sh-ark' is not an answer");
        assertThat(note(id)).doesNotContain("plan");
    }

    @Test
    void what_was_done_is_out_of_it_and_what_is_locked_is_named() {
        String first = tests(plan("?minutes=10", 200)).stream().filter(test -> test.equals("sh-rent") || test.equals("nk-screen")).findFirst().orElseThrow();
        send(id, visit.record(first, "quality=skipped"));
        assertThat(tests(plan("?minutes=10", 200))).doesNotContain(first);
        send(id, visit.tell(Answer.of("facts", "osteoporosis")));
        JsonNode plan = plan("", 200);
        assertThat(plan.get("locked").valueStream().map(locked -> locked.get("testId").asString())).contains("sh-neer").doesNotContainAnyElementsOf(tests(plan));
        assertThat(plan.at("/locked/0/why").asString()).isNotBlank();
    }
}
