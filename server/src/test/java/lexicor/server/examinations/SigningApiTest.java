package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.examination.Answer;
import lexicor.server.Asking;
import lexicor.server.BothDatabases;
import lexicor.server.accounts.Role;
import lexicor.server.cases.Affected;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.VisitRequest;
import lexicor.server.examinations.signing.SigningJson;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

/** Signing, what stands in its way, what is kept, and what follows. */
@BothDatabases
class SigningApiTest extends AtTheBench {

    @Autowired
    private MockMvcTester server;

    private VisitRequest.NewCase start;
    private String id;

    @BeforeEach
    void begin() {
        start = Visit.start("SG-" + UUID.randomUUID().toString().substring(0, 8));
        id = therapist.post("/api/cases", start, 201).get("id").asString();
    }

    private void examined() {
        send(
                id,
                visit.tell(Answer.of("red-flags", "none")),
                visit.record("sh-arc", "pain=familiar", "site=outer-arm", "angle-worst=90"),
                visit.record("sh-neer", "pain=familiar"),
                visit.record("sh-drop-arm", "lowering=smooth"),
                visit.tell(
                        Answer.of("working", "subacromial-pain"),
                        Answer.number("confidence", 0.6),
                        Answer.of("markers", "sh-arc")));
    }

    private long known() {
        return therapist.get("/api/examinations/" + id, 200).get("commands").size();
    }

    private JsonNode sign(int status) {
        return therapist.post("/api/examinations/" + id + "/signature", new SigningJson.Sign(known()), status);
    }

    private JsonNode amend(String reason, int status) {
        return therapist.post("/api/examinations/" + id + "/amendment", new SigningJson.Amend(reason), status);
    }

    private Callable<Integer> signing(String name, long knows) {
        return () -> server.post()
                .uri("/api/examinations/" + id + "/signature")
                .with(Asking.person(name, Role.THERAPIST))
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"knows\":" + knows + "}")
                .exchange()
                .getResponse()
                .getStatus();
    }

    @Test
    void what_stands_in_the_way_is_named_with_what_to_do() {
        assertThat(sign(409).get("detail").asString())
                .contains(
                        "Red flags not all asked. Ask them, in the intake.",
                        "No working diagnosis. Name one, or say that it is still open.");
        send(id, visit.tell(Answer.of("red-flags", "cardiac", "none"), Answer.of("working", "open")));
        assertThat(sign(409).get("detail").asString()).startsWith("Red flag: ").contains("release it with your reason");
        send(
                id,
                visit.tell(Answer.because("release:cardiac", "Seen by the cardiologist, clear")),
                visit.record("sh-neer", "pain=familiar"),
                visit.tell(Answer.of("facts", "osteoporosis")));
        assertThat(sign(409).get("detail").asString()).contains(" was done and is locked: ");
        assertThat(therapist
                        .get("/api/examinations/" + id + "/conclusion", 200)
                        .at("/hindrances/0/kind")
                        .asString())
                .isEqualTo("DONE_UNDER_LOCK");
        send(id, visit.tell(Answer.because("override:sh-neer", "Lightly, agreed with the patient")));
        assertThat(sign(200).get("closed").asBoolean()).isTrue();
    }

    @Test
    void who_has_not_seen_the_last_entries_is_asked_to_look_again() {
        examined();
        assertThat(therapist
                        .post("/api/examinations/" + id + "/signature", new SigningJson.Sign(known() - 2), 409)
                        .get("detail")
                        .asString())
                .contains("grown by 2 entries since you looked");
        assertThat(therapist
                        .post("/api/examinations/" + id + "/signature", new SigningJson.Sign(known() + 1), 409)
                        .get("detail")
                        .asString())
                .contains("Wait until all is saved");
        assertThat(therapist
                        .post("/api/examinations/" + id + "/signature", new SigningJson.Sign(null), 400)
                        .get("field")
                        .asString())
                .isEqualTo("knows");
    }

    @Test
    void of_two_who_sign_at_once_one_is_told_of_the_other() throws Exception {
        examined();
        long knows = known();
        ExecutorService both = Executors.newFixedThreadPool(2);
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> answer : both.invokeAll(List.of(signing("dale", knows), signing("moor", knows)))) {
            answers.add(answer.get());
        }
        both.shutdown();
        assertThat(answers).containsExactlyInAnyOrder(200, 409);
        assertThat(therapist
                        .get("/api/examinations/" + id, 200)
                        .at("/signing/versions")
                        .size())
                .isEqualTo(1);
        assertThat(sign(409).get("detail").asString())
                .startsWith("Signed already by ")
                .contains(", version 1");
    }

    @Test
    void a_signed_examination_takes_nothing_more_until_it_is_amended_with_a_reason_and_versions_stay() {
        examined();
        String draft = note(id);
        sign(200);
        CommandJson late = visit.record("sh-hawkins", "pain=familiar");
        ExaminationJson.Batch batch = new ExaminationJson.Batch(List.of(late), null);
        JsonNode refusal = therapist.post("/api/examinations/" + id + "/commands", batch, 423);
        assertThat(refusal.get("detail").asString())
                .startsWith("Signed by dale on ")
                .contains("Amend it, with a reason");
        assertThat(amend("  ", 400).get("field").asString()).isEqualTo("reason");
        amend("Forgot the second impingement test", 200);
        assertThat(amend("Once more", 409).get("detail").asString())
                .isEqualTo("Opened already by dale: Forgot the second impingement test");
        therapist.post("/api/examinations/" + id + "/commands", batch, 200);
        sign(200);
        JsonNode signing = therapist.get("/api/examinations/" + id, 200).get("signing");
        assertThat(signing.at("/versions/1/version").asInt()).isEqualTo(2);
        assertThat(signing.at("/versions/1/amended/reason").asString()).isEqualTo("Forgot the second impingement test");
        assertThat(signing.at("/versions/0/seed").asString())
                .isEqualTo(signing.at("/versions/1/seed").asString());
        assertThat(draft).contains("Draft, not signed.");
        assertThat(note(id))
                .contains("Flexed internal-rotation impingement")
                .contains("Signed by dale on ")
                .contains(", version 2. Amended: Forgot the second impingement test")
                .doesNotContain("Draft");
        assertThat(therapist.text("/api/examinations/" + id + "/note?version=1"))
                .doesNotContain("Flexed internal-rotation impingement, right")
                .contains(", version 1.");
        assertThat(therapist
                        .get("/api/examinations/" + id + "/note?version=3", 404)
                        .get("detail")
                        .asString())
                .contains("no signed version 3", "there are 2");
        assertThat(amend("Again", 200).get("closed").asBoolean()).isFalse();
    }

    @Test
    void what_was_signed_is_computed_anew_to_the_same_whatever_was_added_since() {
        examined();
        sign(200);
        JsonNode then = weighing(id);
        amend("One more test", 200);
        send(id, visit.record("sh-hawkins", "pain=none"));
        JsonNode again = therapist.get("/api/examinations/" + id + "/versions/1/recomputed", 200);
        assertThat(again.get("changes").valueStream().map(JsonNode::asString)).isEmpty();
        assertThat(again.get("same").asBoolean()).isTrue();
        sign(200);
        assertThat(weighing(id).get("standings")).isNotEqualTo(then.get("standings"));
        assertThat(therapist
                        .get("/api/examinations/" + id + "/versions/2/recomputed", 200)
                        .get("same")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void where_the_person_was_another_then_it_says_different_and_why() {
        examined();
        sign(200);
        JsonNode person = therapist.get("/api/examinations/" + id, 200).get("person");
        therapist.put(
                "/api/cases/" + person.get("id").asString(),
                Map.of(
                        "version",
                        person.get("version").asInt(),
                        "details",
                        Map.of("occupation", "Bell founder", "birthYear", 1944)),
                200);
        JsonNode again = therapist.get("/api/examinations/" + id + "/versions/1/recomputed", 200);
        assertThat(again.get("same").asBoolean()).isFalse();
        assertThat(again.get("because").valueStream().map(JsonNode::asString))
                .contains("The year of birth was changed.", "The person's code, name or occupation was changed.");
        assertThat(again.get("changes").valueStream().map(JsonNode::asString))
                .anyMatch(change -> change.matches(".*: signed .* in 100 .*, now .* in 100 .*"));
        assertThat(note(id))
                .as("what was signed is read as it was")
                .contains("Sail mender")
                .doesNotContain("Bell founder");
    }

    @Test
    void at_the_next_visit_the_chosen_measures_stand_beside_the_last() {
        examined();
        send(
                id,
                visit.tell(Answer.number("pain-now", 6)),
                visit.record("sh-empty-can", "pain=familiar", "strength=full", "force#1=80"),
                visit.tell(Answer.of("markers", "sh-empty-can", "sh-arc")));
        assertThat(therapist
                        .get("/api/examinations/" + id + "/again", 200)
                        .path("again")
                        .isObject())
                .as("the first visit")
                .isFalse();
        sign(200);
        String caseId =
                therapist.get("/api/examinations/" + id, 200).at("/person/id").asString();
        VisitRequest next = new VisitRequest(
                UUID.randomUUID(), "shoulder", Affected.RIGHT, null, CareSetting.FIRST_CONTACT, UUID.fromString(id));
        String second = therapist
                .post("/api/cases/" + caseId + "/examinations", next, 201)
                .get("id")
                .asString();
        JsonNode before =
                therapist.get("/api/examinations/" + second + "/again", 200).get("again");
        assertThat(before.at("/tests/0/done").asBoolean()).isFalse();
        assertThat(before.at("/tests/0/changes/0/because").asString()).isEqualTo("not done yet");
        Visit later = new Visit();
        send(
                second,
                later.tell(Answer.of("red-flags", "none"), Answer.number("pain-now", 3)),
                later.record("sh-empty-can", "pain=none", "strength=full", "force#1=120", "force#2=110"));
        JsonNode after =
                therapist.get("/api/examinations/" + second + "/again", 200).get("again");
        assertThat(after.at("/scales/0/verdict").asString()).isEqualTo("BETTER");
        assertThat(after.at("/tests/0/changes/0/verdict").asString()).isEqualTo("BETTER");
        assertThat(note(second))
                .contains(
                        "Compared with the visit before",
                        "- Pain now: 6 of 10 then, 3 of 10 now: better",
                        "- Empty can, force: 80 N then, 120 N now: better",
                        "working estimates of measurement noise");
    }

    @Test
    void only_the_report_may_be_framed_and_only_by_the_page_itself() {
        var report = server.get()
                .uri("/api/examinations/" + id + "/report")
                .with(Asking.person("dale", Role.THERAPIST))
                .exchange()
                .getResponse();
        assertThat(report.getHeader("X-Frame-Options")).isEqualTo("SAMEORIGIN");
        assertThat(report.getHeader("Content-Security-Policy"))
                .contains("default-src 'none'", "frame-ancestors 'self'");
        var note = server.get()
                .uri("/api/examinations/" + id + "/note")
                .with(Asking.person("dale", Role.THERAPIST))
                .exchange()
                .getResponse();
        assertThat(note.getHeader("X-Frame-Options")).isEqualTo("DENY");
        assertThat(note.getHeader("Content-Security-Policy")).contains("frame-ancestors 'none'");
    }

    @Test
    void the_report_is_a_page_and_a_pdf_of_draft_and_signed_version_alike() {
        examined();
        assertThat(therapist.text("/api/examinations/" + id + "/report"))
                .contains("Draft, not signed.", "Subacromial pain", "What weighs on");
        sign(200);
        assertThat(therapist.text("/api/examinations/" + id + "/report"))
                .contains("Signed by dale on ")
                .doesNotContain("Draft");
        byte[] pdf = therapist.bytes("/api/examinations/" + id + "/report.pdf?version=1");
        assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
    }
}
