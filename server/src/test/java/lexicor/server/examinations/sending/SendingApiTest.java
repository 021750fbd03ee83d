package lexicor.server.examinations.sending;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.server.Asking;
import lexicor.server.BothDatabases;
import lexicor.server.ServerTest;
import lexicor.server.accounts.Role;
import lexicor.server.examinations.Visit;
import lexicor.server.examinations.record.CommandJson;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

/** A signed examination on its way to a receiver that does everything amiss that one can do. */
@ServerTest
@BothDatabases
class SendingApiTest {

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private SendingRun run;

    private final Visit visit = new Visit();
    private Asking therapist;
    private Asking administrator;
    private StandInReceiver receiver;
    private String id;

    @BeforeEach
    void begin() throws IOException {
        therapist = Asking.as(mvc, "dale", Role.THERAPIST);
        administrator = Asking.as(mvc, "gill", Role.ADMINISTRATOR);
        receiver = new StandInReceiver(0, StandInReceiver.Fault.NONE, new PrintStream(OutputStream.nullOutputStream()));
        name(receiver.address(), 200);
        id = therapist
                .post(
                        "/api/cases",
                        Visit.start("SE-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .get("id")
                .asString();
        send(visit.record("sh-neer", "pain=familiar"));
    }

    @AfterEach
    void end() {
        name("", 200);
        receiver.close();
    }

    private JsonNode name(String address, int status) {
        return administrator.put("/api/receiver", Map.of("called", "The hospital", "address", address), status);
    }

    private void send(CommandJson command) {
        therapist.post("/api/examinations/" + id + "/commands", Map.of("commands", List.of(command)), 200);
    }

    private void sign() {
        send(visit.tell(Answer.of("red-flags", "none"), Answer.of("facts", "none"), Answer.of("working", "open")));
        long knows = therapist
                .get("/api/examinations/" + id + "/weighing", 200)
                .get("knows")
                .asLong();
        therapist.post("/api/examinations/" + id + "/signature", Map.of("knows", knows), 200);
    }

    private JsonNode ask() {
        return therapist.post(address(), Map.of("withName", false), 200);
    }

    private String address() {
        return "/api/examinations/" + id + "/sending";
    }

    /** What became of the one that was asked for last. */
    private JsonNode tried() {
        run.due();
        return therapist.get(address(), 200).at("/sent/0");
    }

    private JsonNode triedAgain() {
        therapist.post(address() + "/again", "", 200);
        return tried();
    }

    @Test
    void arrives_once_with_a_receipt_and_stands_in_the_audit() {
        sign();
        JsonNode before = therapist.get(address(), 200);
        assertThat(before.at("/receiver/called").asString()).isEqualTo("The hospital");
        assertThat(before.get("holds").toString()).contains("What was found: 1");
        assertThat(ask().at("/sent/0/state").asString()).isEqualTo("WAITING");
        JsonNode arrived = tried();
        assertThat(arrived.get("state").asString()).isEqualTo("ARRIVED");
        assertThat(arrived.get("said").asString()).isEqualTo("Bundle/1");
        assertThat(ask().get("sent")).hasSize(1);
        assertThat(tried().get("tries").asInt()).isEqualTo(1);
        assertThat(receiver.count()).isEqualTo(1);
        assertThat(administrator.get("/api/audit?subjectId=" + id, 200).toString())
                .contains("FHIR: sent to The hospital, kept as Bundle/1");
    }

    @Test
    void an_answer_that_was_lost_does_not_make_a_second_one() {
        sign();
        ask();
        receiver.fault(StandInReceiver.Fault.LOSE);
        JsonNode lost = tried();
        assertThat(lost.get("state").asString()).isEqualTo("WAITING");
        assertThat(lost.get("said").asString()).isEqualTo("The line broke before it answered.");
        assertThat(Duration.between(
                        Instant.now(), Instant.parse(lost.get("nextAt").asString())))
                .isBetween(Duration.ofSeconds(30), Duration.ofSeconds(61));
        assertThat(tried().get("tries").asInt()).as("not before its time").isEqualTo(1);
        receiver.fault(StandInReceiver.Fault.NONE);
        assertThat(triedAgain().get("state").asString()).isEqualTo("ARRIVED");
        assertThat(receiver.count()).isEqualTo(1);
    }

    @Test
    void a_refusal_is_said_in_the_receivers_words_and_can_be_tried_again() {
        sign();
        ask();
        receiver.fault(StandInReceiver.Fault.REFUSE);
        JsonNode refused = tried();
        assertThat(refused.get("state").asString()).isEqualTo("REFUSED");
        assertThat(refused.get("said").asString()).isEqualTo("422 This receiver takes no documents of this kind.");
        receiver.fault(StandInReceiver.Fault.NONE);
        assertThat(triedAgain().get("state").asString()).isEqualTo("ARRIVED");
    }

    @Test
    void a_receiver_that_fails_or_is_not_there_is_tried_later() {
        sign();
        ask();
        receiver.fault(StandInReceiver.Fault.FAIL);
        assertThat(tried().get("state").asString()).isEqualTo("WAITING");
        receiver.close();
        JsonNode gone = triedAgain();
        assertThat(gone.get("state").asString()).isEqualTo("WAITING");
        assertThat(gone.get("tries").asInt()).isEqualTo(2);
        assertThat(gone.get("said").asString()).isEqualTo("Nobody answers at its address.");
    }

    @Test
    void a_receiver_that_is_taken_away_gets_nothing_more() {
        sign();
        ask();
        receiver.fault(StandInReceiver.Fault.FAIL);
        assertThat(tried().get("mayBeTried").asBoolean()).isTrue();
        receiver.fault(StandInReceiver.Fault.NONE);
        name("https://another.example/fhir", 200);
        JsonNode givenUp = triedAgain();
        assertThat(givenUp.get("state").asString()).isEqualTo("REFUSED");
        assertThat(givenUp.get("mayBeTried").asBoolean()).isFalse();
        assertThat(receiver.count()).isZero();
    }

    @Test
    void a_later_version_goes_by_itself_and_names_the_one_it_replaces() {
        sign();
        ask();
        tried();
        String first = document();
        therapist.post("/api/examinations/" + id + "/amendment", Map.of("reason", "One test was left out"), 200);
        send(visit.record("sh-cross-body", "pain=none"));
        sign();
        ask();
        assertThat(tried().get("version").asInt()).isEqualTo(2);
        assertThat(receiver.count()).isEqualTo(2);
        String firstId = first.replaceAll("(?s)^.*?\"identifier\".*?\"value\": \"([0-9a-f-]{36})\".*$", "$1");
        assertThat(document()).contains("replaces").contains(firstId);
    }

    private String document() {
        return therapist.text("/api/examinations/" + id + "/fhir.json");
    }

    @Test
    void an_open_examination_is_not_sent_and_nothing_is_without_a_receiver() {
        assertThat(therapist
                        .post(address(), Map.of("withName", false), 409)
                        .get("detail")
                        .asString())
                .contains("Sign it first");
        sign();
        name("", 200);
        assertThat(therapist
                        .post(address(), Map.of("withName", false), 409)
                        .get("detail")
                        .asString())
                .contains("No receiver");
        assertThat(therapist.get(address(), 200).has("receiver")).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "ftp://records.example/fhir",
                "http://records.example/fhir",
                "https://dale@records.example/fhir",
                "https://records.example/fhir?key=1",
                "records.example",
                "http://127.0.0.1.records.example/fhir",
                "https://"
            })
    void an_address_that_is_not_safe_is_refused(String address) {
        assertThat(name(address, 400).toString()).contains("address").contains("https://");
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 8, 9, 40})
    void the_pause_doubles_up_to_six_hours(int tries) {
        assertThat(SendingRun.pause(tries)).isEqualTo(Duration.ofMinutes(Math.min(360, 1L << Math.min(tries, 20))));
    }
}
