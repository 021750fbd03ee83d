package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.core.examination.Side;
import lexicor.server.examinations.record.AttemptJson;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.VisitRequest;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class IntakeApiTest extends AtTheBench {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.UK);

    @Test
    void a_clue_moves_the_start_and_one_with_published_accuracy_is_weighed_instead() {
        String id = begin();
        send(id, visit.tell(Answer.of("night", "any-position"), Answer.of("clues", "felt-weak")));
        JsonNode full = start(id, "cuff-tear-full");
        assertThat(full.get("moved").valueStream().map(moved -> moved.get("by").asString()))
                .contains("The arm feels weak");
        JsonNode any = start(id, "cuff-tear-any");
        assertThat(any.get("weighedLater").valueStream().map(JsonNode::asString))
                .containsExactly("Pain at night");
        assertThat(any.get("moved").valueStream().map(moved -> moved.get("by").asString()))
                .doesNotContain("Pain at night");
        JsonNode standing = standing(id, "cuff-tear-any");
        assertThat(standing.at("/loads/0/phrase").asString()).isEqualTo("Pain at night");
        assertThat(standing.at("/loads/0/testIds")).isEmpty();
        assertThat(standing.get("before").asDouble())
                .isEqualTo(any.get("chance").asDouble());
    }

    @Test
    void the_therapists_own_start_stands_until_it_is_put_back() {
        String id = begin();
        double shipped = start(id, "acj").get("chance").asDouble();
        send(id, visit.tell(Answer.number("start:acj", 0.4)));
        assertThat(start(id, "acj").get("own").asDouble()).isEqualTo(0.4);
        assertThat(standing(id, "acj").get("before").asDouble()).isEqualTo(0.4);
        send(id, visit.tell(Answer.of("start:acj")));
        assertThat(start(id, "acj").get("chance").asDouble()).isEqualTo(shipped);
    }

    @Test
    void surgery_ahead_of_today_is_named_kept_and_locks_all_the_same() {
        String id = begin();
        send(
                id,
                visit.tell(
                        Answer.of("facts", "shoulder-repair"),
                        Answer.on("fact-date:shoulder-repair", LocalDate.now().plusDays(3))));
        JsonNode intake = therapist.get("/api/examinations/" + id + "/intake", 200);
        assertThat(intake.at("/faults/0/question").asString()).isEqualTo("fact-date:shoulder-repair");
        assertThat(intake.at("/faults/0/message").asString()).contains("up to today");
        assertThat(intake.get("locked")).isNotEmpty();
        assertThat(therapist
                        .get("/api/examinations/" + id, 200)
                        .at("/commands/0/answers/1/on")
                        .asString())
                .isEqualTo(LocalDate.now().plusDays(3).toString());
    }

    @Test
    void an_override_and_a_release_are_printed_with_who_and_why() throws Exception {
        String id = begin();
        send(id, visit.tell(Answer.of("red-flags", "cardiac", "none"), Answer.of("facts", "osteoporosis")));
        send(
                id,
                visit.tell(
                        Answer.because("release:cardiac", "Seen today, clear"),
                        Answer.because("override:sh-neer", "Lightly, agreed")));
        String note = note(id);
        assertThat(note)
                .contains(
                        "Red flag: Chest tightness",
                        "Released by dale",
                        "Seen today, clear",
                        "Done against a lock: Passive forward-flexion impingement, by dale",
                        "Lightly, agreed",
                        "Severe osteoporosis. Locked or lightened: overpressure",
                        "flexed int. rotation (severe osteoporosis");
    }

    @Test
    void a_lock_whose_time_is_over_is_told_as_over_and_one_in_force_with_its_end() throws Exception {
        String id = begin();
        LocalDate longAgo = LocalDate.now().minusWeeks(30);
        send(
                id,
                visit.tell(
                        Answer.of("facts", "shoulder-repair", "shoulder-dislocation"),
                        Answer.on("fact-date:shoulder-repair", longAgo),
                        Answer.on(
                                "fact-date:shoulder-dislocation",
                                LocalDate.now().minusWeeks(2))));
        assertThat(note(id))
                .contains(
                        "Shoulder repair or stabilisation (" + DAY.format(longAgo) + "): no longer a reason",
                        "until " + DAY.format(LocalDate.now().plusWeeks(4)))
                .doesNotContain("Shoulder repair or stabilisation (" + DAY.format(longAgo) + "). Locked");
    }

    @Test
    void an_answer_of_the_wrong_shape_is_named_by_its_path_and_nothing_is_kept() {
        String id = begin();
        JsonNode fault = therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(
                        List.of(visit.tell(Answer.of("night", "sleeps"), Answer.of("night", "sideways"))), null),
                400);
        assertThat(fault.get("field").asString()).isEqualTo("commands[0].answers[1].values");
        assertThat(fault.get("detail").asString()).contains("'sideways' is not an answer; allowed: [sleeps");
        assertThat(therapist.get("/api/examinations/" + id, 200).get("commands"))
                .isEmpty();
    }

    @Test
    void two_devices_merge_different_tests_silently_and_show_the_choice_for_the_same_one() {
        String id = begin();
        Visit elsewhere = new Visit();
        send(id, visit.record("sh-neer", "pain=familiar"));
        send(id, elsewhere.record("sh-hawkins", "pain=none"));
        assertThat(state(id, "sh-neer").get("rivals")).isEmpty();
        assertThat(state(id, "sh-hawkins").get("progress").asString()).isEqualTo("READ");
        CommandJson other = elsewhere.record("sh-neer", "pain=none");
        send(id, other);
        JsonNode contradicted = state(id, "sh-neer");
        assertThat(contradicted.get("rivals")).hasSize(2);
        assertThat(contradicted.get("progress").asString()).isEqualTo("VOID");
        assertThat(contradicted.at("/statements/0/phrase").asString()).contains("two devices");
        AttemptJson kept = other.attempts().get(0);
        List<UUID> both = contradicted
                .get("rivals")
                .valueStream()
                .map(rival -> UUID.fromString(rival.at("/attempt/id").asString()))
                .toList();
        send(id, visit.choosing(kept, both));
        assertThat(state(id, "sh-neer").get("rivals")).isEmpty();
        assertThat(state(id, "sh-neer").get("progress").asString()).isEqualTo("READ");
        assertThat(state(id, "sh-neer").at("/statements/0/kind").asString()).isEqualTo("AGAINST");
    }

    @Test
    void a_condition_that_needs_its_story_is_ranked_once_it_is_told() {
        String id = therapist
                .post(
                        "/api/cases",
                        new VisitRequest.NewCase(
                                UUID.randomUUID(),
                                "IB-" + UUID.randomUUID().toString().substring(0, 8),
                                new lexicor.server.cases.CaseDetails(null, null, null, null),
                                new VisitRequest(
                                        UUID.randomUUID(),
                                        "wrist",
                                        lexicor.server.cases.Affected.BOTH,
                                        Side.RIGHT,
                                        lexicor.core.catalogue.CareSetting.FIRST_CONTACT,
                                        null)),
                        201)
                .get("id")
                .asString();
        assertThat(weighing(id)
                        .get("standings")
                        .valueStream()
                        .map(each -> each.get("conditionId").asString()))
                .contains("tfcc")
                .doesNotContain("scaphoid-fracture");
        send(id, visit.tell(Answer.of("mechanism", "outstretched-fall")));
        assertThat(weighing(id)
                        .get("standings")
                        .valueStream()
                        .map(each -> each.get("conditionId").asString()))
                .as("its story is told")
                .contains("scaphoid-fracture");
    }

    private String begin() {
        return therapist
                .post(
                        "/api/cases",
                        Visit.start("IA-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .get("id")
                .asString();
    }

    private JsonNode start(String id, String condition) {
        return of(therapist.get("/api/examinations/" + id + "/intake", 200).get("starts"), "conditionId", condition);
    }

    private JsonNode standing(String id, String condition) {
        return of(weighing(id).get("standings"), "conditionId", condition);
    }

    private JsonNode state(String id, String test) {
        return of(weighing(id).get("tests"), "testId", test);
    }

    private static JsonNode of(JsonNode list, String field, String value) {
        return list.valueStream()
                .filter(each -> each.get(field).asString().equals(value))
                .findFirst()
                .orElseThrow();
    }
}
