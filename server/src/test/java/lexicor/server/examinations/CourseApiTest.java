package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.examination.Answer;
import lexicor.server.cases.Affected;
import lexicor.server.examinations.record.VisitRequest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** One complaint over its visits. */
class CourseApiTest extends AtTheBench {

    private String first;
    private String caseId;

    @BeforeEach
    void begin() {
        JsonNode begun = therapist.post(
                "/api/cases", Visit.start("CO-" + UUID.randomUUID().toString().substring(0, 8)), 201);
        first = begun.get("id").asString();
        caseId = begun.at("/person/id").asString();
    }

    private String again() {
        return therapist
                .post(
                        "/api/cases/" + caseId + "/examinations",
                        new VisitRequest(
                                UUID.randomUUID(),
                                "shoulder",
                                Affected.RIGHT,
                                null,
                                CareSetting.FIRST_CONTACT,
                                UUID.fromString(first)),
                        201)
                .get("id")
                .asString();
    }

    private String complaint() {
        return therapist.get("/api/cases/" + caseId, 200).at("/episodes/0/id").asString();
    }

    private JsonNode course() {
        return therapist.get("/api/cases/" + caseId + "/complaints/" + complaint() + "/course", 200);
    }

    @Test
    void a_range_that_was_measured_before_is_asked_again() {
        assertThat(movements(first)).isNotEmpty().doesNotContain("extension");
        send(first, visit.record("sh-rom", "extension=40°"));
        assertThat(movements(again())).contains("extension").containsAll(movements(first));
    }

    private List<String> movements(String id) {
        return weighing(id)
                .get("tests")
                .valueStream()
                .filter(test -> test.get("testId").asString().equals("sh-rom"))
                .flatMap(test -> test.get("movements").valueStream())
                .map(JsonNode::asString)
                .toList();
    }

    @Test
    void what_was_positive_before_is_offered_as_it_was_and_followed() {
        send(
                first,
                visit.record("sh-neer", "pain=familiar", "site=outer-arm", "quality=trunk-lean"),
                visit.record("sh-hawkins", "pain=none"),
                visit.record("sh-arc", "pain=familiar", "angle-worst=90°"));
        String second = again();
        String address = "/api/examinations/" + second + "/again";
        JsonNode positives = therapist.get(address, 200).at("/again/positives");
        assertThat(positives.valueStream().map(test -> test.get("testId").asString()))
                .as("in the order of work")
                .containsExactly("sh-arc", "sh-neer");
        JsonNode neer = positives.get(1);
        assertThat(neer.get("now").asString()).isEqualTo("OPEN");
        assertThat(neer.get("involved")
                        .valueStream()
                        .map(part -> part.get("key").asString()))
                .as("what was seen has to be seen again")
                .containsExactly("pain", "site");
        assertThat(positives.at("/0/involved"))
                .as("what was measured has to be measured again")
                .isEmpty();
        Visit later = new Visit();
        send(second, later.record("sh-neer", "pain=familiar", "site=outer-arm"), later.record("sh-arc", "pain=none"));
        assertThat(therapist
                        .get(address, 200)
                        .at("/again/positives")
                        .valueStream()
                        .map(test -> test.get("now").asString()))
                .containsExactly("NEGATIVE", "STILL_POSITIVE");
        assertThat(therapist.text("/api/examinations/" + second + "/note?length=full"))
                .contains(
                        "Forward flexion: positive then",
                        "still positive",
                        "Painful arc: positive then",
                        "negative now");
    }

    @Test
    void what_was_measured_at_every_visit_stands_in_one_row_with_how_tests_turned_and_where_conditions_stood() {
        send(
                first,
                visit.tell(Answer.number("pain-now", 7)),
                visit.record("sh-neer", "pain=familiar"),
                visit.record("sh-rom", "flexion=100°"));
        String second = again();
        Visit later = new Visit();
        send(
                second,
                later.tell(Answer.number("pain-now", 2)),
                later.record("sh-neer", "pain=none"),
                later.record("sh-rom", "flexion=140°"));
        JsonNode course = course();
        assertThat(course.get("visits")).hasSize(2);
        assertThat(course.at("/visits/0/id").asString()).as("the first first").isEqualTo(first);
        assertThat(course.at("/measures/0/says").asString()).isEqualTo("Better: 7 of 10 to 2 of 10");
        assertThat(course.get("measures")
                        .valueStream()
                        .map(measure -> measure.get("says").asString()))
                .contains("Better: 100° to 140°");
        assertThat(course.get("responses")
                        .valueStream()
                        .filter(response -> response.get("test").asString().equals("sh-neer"))
                        .map(response -> response.get("turn").asString()))
                .containsExactly("TURNED_NEGATIVE");
        assertThat(course.get("conditions"))
                .isNotEmpty()
                .allSatisfy(condition -> assertThat(condition.get("stands")).hasSize(2));
        assertThat(course.get("estimate").asBoolean()).isTrue();
    }

    @Test
    void a_visit_without_a_hand_on_the_patient_stands_there_without_a_chance() {
        send(first, visit.record("sh-neer", "pain=familiar"));
        again();
        assertThat(course().get("conditions"))
                .isNotEmpty()
                .allSatisfy(condition -> assertThat(condition.get("stands"))
                        .as("of the first visit alone")
                        .hasSize(1));
    }

    @Test
    void the_table_has_a_row_for_each_and_no_formula() {
        send(first, visit.record("sh-rom", "flexion=100°"), visit.tell(Answer.of("markers", "sh-rom")));
        String table = therapist.text("/api/cases/" + caseId + "/complaints/" + complaint() + "/course.csv");
        List<String> lines = table.lines().toList();
        assertThat(lines.get(0)).startsWith("day,date,kind,test,what,value");
        assertThat(lines.get(1)).contains(",measure,", "Flexion", "100.0");
    }

    @Test
    void a_complaint_of_another_case_is_not_there() {
        String other = therapist
                .post(
                        "/api/cases",
                        Visit.start("CO-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .at("/person/id")
                .asString();
        assertThat(therapist
                        .get("/api/cases/" + other + "/complaints/" + complaint() + "/course", 404)
                        .get("detail")
                        .asString())
                .contains("There is no complaint");
    }
}
