package lexicor.server.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lexicor.server.Asking;
import lexicor.server.BothDatabases;
import lexicor.server.ServerTest;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

@ServerTest
@BothDatabases
class PracticeApiTest {

    private static final String CASES = "/api/practice/cases";

    private static final String WRITTEN = """
            lexicor-practice: 1
            title: The baker
            region: shoulder
            setting: specialist
            side: right
            age: 50
            sex: man
            occupation: Baker
            opening: It is my right shoulder.
            truth: [subacromial-pain]
            story: {zone: shoulder, onset: slowly, pain-now: 2}
            answers:
              sh-hawkins: {pain: familiar, site: outer-arm}
            """;

    @Autowired
    private MockMvcTester server;

    private Asking student;

    @BeforeEach
    void ask() {
        student = Asking.as(server, "brook", Role.STUDENT);
    }

    private String written() {
        return student.post(CASES + "/written", Map.of("text", WRITTEN, "showing", "AS_I_GO"), 200)
                .get("id")
                .asString();
    }

    private JsonNode step(String id, int number, String kind, Object what) {
        return student.post(CASES + "/" + id + "/steps", Map.of("number", number, kind, what), 200);
    }

    @Test
    void a_student_examines_an_invented_patient_and_looks_back() {
        String id = written();
        JsonNode now = student.get(CASES + "/" + id, 200);
        assertThat(now.get("opening").asString()).isEqualTo("It is my right shoulder.");
        assertThat(now.toString()).as("nothing tells what is wrong").doesNotContain("truth");
        assertThat(now.get("shown")).isEmpty();
        now = step(id, 0, "ask", List.of("red-flags", "onset"));
        assertThat(now.at("/told/0/lines/0").asString()).isEqualTo("No, nothing like that.");
        assertThat(now.at("/told/1/lines/0").asString()).isEqualTo("It crept up on me. I could not name a day.");
        step(id, 1, "chances", Map.of("subacromial-pain", 0.4, "frozen-shoulder", 0.2));
        now = step(id, 2, "test", Map.of("testId", "sh-hawkins", "way", "usual", "wellFirst", true));
        assertThat(now.at("/tests/0/name").asString()).isEqualTo("Flexed int. rotation");
        assertThat(now.at("/tests/0/well")).isNotEmpty();
        assertThat(now.get("shown"))
                .as("not before own chances are put on the answer")
                .isEmpty();
        now = step(id, 3, "chances", Map.of("subacromial-pain", 0.7, "frozen-shoulder", 0.2));
        assertThat(now.get("shown")).hasSize(2);
        now = step(id, 4, "hint", true);
        assertThat(now.at("/hint/name").asString()).isNotBlank();
        student.get(CASES + "/" + id + "/review", 409);
        assertThat(student.text(CASES + "/" + id + "/case.yaml")).contains("not ended");
        now = step(id, 5, "end", Map.of("referred", false));
        assertThat(now.get("ended").asBoolean()).isTrue();
        JsonNode review = student.get(CASES + "/" + id + "/review", 200);
        assertThat(review.at("/truth/0").asString()).isEqualTo("Subacromial pain");
        assertThat(review.get("claims")).hasSize(2);
        assertThat(review.get("hints").asInt()).isEqualTo(1);
        assertThat(review.at("/score/own").asDouble()).isPositive();
        assertThat(student.text(CASES + "/" + id + "/case.yaml")).contains("title: The baker");
        student.post(CASES + "/" + id + "/steps", Map.of("number", 6, "hint", true), 409);
        assertThat(student.get(CASES, 200)
                        .valueStream()
                        .filter(each -> each.get("id").asString().equals(id))
                        .map(each -> each.get("was").asString()))
                .containsExactly("subacromial pain");
        JsonNode progress = student.get("/api/practice/progress", 200);
        assertThat(progress.get("cases").asInt()).isPositive();
    }

    @Test
    void a_step_that_arrives_twice_is_taken_once() {
        String id = written();
        JsonNode first = step(id, 0, "test", Map.of("testId", "sh-neer", "way", "usual", "wellFirst", true));
        JsonNode again = step(id, 0, "test", Map.of("testId", "sh-neer", "way", "usual", "wellFirst", true));
        assertThat(again.get("tests")).isEqualTo(first.get("tests"));
        assertThat(student.get(CASES + "/" + id, 200).get("steps").asInt()).isEqualTo(1);
        student.post(CASES + "/" + id + "/steps", Map.of("number", 5, "hint", true), 400);
        assertThat(student.post(CASES + "/" + id + "/steps", Map.of("number", 0, "hint", true), 409)
                        .get("detail")
                        .asString())
                .as("another step under its number")
                .contains("another window");
        step(id, 1, "chances", Map.of("acj", 0.25));
        step(id, 1, "chances", Map.of("acj", 0.25));
        student.post(CASES + "/" + id + "/steps", Map.of("number", 1, "chances", Map.of("acj", 0.5)), 409);
        step(id, 2, "ask", List.of("onset"));
        step(id, 2, "ask", List.of("onset"));
        Map<String, Object> write = Map.of(
                "testId", "sh-neer", "here", List.of(Map.of("key", "pain", "choice", "none")), "well", List.of());
        step(id, 3, "write", write);
        JsonNode written = step(id, 3, "write", write);
        assertThat(written.at("/tests/0/written/here/0/choice").asString()).isEqualTo("none");
        step(id, 4, "hint", true);
        step(id, 4, "hint", true);
        step(id, 5, "end", Map.of("referred", false));
        step(id, 5, "end", Map.of("referred", false));
    }

    @Test
    void a_drawn_case_can_be_begun_in_every_region_and_is_listed_and_removed() {
        List<String> begun = new ArrayList<>();
        for (String region : List.of("shoulder", "elbow", "wrist", "hand")) {
            JsonNode made = student.post(CASES, Map.of("region", region, "showing", "AT_END"), 200);
            assertThat(made.get("region").asString()).isEqualTo(region);
            begun.add(made.get("id").asString());
        }
        assertThat(student.get(CASES, 200).toString())
                .contains(begun)
                .as("what a running case is stays hidden")
                .doesNotContain("\"was\":\"nothing");
        for (String id : begun) {
            server.delete()
                    .uri(CASES + "/" + id)
                    .with(Asking.person("brook", Role.STUDENT))
                    .exchange();
            student.get(CASES + "/" + id, 404);
        }
    }

    @Test
    void nobody_sees_the_case_of_somebody_else() {
        String id = written();
        Asking.as(server, "wold", Role.THERAPIST).get(CASES + "/" + id, 404);
        Asking.as(server, "wold", Role.THERAPIST)
                .post(CASES + "/" + id + "/steps", Map.of("number", 0, "hint", true), 404);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"number\": 0} | number",
                "{\"number\": 0, \"hint\": true, \"ask\": [\"onset\"]} | number",
                "{\"number\": 0, \"ask\": [\"horoscope\"]} | ask",
                "{\"number\": 0, \"test\": {\"testId\": \"no-test\", \"way\": \"usual\", \"wellFirst\": true}} | test.testId",
                "{\"number\": 0, \"test\": {\"testId\": \"sh-neer\", \"way\": \"upside-down\", \"wellFirst\": true}} | test.way",
                "{\"number\": 0, \"write\": {\"testId\": \"sh-neer\", \"here\": [], \"well\": []}} | write",
                "{\"number\": 0, \"write\": {\"testId\": \"sh-neer\", \"here\": [{\"key\": \"pain\"}], \"well\": []}} | write.here[0]",
                "{\"number\": 0, \"write\": {\"testId\": \"sh-neer\", \"well\": []}} | write.here",
                "{\"number\": 0, \"chances\": {\"no-condition\": 0.5}} | chances.no-condition",
                "{\"number\": 0, \"chances\": {\"acj\": 1}} | chances.acj",
                "{\"hint\": true} | number"
            })
    void a_step_that_cannot_be_taken_is_refused_by_field(String body, String field) {
        JsonNode refused = student.post(CASES + "/" + written() + "/steps", body, 400);
        assertThat(refused.get("field").asString()).isEqualTo(field);
    }

    @Test
    void a_faulty_file_is_refused_with_its_line() {
        JsonNode refused = student.post(
                CASES + "/written",
                Map.of("text", WRITTEN.replace("[subacromial-pain]", "[de-quervain]"), "showing", "AT_END"),
                400);
        assertThat(refused.get("field").asString()).isEqualTo("text");
        assertThat(refused.get("detail").asString()).contains("line 10").contains("de-quervain");
        student.post(CASES, Map.of("region", "knee", "showing", "AT_END"), 400);
    }

    @Test
    void a_missed_exercise_comes_again_at_once_and_a_known_one_later() {
        Asking learner = Asking.as(server, "learner", Role.STUDENT);
        String drills = "/api/practice/drills";
        assertThat(learner.get(drills + "?region=elbow", 200)).hasSize(6);
        JsonNode drill = learner.get(drills + "/next?region=elbow&kind=SET", 200);
        Map<String, Object> wrong = answer(drill, drill.at("/options/0/value").asString());
        JsonNode marked = learner.post(drills + "/answers", wrong, 200);
        String should = marked.at("/should/0").asString();
        String other = drill.get("options")
                .valueStream()
                .map(option -> option.get("value").asString())
                .filter(value -> !value.equals(should))
                .findFirst()
                .orElseThrow();
        learner.post(drills + "/answers", answer(drill, other), 200);
        JsonNode again = learner.get(drills + "/next?region=elbow&kind=SET", 200);
        assertThat(again.get("about")).isEqualTo(drill.get("about"));
        assertThat(stand(learner, "SET").get("due").asInt()).isEqualTo(1);
        assertThat(learner.post(drills + "/answers", answer(drill, should), 200)
                        .get("right")
                        .asBoolean())
                .isTrue();
        assertThat(stand(learner, "SET").get("due").asInt()).isZero();
        assertThat(stand(learner, "SET").get("known").asInt()).isEqualTo(1);
        JsonNode refused = learner.post(drills + "/answers", answer(drill, "perhaps"), 400);
        assertThat(refused.get("field").asString()).isEqualTo("values");
        learner.get(drills + "/next?region=knee&kind=SET", 400);
        learner.get(drills + "/next?region=elbow&kind=DANCE", 400);
    }

    private static JsonNode stand(Asking learner, String kind) {
        return learner.get("/api/practice/drills?region=elbow", 200)
                .valueStream()
                .filter(each -> each.get("kind").asString().equals(kind))
                .findFirst()
                .orElseThrow();
    }

    private static Map<String, Object> answer(JsonNode drill, String value) {
        return Map.of(
                "kind", drill.get("kind").asString(),
                "region", drill.get("region").asString(),
                "about", drill.get("about").asString(),
                "seed", drill.get("seed").asLong(),
                "values", List.of(value));
    }

    @Test
    void a_teacher_sees_what_members_end_once_they_have_joined_and_no_longer_when_they_left() {
        Asking teacher = Asking.as(server, "tarn", Role.THERAPIST);
        Asking member = Asking.as(server, "member", Role.STUDENT);
        JsonNode made = teacher.post("/api/practice/classes", Map.of("name", "Spring"), 200);
        String id = made.get("id").asString();
        String code = made.get("joinCode").asString();
        JsonNode refused =
                member.post("/api/practice/membership", Map.of("joinCode", code, "teacherMaySee", false), 400);
        assertThat(refused.get("field").asString()).isEqualTo("teacherMaySee");
        member.post("/api/practice/membership", Map.of("joinCode", "NOPE42", "teacherMaySee", true), 400);
        JsonNode joined = member.post(
                "/api/practice/membership", Map.of("joinCode", code.toLowerCase(), "teacherMaySee", true), 200);
        assertThat(joined.has("joinCode")).isFalse();
        teacher.post(
                "/api/practice/classes/" + id + "/series",
                Map.of(
                        "name",
                        "Week 1",
                        "cases",
                        List.of(Map.of("text", WRITTEN), Map.of("region", "wrist", "kind", "TWO"))),
                200);
        JsonNode series = member.get("/api/practice/classes", 200).at("/0/series/0");
        assertThat(series.at("/cases/0/title").asString()).isEqualTo("The baker");
        String begin =
                "/api/practice/membership/" + id + "/series/" + series.get("id").asString();
        String own = member.post(begin + "/0", "{}", 200).get("id").asString();
        assertThat(member.post(begin + "/0", "{}", 200).get("id").asString()).isEqualTo(own);
        member.post(begin + "/7", "{}", 404);
        member.post(CASES + "/" + own + "/steps", Map.of("number", 0, "chances", Map.of("subacromial-pain", 0.6)), 200);
        member.post(CASES + "/" + own + "/steps", Map.of("number", 1, "end", Map.of("referred", false)), 200);
        JsonNode seen = teacher.get("/api/practice/classes", 200).get(0);
        assertThat(seen.at("/members/0/cases").asInt()).isEqualTo(1);
        assertThat(teacher.text("/api/practice/classes/" + id + "/results.csv"))
                .contains("member")
                .contains("shoulder");
        assertThat(member.get("/api/practice/classes", 200).at("/0/members")).isEmpty();
        Asking.as(server, "wold", Role.THERAPIST).get("/api/practice/classes/" + id + "/results.csv", 404);
        server.delete()
                .uri("/api/practice/membership/" + id)
                .with(Asking.person("member", Role.STUDENT))
                .exchange();
        assertThat(teacher.get("/api/practice/classes", 200).at("/0/members")).isEmpty();
        JsonNode faulty = teacher.post(
                "/api/practice/classes/" + id + "/series",
                Map.of("name", "Week 2", "cases", List.of(Map.of("region", "knee"))),
                400);
        assertThat(faulty.get("field").asString()).isEqualTo("cases[0].region");
    }
}
