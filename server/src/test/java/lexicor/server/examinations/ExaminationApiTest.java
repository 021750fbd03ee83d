package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.List;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.server.ServerTest;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.VisitRequest;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@ServerTest
class ExaminationApiTest {

    @Autowired
    private MockMvcTester server;

    @Autowired
    private JsonMapper json;

    private final Visit visit = new Visit();

    @Test
    void a_start_sent_twice_begins_one_examination() throws Exception {
        VisitRequest.NewCase start = Visit.start("AA-1");
        JsonNode first = read(post("/api/cases", start), 201);
        JsonNode second = read(post("/api/cases", start), 201);
        assertThat(second).isEqualTo(first);
        assertThat(first.at("/person/code").asString()).isEqualTo("AA-1");
    }

    @Test
    void a_command_sent_twice_counts_once_and_keeps_its_number() throws Exception {
        String id = begin("AA-3");
        CommandJson neer = visit.record("sh-neer", "pain=familiar");
        CommandJson hawkins = visit.record("sh-hawkins", "pain=none");
        assertThat(numbers(send(id, neer))).containsExactly(1);
        assertThat(numbers(send(id, neer, hawkins))).containsExactly(1, 2);
        assertThat(get(id, "").get("commands")).hasSize(2);
    }

    @Test
    void what_was_recorded_comes_back_as_it_was_sent() throws Exception {
        String id = begin("AA-4");
        send(
                id,
                visit.record(
                        "sh-arc",
                        "pain=familiar",
                        "site=outer-arm",
                        "angle-start=70",
                        "angle-worst=90",
                        "angle-end=110",
                        "quality=shrug",
                        "quality=trunk-lean"));
        JsonNode parts = get(id, "").at("/commands/0/attempts/0/parts");
        assertThat(parts)
                .extracting(part -> part.get("key").asString())
                .containsExactly("pain", "site", "angle-start", "angle-worst", "angle-end", "quality", "quality");
        assertThat(parts.get(3).get("measure").asDouble()).isEqualTo(90);
        assertThat(parts.get(3).get("unit").asString()).isEqualTo("°");
        assertThat(get(id, "").at("/commands/0/author").asString()).isEqualTo("therapist");
    }

    @Test
    void undo_takes_a_recording_back_and_the_record_keeps_both() throws Exception {
        String id = begin("AA-5");
        CommandJson first = visit.record("sh-neer", "pain=none");
        CommandJson corrected = visit.instead(first, "pain=familiar");
        send(id, first, corrected);
        assertThat(subacromial(id).get("now").asDouble()).isGreaterThan(0.65);
        send(id, visit.undo(corrected));
        assertThat(subacromial(id).get("now").asDouble()).isLessThan(0.65);
        send(id, visit.undo(first));
        assertThat(subacromial(id).get("informed").asBoolean()).isFalse();
        assertThat(get(id, "").get("commands")).hasSize(4);
    }

    @Test
    void the_weighing_says_how_much_it_knows_and_where_each_condition_came_from() throws Exception {
        String id = begin("AA-6");
        send(
                id,
                visit.record("sh-arc", "pain=familiar", "angle-worst=90"),
                visit.record("sh-neer", "pain=familiar"),
                visit.record("sh-hawkins", "pain=familiar"));
        JsonNode weighing = get(id, "/weighing");
        assertThat(weighing.get("knows").asLong()).isEqualTo(3);
        assertThat(weighing.get("lastTest").asString()).isEqualTo("sh-hawkins");
        JsonNode standing = subacromial(id);
        assertThat(standing.get("lens").asString()).isEqualTo("CHAIN");
        assertThat(standing.get("previous").asDouble())
                .isBetween(0.65, standing.get("now").asDouble());
        assertThat(weighing.get("standings")
                        .valueStream()
                        .filter(each -> each.get("conditionId").asString().equals("cuff-tear-any")))
                .singleElement()
                .satisfies(any -> assertThat(any.get("now").asDouble())
                        .as("a part of it never stands above it")
                        .isLessThan(standing.get("now").asDouble()));
        JsonNode closer = get(id, "/weighing/subacromial-pain").get("standing");
        assertThat(closer.get("now")).isEqualTo(standing.get("now"));
        assertThat(standing.get("lenses"))
                .as("left to the closer look, so that a tap is small")
                .isEmpty();
        assertThat(standing.at("/loads/0").has("source")).isFalse();
        assertThat(closer.at("/lenses/1/lens").asString()).isEqualTo("CLUSTER");
        assertThat(closer.at("/lenses/1/chance").asDouble())
                .as("the set as its derivers are believed, less what the age says of a tear")
                .isCloseTo(0.7198800790605, Offset.offset(1e-9));
        assertThat(standing.at("/groups/0/origin").asString()).isEqualTo("LEARNT");
        assertThat(closer.at("/loads/0/source/reviewState").asString()).isEqualTo("unreviewed");
        JsonNode cluster = weighing.at("/clusters/0");
        assertThat(cluster.get("decided").asBoolean()).isTrue();
        assertThat(cluster.get("level").asString()).isEqualTo("3 or more");
        assertThat(cluster.get("byInventors").asBoolean()).isTrue();
        assertThat(weighing.get("worthGoingOn").asBoolean()).isTrue();
        assertThat(weighing.get("ahead")
                        .valueStream()
                        .filter(each -> each.get("inOrder").asBoolean())
                        .map(each -> each.get("testId").asString()))
                .contains("sh-er-resist", "sh-empty-can")
                .doesNotContain("sh-arc", "sh-neer", "sh-hawkins", "sh-relocation", "sh-release");
    }

    @Test
    void a_closer_look_supposes_correlations_and_records_nothing() throws Exception {
        String id = begin("AA-20");
        send(
                id,
                visit.record("sh-arc", "pain=none"),
                visit.record("sh-neer", "pain=none"),
                visit.record("sh-hawkins", "pain=none"));
        JsonNode usual = get(id, "/weighing/subacromial-pain");
        JsonNode strong = get(id, "/weighing/subacromial-pain?rho=subacromial-provocation:0.8");
        assertThat(strong.at("/standing/now").asDouble())
                .isGreaterThan(usual.at("/standing/now").asDouble());
        assertThat(usual.at("/dials/0/atStrong").asDouble())
                .isCloseTo(strong.at("/standing/now").asDouble(), Offset.offset(1e-12));
        assertThat(usual.at("/dials/0/lessons")).hasSize(2);
        assertThat(get(id, "/weighing/subacromial-pain").at("/standing/now").asDouble())
                .isEqualTo(usual.at("/standing/now").asDouble());
        assertThat(usual.get("rivals")
                        .valueStream()
                        .map(each -> each.get("conditionId").asString()))
                .contains("frozen-shoulder", "acj");
        assertThat(usual.at("/standing/pattern/missing")).hasSize(3);
        for (String wrong :
                new String[] {"subacromial-provocation:1.5", "nothing:0.4", "subacromial-provocation:much"}) {
            var refused = server.get()
                    .uri("/api/examinations/" + id + "/weighing/subacromial-pain?rho=" + wrong)
                    .exchange()
                    .getResponse();
            assertThat(refused.getStatus()).isEqualTo(400);
            assertThat(refused.getContentAsString()).contains("\"field\":\"rho\"", "allowed");
        }
        assertThat(server.get()
                        .uri("/api/examinations/" + id + "/weighing/tfcc")
                        .exchange()
                        .getResponse()
                        .getStatus())
                .isEqualTo(404);
    }

    @Test
    void a_test_beyond_the_order_counts_once_it_was_done() throws Exception {
        String id = begin("AA-21");
        send(id, visit.record("sh-speed", "pain=familiar", "site=groove"));
        JsonNode weighing = get(id, "/weighing");
        assertThat(weighing.get("tests")
                        .valueStream()
                        .map(each -> each.get("testId").asString()))
                .startsWith("sh-look")
                .contains("sh-speed");
        JsonNode biceps = weighing.get("standings")
                .valueStream()
                .filter(each -> each.get("conditionId").asString().equals("long-biceps"))
                .findFirst()
                .orElseThrow();
        assertThat(biceps.get("now").asDouble())
                .isGreaterThan(biceps.get("before").asDouble());
    }

    @Test
    void the_note_tells_findings_meaning_and_standing_in_words() throws Exception {
        String id = begin("AA-8");
        send(
                id,
                visit.tell(Answer.of("plan", "sh-arc", "sh-neer", "sh-empty-can")),
                visit.record("sh-arc", "pain=familiar", "angle-worst=90"),
                visit.record("sh-neer", "pain=familiar", "quality=guarded"));
        String note = server.get()
                .uri("/api/examinations/" + id + "/note")
                .exchange()
                .getResponse()
                .getContentAsString();
        assertThat(note)
                .contains(
                        "Case AA-8, born 1974, Sail mender, first-contact clinic",
                        "Painful arc, right: familiar pain, worst 90°",
                        "Counts for subacromial pain and full-thickness cuff tear: familiar pain, worst at 90°.",
                        "Not read for subacromial pain, full-thickness cuff tear and any cuff tear: the patient guarded.",
                        "Subacromial pain: before 65, now 84 in 100",
                        "- Not done: empty can\n",
                        "the conclusion is the therapist's");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            commands[0].standAt                     | "standAt":"sh-neer"  | "standAt":"sh-knee" | is not in the catalogue
            commands[0].attempts[0].testId          | "testId":"sh-neer"   | "testId":"sh-knee"  | allowed: the id of a test in the library, such as sh-arc
            commands[0].attempts[0].parts[0].choice | "choice":"none"      | "choice":"some"     | allowed: [none, familiar, other]
            commands[0].attempts[0].parts[0].key    | "key":"pain"         | "key":"strength"    | is not recorded by this test
            commands[0].attempts[0].side            | "side":"RIGHT"       | "side":"BOTH"       | LEFT, RIGHT
            commands[0].attempts[0].tryNumber       | "tryNumber":1        | "tryNumber":0       | 1 to 20
            commands[0].kind                        | "kind":"RECORD"      | "kind":"WRITE"      | RECORD, UNDO, MOVE, TELL
            commands[0].undoes                      | "kind":"RECORD"      | "kind":"UNDO"       | the id of an earlier command
            commands[0].attempts                    | "kind":"RECORD"      | "kind":"MOVE"       | none otherwise
            """)
    void a_fault_in_a_command_is_named_by_its_path(String field, String sound, String faulty, String allowed)
            throws Exception {
        String id = begin("AA-9." + UUID.randomUUID().toString().substring(0, 8));
        String batch =
                json.writeValueAsString(new ExaminationJson.Batch(List.of(visit.record("sh-neer", "pain=none")), null));
        assertThat(batch).contains(sound);
        MvcTestResult result = server.post()
                .uri("/api/examinations/" + id + "/commands")
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(batch.replace(sound, faulty))
                .exchange();
        JsonNode problem = read(result, 400);
        assertThat(problem.get("errors"))
                .extracting(error -> error.get("field").asString())
                .contains(field);
        assertThat(problem.get("detail").asString()).contains(allowed);
        assertThat(get(id, "").get("commands")).isEmpty();
    }

    @Test
    void an_examination_that_is_not_here_is_said_to_be_missing() throws Exception {
        assertThat(read(
                                server.get()
                                        .uri("/api/examinations/" + UUID.randomUUID())
                                        .exchange(),
                                404)
                        .get("detail")
                        .asString())
                .contains("There is no examination");
    }

    @Test
    void a_command_of_another_examination_is_refused() throws Exception {
        CommandJson command = visit.record("sh-neer", "pain=none");
        send(begin("AA-11"), command);
        read(
                post(
                        "/api/examinations/" + begin("AA-12") + "/commands",
                        new ExaminationJson.Batch(List.of(command), null)),
                409);
    }

    private String begin(String caseCode) throws Exception {
        return read(post("/api/cases", Visit.start(caseCode)), 201).get("id").asString();
    }

    private JsonNode send(String id, CommandJson... commands) throws Exception {
        return read(
                post("/api/examinations/" + id + "/commands", new ExaminationJson.Batch(List.of(commands), null)), 200);
    }

    private List<Integer> numbers(JsonNode receipts) {
        return receipts.valueStream()
                .map(receipt -> receipt.get("number").asInt())
                .toList();
    }

    private JsonNode subacromial(String id) throws Exception {
        return get(id, "/weighing")
                .get("standings")
                .valueStream()
                .filter(each -> each.get("conditionId").asString().equals("subacromial-pain"))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode get(String id, String what) throws Exception {
        return read(server.get().uri("/api/examinations/" + id + what).exchange(), 200);
    }

    private MvcTestResult post(String address, Object body) {
        return server.post()
                .uri(address)
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(json.writeValueAsString(body))
                .exchange();
    }

    private JsonNode read(MvcTestResult result, int status) throws Exception {
        String body = result.getResponse().getContentAsString();
        assertThat(result.getResponse().getStatus()).as(body).isEqualTo(status);
        return json.readTree(body);
    }
}
