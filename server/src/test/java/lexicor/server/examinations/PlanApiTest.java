package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
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
        id = therapist
                .post(
                        "/api/cases",
                        Visit.start("PL-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .get("id")
                .asString();
        send(id, visit.tell(Answer.of("red-flags", "none")));
    }

    private JsonNode plan(String query, int status) {
        return therapist.get("/api/examinations/" + id + "/plan" + query, status);
    }

    private static List<String> tests(JsonNode plan) {
        return plan.get("steps")
                .valueStream()
                .map(step -> step.get("testId").asString())
                .toList();
    }

    @Test
    void it_keeps_to_the_minutes_and_says_of_each_test_why_it_is_in_or_out() {
        JsonNode plan = plan("?minutes=10", 200);
        assertThat(plan.get("minutes").asDouble()).isLessThanOrEqualTo(10);
        assertThat(plan.get("steps").valueStream().map(step -> step.get("why").asString()))
                .contains("SAFETY", "SERIOUS", "SPREAD");
        assertThat(plan.get("steps")
                        .valueStream()
                        .filter(step -> step.get("why").asString().equals("INFORMATION")))
                .allSatisfy(step -> {
                    assertThat(step.get("bits").asDouble()).isPositive();
                    assertThat(step.get("changes")).isNotEmpty();
                });
        assertThat(plan.get("out")
                        .valueStream()
                        .map(out -> out.get("why").asString())
                        .distinct())
                .contains("SCREEN_FIRST", "NO_FIGURES");
        assertThat(plan("?minutes=3", 200)
                        .get("out")
                        .valueStream()
                        .map(out -> out.get("why").asString()))
                .contains("NO_TIME");
        assertThat(plan("?minutes=0", 200).get("steps")).isEmpty();
        assertThat(plan("?minutes=-1", 400).get("field").asString()).isEqualTo("minutes");
        assertThat(plan("?minutes=soon", 400).get("field").asString()).isEqualTo("minutes");
    }

    @Test
    void what_is_put_in_stays_in_and_the_curve_rises_to_its_knee_and_beyond() {
        JsonNode plan = plan("?minutes=1&with=sh-speed&with=sh-kim", 200);
        assertThat(plan.get("steps")
                        .valueStream()
                        .filter(step -> step.get("why").asString().equals("BY_HAND"))
                        .map(step -> step.get("testId").asString()))
                .containsExactlyInAnyOrder("sh-speed", "sh-kim");
        assertThat(plan("?with=sh-spede", 400).get("field").asString()).isEqualTo("with");
        JsonNode curve = plan("/curve", 200);
        List<Double> bits = curve.get("points")
                .valueStream()
                .map(point -> point.get("bits").asDouble())
                .toList();
        assertThat(bits).isSorted().hasSizeGreaterThan(3);
        assertThat(curve.at("/knee/minutes").asDouble()).isBetween(1.0, 15.0);
    }

    @Test
    void it_says_what_it_may_leave_open_and_what_would_answer_instead() {
        JsonNode limits = plan("?minutes=5", 200).get("limits");
        assertThat(limits).isNotEmpty();
        assertThat(limits.valueStream()).allSatisfy(limit -> {
            assertThat(limit.get("open").asDouble()).isBetween(0.2, 1.0);
            assertThat(limit.get("least").asDouble())
                    .isLessThanOrEqualTo(limit.get("open").asDouble());
        });
        assertThat(limits.valueStream().filter(limit -> limit.has("settles")))
                .anySatisfy(limit -> assertThat(limit.get("settles").asString()).isNotBlank());
        assertThat(plan("?minutes=5", 200).get("act").asDouble()).isEqualTo(0.75);
    }

    @Test
    void the_plan_by_the_story_stays_what_it_was_before_anything_was_tested() {
        send(id, visit.tell(Answer.of("onset", "slowly")));
        JsonNode before = plan("/story?minutes=10", 200);
        assertThat(tests(before.get("plan"))).isEqualTo(tests(plan("?minutes=10", 200)));
        assertThat(before.get("told").valueStream().map(JsonNode::asString))
                .containsExactly("How did it begin: Slowly");
        assertThat(before.get("likely")
                        .valueStream()
                        .map(each -> each.get("chance").asDouble()))
                .hasSize(5)
                .isSortedAccordingTo(Comparator.reverseOrder());
        send(id, visit.record("sh-drop-arm", "lowering=drops", "pain=none"));
        assertThat(plan("/story?minutes=10", 200)).isEqualTo(before);
        assertThat(plan("/story?minutes=-1", 400).get("field").asString()).isEqualTo("minutes");
    }

    @Test
    void positions_that_cannot_be_taken_are_not_planned_and_close_what_has_no_other() {
        send(id, visit.tell(Answer.of("facts", "cannot-lie-back", "cannot-stand")));
        JsonNode plan = plan("?minutes=20", 200);
        assertThat(plan.get("steps")
                        .valueStream()
                        .map(step -> step.get("position").asString()))
                .isNotEmpty()
                .doesNotContain("Supine", "Standing", "Standing at the wall");
        assertThat(plan.get("locked").valueStream().map(test -> test.get("why").asString()))
                .contains("Cannot lie on the back: it can be done in no position that is left");
    }

    @Test
    void what_a_therapist_does_not_do_is_left_out_for_them_alone_and_the_plan_says_what_that_costs() {
        List<String> usual = tests(plan("?minutes=10", 200));
        assertThat(usual).contains("sh-er-resist");
        therapist.put("/api/settings/own/not-mine.sh-er-resist", Map.of("value", "yes"), 200);
        try {
            JsonNode plan = plan("?minutes=10", 200);
            assertThat(tests(plan)).doesNotContain("sh-er-resist");
            assertThat(plan.at("/forgone/0/testId").asString()).isEqualTo("sh-er-resist");
            assertThat(plan.get("out")
                            .valueStream()
                            .filter(out -> out.get("why").asString().equals("NOT_MINE"))
                            .map(out -> out.get("testId").asString()))
                    .containsExactly("sh-er-resist");
            assertThat(tests(plan("?minutes=10&with=sh-er-resist", 200)))
                    .as("put in by hand")
                    .contains("sh-er-resist");
        } finally {
            therapist.put("/api/settings/own/not-mine.sh-er-resist", "{}", 200);
        }
        assertThat(tests(plan("?minutes=10", 200))).isEqualTo(usual);
        assertThat(plan("?minutes=10", 200).get("forgone")).isEmpty();
    }

    @Test
    void a_patient_whose_pain_stays_is_spared_and_the_plan_says_how_far() {
        assertThat(plan("", 200).has("spared") && !plan("", 200).get("spared").isNull())
                .isFalse();
        send(id, visit.tell(Answer.number("pain-worst", 8), Answer.of("settles", "longer")));
        JsonNode spared = plan("", 200);
        assertThat(spared.get("minutes").asDouble())
                .isLessThanOrEqualTo(spared.get("spared").asDouble());
        assertThat(plan("/curve", 200).at("/knee/minutes").asDouble())
                .isEqualTo(spared.get("spared").asDouble());
    }

    @Test
    void an_order_of_ones_own_is_weighed_and_what_cannot_be_done_is_named() {
        send(id, visit.tell(Answer.of("facts", "osteoporosis")));
        send(id, visit.record("sh-look", "quality=skipped"));
        JsonNode own = plan(
                "/own?test=sh-apprehension&test=sh-relocation&test=sh-arc&test=sh-look&test=sh-neer&test=wr-finkelstein",
                200);
        assertThat(tests(own.get("plan"))).containsExactly("sh-apprehension", "sh-relocation", "sh-arc");
        assertThat(own.get("skipped")
                        .valueStream()
                        .map(test -> test.get("testId").asString()))
                .containsExactly("sh-look", "sh-neer", "wr-finkelstein");
        assertThat(own.at("/skipped/0/why").asString()).isEqualTo("done");
        assertThat(own.at("/faults/0").asString()).contains("what frightens or hurts goes last");
        assertThat(plan("/own", 200).at("/plan/steps")).isEmpty();
        assertThat(plan("/own?test=nothing", 400).get("field").asString()).isEqualTo("test");
    }

    @Test
    void results_settle_what_was_planned_and_bring_up_what_tells_more() {
        assertThat(plan("/again", 200).get("better")).as("no plan was taken").isEmpty();
        send(
                id,
                visit.tell(
                        Answer.of("plan", "sh-pec", "sh-lateral-slide"),
                        Answer.of("plan-by-hand", "sh-lateral-slide"),
                        Answer.of("plan-positions", "sh-pec--supine")));
        assertThat(plan("/again", 200).get("settled"))
                .as("before there is any result")
                .isEmpty();
        send(id, visit.record("sh-arc", "quality=skipped"));
        JsonNode again = plan("/again", 200);
        assertThat(again.at("/settled/0/testId").asString()).isEqualTo("sh-pec");
        assertThat(again.at("/ask/0/testId").asString()).isEqualTo("sh-lateral-slide");
        assertThat(again.get("better").valueStream())
                .isNotEmpty()
                .allSatisfy(better -> assertThat(better.get("changes")).isNotEmpty());
        String proposed = again.at("/better/0/testId").asString();
        send(id, visit.tell(Answer.of("plan-kept", "sh-pec", "sh-lateral-slide", proposed)));
        assertThat(plan("/again", 200)
                        .get("better")
                        .valueStream()
                        .map(better -> better.get("testId").asString()))
                .doesNotContain(proposed);
        assertThat(plan("/again", 200).get("settled")).isEmpty();
        assertThat(plan("/again", 200).get("ask")).isEmpty();
    }

    @Test
    void a_plan_that_was_taken_is_kept_as_told() {
        send(id, visit.tell(Answer.of("order", "sh-rent", "sh-arc"), Answer.of("plan", "sh-rent", "sh-arc")));
        assertThat(therapist.get("/api/examinations/" + id, 200).toString()).contains("\"question\":\"plan\"");
        assertThat(therapist
                        .post(
                                "/api/examinations/" + id + "/commands",
                                new ExaminationJson.Batch(List.of(visit.tell(Answer.of("plan", "sh-ark"))), null),
                                400)
                        .get("detail")
                        .asString())
                .contains("'sh-ark' is not an answer");
        assertThat(note(id)).doesNotContain("plan");
    }

    @Test
    void what_was_done_is_out_of_it_and_what_is_locked_is_named() {
        String first = tests(plan("?minutes=10", 200)).stream()
                .filter(test -> test.equals("sh-rent") || test.equals("nk-screen"))
                .findFirst()
                .orElseThrow();
        send(id, visit.record(first, "quality=skipped"));
        assertThat(tests(plan("?minutes=10", 200))).doesNotContain(first);
        send(id, visit.tell(Answer.of("facts", "osteoporosis")));
        JsonNode plan = plan("", 200);
        assertThat(plan.get("locked")
                        .valueStream()
                        .map(locked -> locked.get("testId").asString()))
                .contains("sh-neer")
                .doesNotContainAnyElementsOf(tests(plan));
        assertThat(plan.at("/locked/0/why").asString()).isNotBlank();
    }
}
