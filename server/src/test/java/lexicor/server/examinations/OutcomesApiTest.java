package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import lexicor.core.examination.Answer;
import lexicor.server.Asking;
import lexicor.server.BothDatabases;
import lexicor.server.accounts.Role;
import lexicor.server.cases.Affected;
import lexicor.server.examinations.signing.SigningJson;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

/** What turned out to be true of complaints, and what it says of tests and chances. */
@BothDatabases
class OutcomesApiTest extends AtTheBench {

    private static final String CONDITION = "subacromial-pain";

    @Autowired
    private MockMvcTester server;

    private String id;
    private String caseId;
    private String complaint;

    @BeforeEach
    void begin() {
        examined("familiar");
    }

    /** A new signed case with what the arc gave. */
    private void examined(String arc) {
        JsonNode begun = therapist.post(
                "/api/cases", Visit.start("OU-" + UUID.randomUUID().toString().substring(0, 8)), 201);
        id = begun.get("id").asString();
        caseId = begun.at("/person/id").asString();
        complaint =
                therapist.get("/api/cases/" + caseId, 200).at("/episodes/0/id").asString();
        Visit here = new Visit();
        send(
                id,
                here.tell(Answer.of("red-flags", "none")),
                here.record("sh-neer", "pain=" + arc),
                here.record("sh-drop-arm", "lowering=smooth"),
                here.tell(Answer.of("working", CONDITION), Answer.number("confidence", 0.6)));
        long known =
                therapist.get("/api/examinations/" + id, 200).get("commands").size();
        therapist.post("/api/examinations/" + id + "/signature", new SigningJson.Sign(known), 200);
    }

    private String results() {
        return "/api/cases/" + caseId + "/complaints/" + complaint + "/results";
    }

    private JsonNode add(String condition, String truth, LocalDate day, int status) {
        return therapist.post(
                results(),
                Map.of(
                        "id",
                        UUID.randomUUID(),
                        "conditionId",
                        condition,
                        "truth",
                        truth,
                        "kind",
                        "IMAGING",
                        "day",
                        day.toString(),
                        "reader",
                        "BLIND",
                        "readBy",
                        "the radiologist",
                        "words",
                        ""),
                status);
    }

    private JsonNode conditionCount(String condition) {
        return StreamSupport.stream(
                        therapist.get("/api/outcomes/conditions", 200).spliterator(), false)
                .filter(each -> each.get("conditionId").asString().equals(condition))
                .findFirst()
                .orElse(null);
    }

    private JsonNode neer() {
        return therapist
                .get("/api/outcomes/conditions/" + CONDITION, 200)
                .get("tests")
                .valueStream()
                .filter(test -> test.get("testId").asString().equals("sh-neer"))
                .findFirst()
                .orElseThrow();
    }

    private boolean waits() {
        return therapist
                .get("/api/outcomes/waiting", 200)
                .get("waiting")
                .valueStream()
                .anyMatch(each -> each.get("complaint").asString().equals(complaint));
    }

    @Test
    void a_result_stands_with_who_entered_it_and_is_withdrawn_with_a_reason_never_removed() {
        JsonNode none = therapist.get(results(), 200);
        assertThat(none.get("results")).isEmpty();
        assertThat(none.at("/choices/0/conditionId").asString()).isEqualTo(CONDITION);
        assertThat(none.at("/choices/0/working").asBoolean()).isTrue();
        assertThat(waits()).isTrue();

        JsonNode one = add(CONDITION, "PRESENT", LocalDate.now(), 200);
        assertThat(one.at("/results/0/truth").asString()).isEqualTo("PRESENT");
        assertThat(one.at("/results/0/readBy").asString()).isEqualTo("the radiologist");
        assertThat(one.get("says")
                        .valueStream()
                        .map(each -> each.get("conditionId").asString()))
                .contains(CONDITION);
        assertThat(waits()).isFalse();

        String result = one.at("/results/0/id").asString();
        JsonNode withdrawn =
                therapist.post(results() + "/" + result + "/withdrawal", Map.of("why", "Of another patient"), 200);
        assertThat(withdrawn.at("/results/0/withdrawn/why").asString()).isEqualTo("Of another patient");
        assertThat(withdrawn.get("says")).isEmpty();
        assertThat(waits()).isTrue();
        assertThat(therapist
                        .post(results() + "/" + result + "/withdrawal", Map.of("why", "Again"), 409)
                        .get("detail")
                        .asString())
                .contains("withdrawn already");
    }

    @Test
    void a_result_that_is_sent_twice_is_kept_once() {
        Map<String, Object> result = Map.of(
                "id", UUID.randomUUID(),
                "conditionId", CONDITION,
                "truth", "PRESENT",
                "kind", "SURGERY",
                "day", LocalDate.now().toString(),
                "reader", "KNEW",
                "readBy", "",
                "words", "");
        therapist.post(results(), result, 200);
        assertThat(therapist.post(results(), result, 200).get("results")).hasSize(1);
        examined("none");
        assertThat(therapist.post(results(), result, 409).get("detail").asString())
                .contains("Another result has this id");
    }

    @Test
    void a_day_to_come_one_before_the_first_visit_and_a_condition_of_elsewhere_are_named_and_nothing_is_kept() {
        assertThat(add(CONDITION, "PRESENT", LocalDate.now().plusDays(2), 400).toString())
                .contains("day")
                .contains("is to come; allowed: ");
        assertThat(add(CONDITION, "PRESENT", LocalDate.now().minusDays(2), 400).toString())
                .contains("is before the first visit");
        assertThat(add("no-such-condition", "PRESENT", LocalDate.now(), 400).toString())
                .contains("conditionId");
        assertThat(therapist.get(results(), 200).get("results")).isEmpty();
    }

    @Test
    void a_result_of_another_complaint_cannot_be_withdrawn_from_here() {
        String result = add(CONDITION, "ABSENT", LocalDate.now(), 200)
                .at("/results/0/id")
                .asString();
        examined("none");
        therapist.post(results() + "/" + result + "/withdrawal", Map.of("why", "No"), 404);
    }

    @Test
    void results_that_contradict_each_other_are_named_and_count_for_neither() {
        JsonNode before = conditionCount("cuff-tear-full");
        int counted = before == null ? 0 : before.get("absent").asInt();
        add("cuff-tear-any", "ABSENT", LocalDate.now(), 200);
        assertThat(conditionCount("cuff-tear-full").get("absent").asInt())
                .as("what is narrower is absent too")
                .isEqualTo(counted + 1);
        JsonNode both = add("cuff-tear-full", "PRESENT", LocalDate.now(), 200);
        assertThat(both.get("contradicted")).hasSize(2);
        JsonNode after = conditionCount("cuff-tear-full");
        assertThat(after == null ? 0 : after.get("absent").asInt()).isEqualTo(counted);
    }

    @Test
    void answers_of_a_test_are_counted_by_what_turned_out_and_those_without_a_result_apart() {
        JsonNode before = neer();
        add(CONDITION, "PRESENT", LocalDate.now(), 200);
        examined("none");
        add(CONDITION, "ABSENT", LocalDate.now(), 200);
        examined("familiar");
        JsonNode after = neer();
        assertThat(after.get("truePositive").asInt())
                .isEqualTo(before.get("truePositive").asInt() + 1);
        assertThat(after.get("trueNegative").asInt())
                .isEqualTo(before.get("trueNegative").asInt() + 1);
        assertThat(after.get("openPositive").asInt())
                .as("the first has its result now, the last has none")
                .isEqualTo(before.get("openPositive").asInt());
        JsonNode own = after.get("own");
        double together = own.at("/togetherSensitivity/estimate").asDouble();
        double published = after.at("/expectedSensitivity/estimate").asDouble();
        assertThat(together).as("a few of one's own move it little").isCloseTo(published, within(0.1));
        assertThat(own.at("/sensitivity/lower").asDouble())
                .isLessThan(own.at("/sensitivity/estimate").asDouble());
    }

    @Test
    void figures_are_narrowed_to_a_setting_and_to_what_one_has_signed_oneself() {
        String all = "/api/outcomes/conditions/" + CONDITION;
        assertThat(therapist.get(all, 200).get("complaints").asInt()).isPositive();
        assertThat(therapist
                        .get(all + "?setting=SPECIALIST", 200)
                        .get("complaints")
                        .asInt())
                .as("all here are of first contact")
                .isZero();
        Asking other = Asking.as(server, "signs-nothing", Role.THERAPIST);
        assertThat(other.get(all + "?mine=true", 200).get("complaints").asInt()).isZero();
        assertThat(therapist.get(all + "?mine=true", 200).get("complaints").asInt())
                .isPositive();
        therapist.get(all + "?setting=NOWHERE", 400);
    }

    private void signed(Asking who, String examination) {
        long known =
                who.get("/api/examinations/" + examination, 200).get("commands").size();
        who.post("/api/examinations/" + examination + "/signature", new SigningJson.Sign(known), 200);
    }

    private int neerPairs() {
        return therapist
                .get("/api/outcomes/agreement", 200)
                .get("tests")
                .valueStream()
                .filter(test -> test.get("testId").asString().equals("sh-neer"))
                .mapToInt(test -> test.get("firstOnly").asInt())
                .max()
                .orElse(0);
    }

    @Test
    void a_second_examiner_sees_nothing_of_the_first_until_signed_and_then_the_two_are_a_pair() {
        Asking second = Asking.as(server, "lindal", Role.THERAPIST);
        int pairs = therapist.get("/api/outcomes/agreement", 200).get("pairs").asInt();
        int disagreed = neerPairs();
        String other = second.post(
                        "/api/cases/" + caseId + "/examinations", Visit.visit("shoulder", Affected.RIGHT), 201)
                .get("id")
                .asString();
        JsonNode visits = second.get("/api/cases/" + caseId, 200).at("/episodes/0/visits");
        assertThat(visits).hasSize(2);
        JsonNode first = visits.get(1);
        assertThat(first.get("hidden").asBoolean()).isTrue();
        assertThat(first.hasNonNull("leader")).isFalse();
        assertThat(therapist
                        .get("/api/cases/" + caseId, 200)
                        .at("/episodes/0/visits/1/hidden")
                        .asBoolean())
                .as("the first has signed")
                .isFalse();

        Visit here = new Visit();
        second.post(
                "/api/examinations/" + other + "/commands",
                new ExaminationJson.Batch(
                        List.of(
                                here.tell(Answer.of("red-flags", "none")),
                                here.record("sh-neer", "pain=none"),
                                here.tell(Answer.of("working", CONDITION))),
                        null),
                200);
        signed(second, other);
        assertThat(second.get("/api/cases/" + caseId, 200)
                        .at("/episodes/0/visits/1/hidden")
                        .asBoolean())
                .isFalse();
        assertThat(therapist.get("/api/outcomes/agreement", 200).get("pairs").asInt())
                .isEqualTo(pairs + 1);
        assertThat(neerPairs()).isEqualTo(disagreed + 1);
        assertThat(therapist.get("/api/outcomes/agreement", 200).toString())
                .as("a phrase has no open place")
                .doesNotContain("{pain}", "{angle");
    }

    @Test
    void own_conclusions_are_scored_for_their_author_alone() {
        therapist = Asking.as(server, "rowan", Role.THERAPIST);
        examined("familiar");
        add(CONDITION, "PRESENT", LocalDate.now(), 200);
        JsonNode own = therapist.get("/api/outcomes/calibration", 200).get("own");
        assertThat(own.get("claims").asInt()).isEqualTo(1);
        assertThat(own.get("brier").asDouble()).isCloseTo(0.16, within(1e-12));
        assertThat(own.hasNonNull("line")).isFalse();
        JsonNode weighed = therapist.get("/api/outcomes/calibration", 200).get("weighing");
        assertThat(weighed.get("claims").asInt()).isPositive();
        JsonNode others = Asking.as(server, "nobody-yet", Role.THERAPIST).get("/api/outcomes/calibration", 200);
        assertThat(others.hasNonNull("own")).isFalse();
    }

    @Test
    void an_amended_examination_counts_as_it_was_signed_last() {
        add(CONDITION, "PRESENT", LocalDate.now(), 200);
        int negatives = neer().get("falseNegative").asInt();
        therapist.post(
                "/api/examinations/" + id + "/amendment", new SigningJson.Amend("The arc was noted wrongly"), 200);
        Visit later = new Visit();
        JsonNode commands = therapist.get("/api/examinations/" + id, 200).get("commands");
        UUID earlier = UUID.fromString(commands.get(1).at("/attempts/0/id").asString());
        send(id, later.correcting("sh-neer", earlier, "pain=none"));
        assertThat(neer().get("falseNegative").asInt()).as("not signed yet").isEqualTo(negatives);
        long known =
                therapist.get("/api/examinations/" + id, 200).get("commands").size();
        therapist.post("/api/examinations/" + id + "/signature", new SigningJson.Sign(known), 200);
        assertThat(neer().get("falseNegative").asInt()).isEqualTo(negatives + 1);
    }
}
