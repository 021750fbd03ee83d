package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseDetails;
import lexicor.server.examinations.record.VisitRequest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Pathways, zones and what separates two pictures, as the bench is told of them. */
class PathwayApiTest extends AtTheBench {

    private static final String ULNAR = "ulnar-rotation";

    private String id;

    @BeforeEach
    void begin() {
        id = therapist
                .post(
                        "/api/cases",
                        new VisitRequest.NewCase(
                                UUID.randomUUID(),
                                "PW-" + UUID.randomUUID().toString().substring(0, 8),
                                new CaseDetails(null, 1985, null, "Lace maker"),
                                Visit.visit("wrist", Affected.RIGHT)),
                        201)
                .get("id")
                .asString();
    }

    @Test
    void a_pathway_is_offered_where_it_hurts_and_follows_the_record() {
        assertThat(pathway(ULNAR).get("offered").asBoolean())
                .as("nobody has said where it hurts")
                .isFalse();
        send(id, visit.tell(Answer.of("zone", "wrist-ulnar")));
        assertThat(pathway(ULNAR).get("offered").asBoolean()).isTrue();
        assertThat(pathway("radial-pain").get("offered").asBoolean()).isFalse();
        send(id, visit.tell(Answer.of("pathway", ULNAR)));
        assertThat(pathway(ULNAR).get("followed").asBoolean()).isTrue();
        assertThat(pathway(ULNAR).get("here").asString()).isEqualTo("range");
        send(
                id,
                visit.record("wr-rom", "passive=full"),
                visit.record("ha-grip", "pain=none"),
                visit.tell(Answer.of("path:ulnar-rotation.which", "both")),
                visit.tell(Answer.of("path:ulnar-rotation.load", "loaded")),
                visit.tell(Answer.of("path:ulnar-rotation.where", "back")));
        assertThat(pathway(ULNAR).get("here").asString()).isEqualTo("shift-back");
        assertThat(pathway(ULNAR).get("says").asString()).startsWith("The weighing would do ");
        assertThat(pathway(ULNAR)
                        .get("passed")
                        .valueStream()
                        .map(step -> step.get("outcome").asString()))
                .containsExactly("NOTED", "NOTED", "ANSWERED", "ANSWERED", "ANSWERED");
        send(
                id,
                visit.record(
                        "wr-druj-ballottement",
                        "end@neutral=firm",
                        "end@pronation=firm",
                        "end@supination=firm",
                        "pain=none"),
                visit.record("wr-ecu-synergy", "pain=none"),
                visit.record("wr-fovea", "tender=familiar"));
        assertThat(pathway(ULNAR).get("here").asString()).isEqualTo("end-tfcc");
        assertThat(note(id))
                .contains("Step by step")
                .contains(
                        "both; under load only; back; distal radioulnar shift negative; ECU synergy negative; ulnar soft spot positive; ends: TFCC or foveal injury");
        send(id, visit.tell(new Answer("pathway", List.of(), OptionalDouble.empty(), Optional.empty(), "")));
        assertThat(pathway(ULNAR).get("followed").asBoolean()).isFalse();
    }

    @Test
    void a_locked_test_is_passed_by() {
        send(
                id,
                visit.tell(Answer.of("zone", "wrist-ulnar"), Answer.of("facts", "scaphoid-suspected")),
                visit.tell(Answer.of("pathway", ULNAR)),
                visit.record("wr-rom", "passive=full"));
        JsonNode passed = pathway(ULNAR).get("passed");
        assertThat(passed.get(1).get("step").asString()).isEqualTo("grip");
        assertThat(passed.get(1).get("outcome").asString()).isEqualTo("CLOSED");
    }

    @Test
    void an_answer_that_no_pathway_asks_for_is_refused_by_name() {
        assertThat(refused(Answer.of("path:ulnar-rotation.where", "inside")))
                .contains("'inside' is not an answer; allowed: [back, palm]");
        assertThat(refused(Answer.of("path:ulnar-rotation.when", "back")))
                .contains("'ulnar-rotation.when' is no question of a pathway here");
        assertThat(refused(Answer.of("path:tingling-thumb-side.fingers", "median")))
                .as("of another region")
                .contains("is no question of a pathway here");
        assertThat(refused(Answer.of("pathway", "elbow-injury")))
                .contains("'elbow-injury' is not an answer; allowed: [ulnar-rotation, radial-pain]");
    }

    @Test
    void the_order_holds_the_zones_that_hurt_and_all_of_them_while_nobody_has_said() {
        assertThat(order()).contains("wr-finkelstein", "wr-lt-shear", "wr-scaphoid-shift");
        send(id, visit.tell(Answer.of("zone", "wrist-radial")));
        assertThat(order())
                .contains("wr-rom", "wr-palp-cmc", "wr-finkelstein")
                .doesNotContain("wr-lt-shear", "wr-scaphoid-shift", "wr-thumb-axial");
        send(id, visit.tell(Answer.of("onset", "injury"), Answer.of("mechanism", "outstretched-fall")));
        assertThat(order()).as("a fall opens its zone by itself").contains("wr-thumb-axial", "wr-scaphoid-shift");
    }

    @Test
    void two_pictures_that_begin_to_fit_are_held_against_each_other() {
        assertThat(weighing(id).path("contest").isObject()).isFalse();
        send(
                id,
                visit.tell(Answer.of("zone", "wrist-radial")),
                visit.record("wr-palp-first-compartment", "tender=familiar", "crepitus=none"),
                visit.record("wr-palp-cmc", "tender=familiar", "crepitus=present"));
        JsonNode contest = weighing(id).get("contest");
        assertThat(List.of(contest.get("one").asString(), contest.get("other").asString()))
                .containsExactlyInAnyOrder("First compartment", "Thumb base arthritis");
        assertThat(contest.at("/separate/0/testId").asString()).isEqualTo("wr-cmc-grind");
        assertThat(contest.get("both").valueStream().map(JsonNode::asString)).contains("Thumb stretch by you");
    }

    @Test
    void a_walk_with_one_finding_is_two_lines_of_the_note() {
        for (String quiet : List.of("wr-palp-sl", "wr-palp-lunate", "wr-palp-snuffbox")) {
            send(id, visit.record(quiet, "tender=none", "swelling=none"));
        }
        send(id, visit.record("wr-fovea", "tender=familiar"));
        assertThat(note(id))
                .contains("- Landmark walk, elsewhere: nothing found (snuffbox, scapholunate spot, lunate)")
                .contains("- Press into the ulnar soft spot (fovea sign), right: tender, familiar");
    }

    @Test
    void the_bench_is_given_pathways_places_and_figures() {
        JsonNode region = therapist.get("/api/library/regions/wrist", 200);
        assertThat(region.get("pathways")
                        .valueStream()
                        .map(each -> each.get("id").asString()))
                .containsExactly(ULNAR, "radial-pain");
        assertThat(region.at("/pathways/0/steps/2/answers")
                        .valueStream()
                        .map(each -> each.get("label").asString()))
                .containsExactly("Palm down", "Palm up", "Both");
        JsonNode fovea = region.get("tests")
                .valueStream()
                .filter(test -> test.get("id").asString().equals("wr-fovea"))
                .findFirst()
                .orElseThrow();
        assertThat(fovea.at("/place/view").asString()).isEqualTo("PALM");
        assertThat(fovea.at("/hand/forces/0/direction").asString()).isEqualTo("PRESS");
    }

    private String refused(Answer answer) {
        return therapist
                .post(
                        "/api/examinations/" + id + "/commands",
                        new ExaminationJson.Batch(List.of(visit.tell(answer)), null),
                        400)
                .get("detail")
                .asString();
    }

    private JsonNode pathway(String name) {
        return weighing(id)
                .get("pathways")
                .valueStream()
                .filter(each -> each.get("id").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private List<String> order() {
        return weighing(id).get("order").valueStream().map(JsonNode::asString).toList();
    }
}
