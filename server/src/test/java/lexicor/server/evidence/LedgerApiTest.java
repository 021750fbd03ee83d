package lexicor.server.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import lexicor.core.examination.Answer;
import lexicor.server.Asking;
import lexicor.server.accounts.Role;
import lexicor.server.examinations.ExaminationJson;
import lexicor.server.examinations.Visit;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.signing.SigningJson;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.http.MediaType;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;

/** A steward works on the ledger, and examinations follow it or keep to the one they began with. */
@SpringBootTest(properties = {"spring.datasource.url=jdbc:h2:mem:ledger;DB_CLOSE_DELAY=-1", "lexicor.demo=false"})
@AutoConfigureMockMvc
@DirtiesContext
class LedgerApiTest {

    private static final String TEST = "sh-neer";
    private static final String CONDITION = "subacromial-pain";

    @Autowired
    private MockMvcTester server;

    private Asking steward;
    private Asking therapist;

    @BeforeEach
    void ask() {
        steward = Asking.as(server, "sam", Role.STEWARD);
        therapist = Asking.as(server, "dale", Role.THERAPIST);
    }

    private static Map<String, Object> draft(String citation, int tp, int fp, int fn, int tn) {
        Map<String, Object> draft = new LinkedHashMap<>();
        draft.put("test", TEST);
        draft.put("clue", "");
        draft.put("condition", CONDITION);
        draft.put("criterion", "pain");
        draft.put("positiveMeant", "pain at the top of the shoulder");
        draft.put("target", "");
        draft.put("counts", Map.of("tp", tp, "fp", fp, "fn", fn, "tn", tn));
        draft.put("design", "single study");
        draft.put("originator", false);
        draft.put("referenceStandard", "ultrasound");
        draft.put("population", "people with shoulder pain at first contact");
        draft.put("citation", citation);
        draft.put("series", "FIRST_CONTACT");
        draft.put("tieNote", "");
        draft.put("note", "");
        draft.put("unused", "");
        return draft;
    }

    private static Map<String, Object> change(String what, String record, long knows, String why) {
        Map<String, Object> change = new LinkedHashMap<>();
        change.put("id", UUID.randomUUID());
        change.put("what", what);
        change.put("record", record);
        change.put("knows", knows);
        change.put("why", why);
        return change;
    }

    private static Map<String, Object> add(Map<String, Object> draft) {
        Map<String, Object> change = change("ADD", null, 0, "");
        change.put("draft", draft);
        return change;
    }

    private JsonNode sheet(String record) {
        return steward.get("/api/library/records/" + record, 200);
    }

    private String make(Map<String, Object> change) {
        return steward.post("/api/ledger/changes", change, 200).get("record").asString();
    }

    private long knows(String record) {
        return sheet(record).at("/standing/knows").asLong();
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
    void a_study_is_previewed_then_added_and_weighed_by_at_once() {
        Map<String, Object> change = add(draft("Nobody AB, Invented J, 2026", 200, 100, 200, 300));
        double before = weight();
        JsonNode preview = steward.post("/api/ledger/preview", change, 200);
        assertThat(preview.get("faults")).isEmpty();
        assertThat(preview.get("moved").asInt()).isPositive();
        assertThat(weight()).isEqualTo(before);
        JsonNode own = null;
        for (JsonNode move : preview.get("moves")) {
            if (move.get("testId").asString().equals(TEST)
                    && move.get("conditionId").asString().equals(CONDITION)) {
                own = move;
            }
        }
        assertThat(own).isNotNull();
        assertThat(own.at("/before/lrPositive").asDouble()).isEqualTo(before);

        String record = make(change);
        assertThat(record).startsWith("C");
        assertThat(weight()).isEqualTo(own.at("/after/lrPositive").asDouble()).isNotCloseTo(before, within(0.01));
        JsonNode sheet = sheet(record);
        assertThat(sheet.at("/record/sensitivity").asDouble()).isEqualTo(0.5);
        assertThat(sheet.at("/record/specificity").asDouble()).isEqualTo(0.75);
        assertThat(sheet.at("/record/total").asInt()).isEqualTo(800);
        assertThat(sheet.at("/record/use").asString()).isIn("IN_USE", "SHOWN");
        assertThat(sheet.at("/standing/own").asBoolean()).isTrue();
        assertThat(sheet.at("/standing/history/0/by").asString()).isEqualTo("sam");

        assertThat(make(change)).isEqualTo(record);
        assertThat(sheet(record).at("/standing/history")).hasSize(1);

        make(change("WITHDRAW", record, knows(record), "its authors took it back"));
        assertThat(weight()).isEqualTo(before);
        assertThat(sheet(record).at("/record/because").asString())
                .isEqualTo("withdrawn here: its authors took it back");
    }

    @Test
    void every_fault_of_a_study_is_named_by_its_field_and_nothing_is_kept() {
        Map<String, Object> draft = draft("", 10, 5, 10, 20);
        draft.put("criterion", "smell");
        JsonNode preview = steward.post("/api/ledger/preview", add(draft), 200);
        assertThat(preview.get("faults").findValuesAsString("field"))
                .containsExactlyInAnyOrder("draft.citation", "draft.criterion");
        JsonNode refused = steward.post("/api/ledger/changes", add(draft), 400);
        assertThat(refused.toString()).contains("draft.citation", "draft.criterion", "allowed");
        draft.put("counts", Map.of("tp", -1, "fp", 5, "fn", 10, "tn", 20));
        assertThat(steward.post("/api/ledger/changes", add(draft), 400).toString())
                .contains("draft.counts.tp", "0 to 1000000");
        draft.put("counts", Map.of("tp", 2_000_000_000, "fp", 5, "fn", 2_000_000_000, "tn", 20));
        assertThat(steward.post("/api/ledger/changes", add(draft), 400).toString())
                .contains("draft.counts.tp", "draft.counts.fn");
        draft.put("counts", Map.of("tp", 0, "fp", 0, "fn", 0, "tn", 0));
        assertThat(steward.post("/api/ledger/changes", add(draft), 400).toString())
                .contains("at least one patient");
    }

    @Test
    void a_shipped_record_is_corrected_reviewed_and_put_back_and_every_step_is_kept() {
        String record = "E353";
        JsonNode shipped = sheet(record);
        double before = weight();
        Map<String, Object> draft = read(shipped.at("/standing/draft"));
        Map<String, Object> same = change("CORRECT", record, knows(record), "read again");
        same.put("draft", draft);
        assertThat(steward.post("/api/ledger/changes", same, 400).toString()).contains("would change nothing");

        draft.put("specificity", 0.99);
        Map<String, Object> corrected = change("CORRECT", record, knows(record), "misprint in table 3");
        corrected.put("draft", draft);
        make(corrected);
        assertThat(weight()).isGreaterThan(before);
        JsonNode now = sheet(record);
        assertThat(now.at("/standing/history/0/words").asString()).isEqualTo("corrected");
        assertThat(now.at("/standing/corrected").asBoolean()).isTrue();
        assertThat(now.at("/standing/conflict").asBoolean()).isFalse();
        assertThat(now.at("/standing/differences").findValuesAsString("field")).containsExactly("Specificity");
        assertThat(now.at("/record/transcription").asString()).isEqualTo("corrected here");

        Map<String, Object> review = change("REVIEW", record, knows(record), "");
        review.put(
                "review",
                Map.of(
                        "verdict", "CHECKED",
                        "words", "",
                        "quality",
                                Map.of(
                                        "PATIENTS",
                                        Map.of("bias", "HIGH", "applies", "LOW", "because", "case and control"))));
        double weighed = weight();
        make(review);
        assertThat(weight()).isEqualTo(weighed);
        assertThat(sheet(record).at("/record/reviewState").asString()).isEqualTo("checked");
        assertThat(sheet(record).at("/standing/review/quality/PATIENTS/bias").asString())
                .isEqualTo("HIGH");

        make(change("AS_SHIPPED", record, knows(record), "the misprint was ours"));
        assertThat(weight()).isEqualTo(before);
        assertThat(sheet(record).at("/record/reviewState").asString()).isEqualTo("changed since it was checked");
        assertThat(sheet(record).at("/standing/history")).hasSize(3);
    }

    @Test
    void of_two_stewards_the_second_is_told_and_keeps_what_was_written() {
        String record = make(add(draft("Second AB, 2026", 20, 10, 20, 30)));
        long seen = knows(record);
        make(change("WITHDRAW", record, seen, "first thoughts"));
        assertThat(steward.post("/api/ledger/changes", change("RESTORE", record, seen, "second thoughts"), 409)
                        .toString())
                .contains("was changed by sam", "stays in the form");
    }

    /** As the shipped ledger does: 40 with it of 90 are 50 without, not "unknown". */
    @Test
    void a_group_that_is_not_given_is_what_the_other_leaves_of_all() {
        Map<String, Object> draft = draft("One group AB, 2026", 1, 1, 1, 1);
        draft.remove("counts");
        draft.put("sensitivity", 0.5);
        draft.put("specificity", 0.7);
        draft.put("with", 40);
        draft.put("total", 90);
        String record = make(add(draft));
        assertThat(sheet(record).at("/record/without").asInt()).isEqualTo(50);
        make(change("WITHDRAW", record, knows(record), "end of the trial"));
    }

    @Test
    void one_change_that_is_sent_twice_at_once_is_made_once() {
        Map<String, Object> change = add(draft("Sent twice AB, 2026", 20, 10, 20, 30));
        List<String> records = IntStream.range(0, 2)
                .parallel()
                .mapToObj(number -> make(change))
                .distinct()
                .toList();
        assertThat(records).hasSize(1);
        assertThat(sheet(records.get(0)).at("/standing/history")).hasSize(1);
        make(change("WITHDRAW", records.get(0), knows(records.get(0)), "end of the trial"));
    }

    @Test
    void changes_that_are_made_at_once_follow_each_other_and_none_is_lost() {
        List<String> records = IntStream.range(0, 3)
                .parallel()
                .mapToObj(number -> make(add(draft("At once " + number + ", 2026", 20, 10, 20, 30))))
                .toList();
        assertThat(records).doesNotHaveDuplicates();
        List<Long> numbers = records.stream().map(this::knows).sorted().toList();
        assertThat(numbers.get(2) - numbers.get(0)).isEqualTo(2);
        for (String record : records) {
            make(change("WITHDRAW", record, knows(record), "end of the trial"));
        }
    }

    @Test
    void a_doubtful_record_needs_words_and_a_change_a_reason() {
        Map<String, Object> review = change("REVIEW", "E100", 0, "");
        review.put("review", Map.of("verdict", "WRONG", "words", "", "quality", Map.of()));
        assertThat(steward.post("/api/ledger/changes", review, 400).toString()).contains("review.words");
        assertThat(steward.post("/api/ledger/changes", change("WITHDRAW", "E100", 0, " "), 400)
                        .toString())
                .contains("why", "allowed: a reason");
        steward.post("/api/ledger/changes", change("WITHDRAW", "C999", 0, "not there"), 404);
        assertThat(steward.post("/api/ledger/changes", change("WITHDRAW", "nonsense", 0, "not there"), 400)
                        .toString())
                .contains("E or C and three to five digits");
        therapist.post("/api/ledger/changes", change("WITHDRAW", "E100", 0, "not mine to do"), 403);
    }

    @Test
    void an_open_examination_keeps_its_ledger_until_its_therapist_takes_the_new_one() {
        JsonNode begun = therapist.post(
                "/api/cases", Visit.start("LE-" + UUID.randomUUID().toString().substring(0, 8)), 201);
        String id = begun.get("id").asString();
        Visit here = new Visit();
        send(id, here.tell(Answer.of("red-flags", "none")), here.record(TEST, "pain=familiar"));
        double before = chance(id);
        String newer = "/api/examinations/" + id + "/evidence";
        assertThat(therapist.get(newer, 200).get("newer").asBoolean()).isFalse();

        String record = make(add(draft("Large AB, 2026", 1900, 100, 100, 1900)));
        assertThat(chance(id)).isEqualTo(before);
        JsonNode offered = therapist.get(newer, 200);
        assertThat(offered.get("newer").asBoolean()).isTrue();
        assertThat(offered.at("/changes/0/record").asString()).isEqualTo(record);
        JsonNode moved = offered.at("/moved/0");
        assertThat(offered.get("moved").findValuesAsString("conditionId")).contains(CONDITION);
        therapist.post(newer, Map.of("revision", "0123"), 409);
        Asking.as(server, "robin", Role.THERAPIST)
                .post(newer, Map.of("revision", offered.get("revision").asString()), 403);

        therapist.post(newer, Map.of("revision", offered.get("revision").asString()), 204);
        assertThat(chance(id)).isGreaterThan(before);
        assertThat(therapist.get(newer, 200).get("newer").asBoolean()).isFalse();
        assertThat(moved.get("after").asDouble())
                .isNotEqualTo(moved.get("before").asDouble());
        make(change("WITHDRAW", record, knows(record), "end of the trial"));
    }

    @Test
    void what_was_signed_stays_as_it_was_and_comes_to_the_same_again() {
        JsonNode begun = therapist.post(
                "/api/cases", Visit.start("LS-" + UUID.randomUUID().toString().substring(0, 8)), 201);
        String id = begun.get("id").asString();
        Visit here = new Visit();
        send(
                id,
                here.tell(Answer.of("red-flags", "none")),
                here.record(TEST, "pain=familiar"),
                here.tell(Answer.of("working", CONDITION), Answer.number("confidence", 0.6)));
        long known =
                therapist.get("/api/examinations/" + id, 200).get("commands").size();
        therapist.post("/api/examinations/" + id + "/signature", new SigningJson.Sign(known), 200);
        double signed = chance(id);
        String record = make(add(draft("Later AB, 2026", 1900, 100, 100, 1900)));
        assertThat(chance(id)).isEqualTo(signed);
        assertThat(therapist
                        .get("/api/examinations/" + id + "/versions/1/recomputed", 200)
                        .get("same")
                        .asBoolean())
                .isTrue();
        assertThat(therapist
                        .get("/api/examinations/" + id + "/evidence", 200)
                        .get("newer")
                        .asBoolean())
                .isFalse();
        make(change("WITHDRAW", record, knows(record), "end of the trial"));
    }

    @Test
    void a_table_is_looked_through_then_kept_whole_or_not_at_all() {
        String csv = steward.text("/api/ledger/ledger.csv");
        JsonNode same = table("/api/ledger/import/preview", csv);
        assertThat(same.get("faulty").asInt()).isZero();
        assertThat(same.get("same").asInt()).isEqualTo((int) csv.lines().count() - 1);
        String header = csv.lines().findFirst().orElseThrow() + "\r\n";
        String row =
                csv.lines().filter(line -> line.startsWith("E353,")).findFirst().orElseThrow();
        String one = row.replaceFirst("E353", "").replace("Park HB", "Tabled AB") + "\r\n";
        String bad =
                row.replaceFirst("E353", "").replace("Park HB", "Tabled CD").replace("0.687", "68.7") + "\r\n";
        JsonNode refused = table("/api/ledger/import", header + one + bad);
        assertThat(refused.get("kept").asBoolean()).isFalse();
        assertThat(refused.at("/faults/0/line").asInt()).isEqualTo(3);
        assertThat(refused.at("/faults/0/says").asString()).contains("specificity is '68.7'; allowed");
        assertThat(steward.text("/api/ledger/ledger.csv")).isEqualTo(csv);

        JsonNode looked = table("/api/ledger/import/preview", header + one);
        assertThat(looked.at("/effect/moved").asInt()).isNotNegative();
        assertThat(steward.text("/api/ledger/ledger.csv")).isEqualTo(csv);
        JsonNode kept = table("/api/ledger/import", header + one);
        assertThat(kept.get("kept").asBoolean()).isTrue();
        String record = kept.at("/added/0/record").asString();
        assertThat(sheet(record).at("/standing/history/0/why").asString()).isEqualTo("from the table “studies.csv”");
        assertThat(steward.text("/api/ledger/ledger.csv")).contains("Tabled AB");
        assertThat(steward.get("/api/library/records?here=true&search=tabled", 200)
                        .get("records")
                        .findValuesAsString("id"))
                .containsExactly(record);
        make(change("WITHDRAW", record, knows(record), "end of the trial"));
    }

    @Test
    void a_paper_is_kept_with_its_record_shown_to_those_who_examine_and_taken_away() throws Exception {
        byte[] pdf = "%PDF-1.7\n1 0 obj\n<<>>\nendobj\ntrailer\n<<>>\n%%EOF\n".getBytes(StandardCharsets.US_ASCII);
        UUID id = UUID.randomUUID();
        assertThat(paper("sam", Role.STEWARD, "E353", id, "first page\nof a book".getBytes(StandardCharsets.US_ASCII)))
                .hasStatus(400)
                .bodyText()
                .contains("is no PDF; allowed: a whole PDF of at most 10 MB");
        byte[] cut = java.util.Arrays.copyOf(pdf, pdf.length - 8);
        assertThat(paper("sam", Role.STEWARD, "E353", id, cut)).hasStatus(400);
        assertThat(paper("sam", Role.STEWARD, "E9999", id, pdf)).hasStatus(404);
        assertThat(paper("dale", Role.THERAPIST, "E353", id, pdf)).hasStatus(403);
        assertThat(paper("sam", Role.STEWARD, "E353", id, pdf)).hasStatusOk();
        assertThat(paper("sam", Role.STEWARD, "E353", id, pdf)).hasStatusOk();
        JsonNode papers = therapist.get("/api/papers/of/E353", 200);
        assertThat(papers).hasSize(1);
        assertThat(papers.at("/0/size").asInt()).isEqualTo(pdf.length);
        assertThat(therapist.bytes("/api/papers/" + id + ".pdf")).isEqualTo(pdf);
        Asking.as(server, "kim", Role.STUDENT).get("/api/papers/of/E353", 403);
        Asking.as(server, "kim", Role.STUDENT).get("/api/papers/" + id + ".pdf", 403);
        steward.post("/api/papers/" + id + "/removal", "", 204);
        therapist.get("/api/papers/" + id + ".pdf", 404);
        assertThat(therapist.get("/api/papers/of/E353", 200).at("/0/removed/by").asString())
                .isEqualTo("sam");
    }

    private MvcTestResult paper(String name, Role role, String record, UUID id, byte[] content) {
        return server.post()
                .uri("/api/papers/of/" + record + "/" + id + "?name=original.pdf")
                .with(Asking.person(name, role))
                .contentType(MediaType.APPLICATION_PDF)
                .content(content)
                .exchange();
    }

    private JsonNode table(String address, String csv) {
        return steward.post(address, Map.of("id", UUID.randomUUID(), "file", "studies.csv", "text", csv), 200);
    }

    private void send(String id, CommandJson... commands) {
        therapist.post(
                "/api/examinations/" + id + "/commands", new ExaminationJson.Batch(List.of(commands), null), 200);
    }

    private double chance(String id) {
        for (JsonNode standing :
                therapist.get("/api/examinations/" + id + "/weighing", 200).get("standings")) {
            if (standing.get("conditionId").asString().equals(CONDITION)) {
                return standing.get("now").asDouble();
            }
        }
        throw new AssertionError("not ranked");
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> read(JsonNode draft) {
        return tools.jackson.databind.json.JsonMapper.shared().convertValue(draft, LinkedHashMap.class);
    }
}
