package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import lexicor.core.examination.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What the therapist concludes, and what stands beside it. */
class ConclusionApiTest extends AtTheBench {

    private String id;

    @BeforeEach
    void begin() {
        id = therapist
                .post(
                        "/api/cases",
                        Visit.start("CC-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .get("id")
                .asString();
        send(
                id,
                visit.record(
                        "sh-arc",
                        "pain=familiar",
                        "site=outer-arm",
                        "angle-start=70",
                        "angle-worst=90",
                        "angle-end=110"),
                visit.record("sh-neer", "pain=familiar"),
                visit.record("sh-hawkins", "pain=familiar"));
    }

    @Test
    void before_anything_is_concluded_what_leads_is_offered_to_be_settled_and_what_was_measured_to_be_repeated() {
        JsonNode beside = beside();
        assertThat(beside.get("candidates").get(0).asString()).isEqualTo("subacromial-pain");
        assertThat(beside.get("toSettle")
                        .valueStream()
                        .map(step -> step.get("conditionId").asString()))
                .contains("subacromial-pain")
                .hasSizeLessThanOrEqualTo(3);
        assertThat(beside.get("suggested")
                        .valueStream()
                        .map(marker -> marker.get("testId").asString()))
                .containsExactly("sh-arc");
        assertThat(beside.path("differs").isObject()).isFalse();
        assertThat(note(id)).doesNotContain("Conclusion of the therapist");
    }

    @Test
    void a_conclusion_is_written_in_the_note_with_its_difference_from_the_ranking() {
        send(
                id,
                visit.tell(
                        Answer.of("working", "acj"),
                        Answer.of("rivals", "subacromial-pain", "acj"),
                        Answer.number("confidence", 0.6)),
                visit.tell(Answer.because("why-different", "One finger on the joint")),
                visit.tell(
                        Answer.of("next-steps", "acj"),
                        Answer.because("own-steps", "Write to the surgeon"),
                        Answer.because("advice", "Sleep on the other side")),
                visit.tell(Answer.of("markers", "sh-arc"), Answer.on("again-on", LocalDate.of(2026, 12, 10))));
        JsonNode beside = beside();
        assertThat(beside.get("sureness").asString()).isEqualTo("likely");
        assertThat(beside.at("/differs/conditionId").asString()).isEqualTo("subacromial-pain");
        assertThat(beside.get("toSettle")
                        .valueStream()
                        .map(step -> step.get("conditionId").asString()))
                .containsExactly("acj", "subacromial-pain");
        assertThat(note(id))
                .contains(
                        "Conclusion of the therapist",
                        "- Working diagnosis: AC joint pain",
                        ", likely (60 in 100 by the therapist)",
                        "- It could also be: Subacromial pain",
                        "first (",
                        "; why otherwise: One finger on the joint",
                        "- Next: X-ray",
                        "; Write to the surgeon",
                        "- Advice: Sleep on the other side",
                        "- Test again on 10 December 2026: painful arc");
    }

    @Test
    void the_day_to_test_again_goes_into_a_calendar_without_a_name() {
        assertThat(therapist
                        .get("/api/examinations/" + id + "/retest.ics", 404)
                        .get("detail")
                        .asString())
                .contains("No day to test again is set");
        send(id, visit.tell(Answer.of("markers", "sh-arc"), Answer.on("again-on", LocalDate.of(2026, 12, 10))));
        String entry = therapist.text("/api/examinations/" + id + "/retest.ics");
        assertThat(entry.lines())
                .contains(
                        "BEGIN:VEVENT",
                        "DTSTART;VALUE=DATE:20261210",
                        "DESCRIPTION:Painful arc",
                        "UID:" + id + "@lexicor")
                .anySatisfy(line -> assertThat(line).startsWith("SUMMARY:Test again: case CC-"));
        assertThat(therapist.text("/api/examinations/" + id + "/retest.ics"))
                .as("the same entry each time")
                .isEqualTo(entry);
    }

    @Test
    void what_is_still_open_may_be_said_and_taken_back() {
        send(id, visit.tell(Answer.of("working", "open")));
        assertThat(note(id)).contains("- Working diagnosis: still open");
        assertThat(beside().path("differs").isObject()).isFalse();
        send(id, visit.tell(new Answer("working", List.of(), OptionalDouble.empty(), Optional.empty(), "")));
        assertThat(note(id)).doesNotContain("Conclusion of the therapist");
    }

    @Test
    void a_patient_takes_home_the_conclusion_in_everyday_words() {
        String address = "/api/examinations/" + id + "/note?length=patient";
        assertThat(therapist.text(address))
                .startsWith("Your right shoulder, examined on ")
                .contains("Nothing has been concluded yet.")
                .doesNotContain("What comes next", "You are seen again");
        send(
                id,
                visit.tell(
                        Answer.of("working", "cuff-tear-full"),
                        Answer.of("rivals", "gh-oa"),
                        Answer.number("confidence", 0.6),
                        Answer.because("own-steps", "Write to the surgeon"),
                        Answer.because("advice", "Sleep on the other side")));
        assertThat(therapist.text(address))
                .contains(
                        "It is likely a tendon of the shoulder torn through. It could also be a worn shoulder joint.",
                        "- Write to the surgeon",
                        "What you can do\nSleep on the other side",
                        "Such tests can be wrong")
                .doesNotContain("in 100", "Full-thickness", "Case ");
        send(id, visit.tell(Answer.of("working", "open")));
        assertThat(therapist.text(address)).contains("It is still open what it is.");
    }

    @Test
    void the_note_comes_in_three_lengths() {
        send(
                id,
                visit.record("sh-er-resist", "pain=none", "strength=full"),
                visit.record("sh-lift-off", "quality=skipped"),
                visit.tell(Answer.of("working", "subacromial-pain"), Answer.because("advice", "Keep it moving")));
        String brief = therapist.text("/api/examinations/" + id + "/note?length=short");
        assertThat(brief)
                .contains(
                        "Positive: painful arc",
                        "Negative: resisted ext. rotation",
                        "- Subacromial pain",
                        "Advice: Keep it moving")
                .doesNotContain("Findings", "Dear colleague");
        assertThat(brief.lines().count()).isLessThan(note(id).lines().count());
        assertThat(therapist.text("/api/examinations/" + id + "/note?length=letter"))
                .startsWith("Dear colleague,")
                .contains("Conclusion of the therapist", "With kind regards,");
        assertThat(therapist
                        .get("/api/examinations/" + id + "/note?length=long", 400)
                        .get("detail")
                        .asString())
                .isEqualTo("length: 'long' is not a length; allowed: short, full, letter, patient");
    }

    @Test
    void a_condition_that_nobody_knows_and_certainty_are_refused_by_name() {
        JsonNode fault = therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(List.of(visit.tell(Answer.of("working", "tfc"))), null),
                400);
        assertThat(fault.get("field").asString()).isEqualTo("commands[0].answers[0].values");
        fault = therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(List.of(visit.tell(Answer.number("confidence", 1))), null),
                400);
        assertThat(fault.get("detail").asString()).contains("allowed: a chance from 0.001 to 0.999");
    }

    private JsonNode beside() {
        return therapist.get("/api/examinations/" + id + "/conclusion", 200);
    }
}
