package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.server.Asking;
import lexicor.server.BothDatabases;
import lexicor.server.accounts.Role;
import lexicor.server.examinations.record.AttemptJson;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.CommandKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

/** What may come into the record, and by whom. */
@BothDatabases
class RecordingApiTest extends AtTheBench {

    @Autowired
    private MockMvcTester server;

    @Autowired
    private JdbcTemplate database;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "+999999999-12-31T23:59:59Z",
                "-999999999-01-01T00:00:00Z",
                "1970-01-01T00:00:00Z",
                "2999-01-01T00:00:00Z"
            })
    void a_time_that_cannot_be_is_refused_and_blanks_no_list(String at) {
        String id = begin();
        JsonNode fault = refused(id, 400, at(visit.record("sh-neer", "pain=none"), Instant.parse(at)));
        assertThat(fault.get("field").asString()).isEqualTo("commands[0].at");
        assertThat(therapist.get("/api/cases", 200).get("total").asInt()).isPositive();
    }

    @Test
    void a_device_with_a_wrong_clock_is_corrected_and_told_so() {
        String id = begin();
        Instant shown = Instant.parse("2031-05-01T12:00:00Z");
        JsonNode receipts = therapist.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(
                        List.of(at(visit.record("sh-neer", "pain=none"), shown.minusSeconds(10))), shown),
                200);
        Instant kept = Instant.parse(receipts.get(0).get("at").asString());
        assertThat(Duration.between(kept, Instant.now())).isBetween(Duration.ofSeconds(9), Duration.ofSeconds(30));
        assertThat(Instant.parse(therapist
                        .get("/api/examinations/" + id, 200)
                        .at("/commands/0/at")
                        .asString()))
                .isEqualTo(kept);
    }

    @Test
    void the_list_goes_by_the_servers_time() {
        String first = begin();
        String second = begin();
        send(second, at(visit.record("sh-neer", "pain=none"), Instant.now().minusSeconds(3000)));
        send(first, at(visit.record("sh-neer", "pain=none"), Instant.now().minusSeconds(4000)));
        JsonNode lines = therapist.get("/api/cases", 200).get("lines");
        assertThat(lines.get(0).get("examinationId").asString())
                .as("entered last")
                .isEqualTo(first);
        assertThat(lines.get(1).get("examinationId").asString()).isEqualTo(second);
    }

    @Test
    void what_can_never_be_taken_is_not_answered_as_if_it_could() {
        String id = begin();
        String other = begin();
        CommandJson taken = visit.record("sh-neer", "pain=none");
        send(other, taken);
        CommandJson sameCount = visit.record("sh-arc", "pain=none");
        send(id, sameCount);
        CommandJson again = new CommandJson(
                UUID.randomUUID(),
                sameCount.clientId(),
                sameCount.order(),
                sameCount.at(),
                CommandKind.MOVE,
                "sh-arc",
                null,
                List.of(),
                List.of(),
                null,
                null);
        assertThat(refused(id, 400, again).get("field").asString()).isEqualTo("commands[0].order");
        CommandJson hawkins = visit.record("sh-hawkins", "pain=none");
        CommandJson sameAttempt = new CommandJson(
                UUID.randomUUID(),
                hawkins.clientId(),
                hawkins.order(),
                hawkins.at(),
                CommandKind.RECORD,
                "sh-neer",
                null,
                taken.attempts(),
                List.of(),
                null,
                null);
        assertThat(refused(id, 400, sameAttempt).get("field").asString())
                .as("an attempt of another examination")
                .isEqualTo("commands[0].attempts[0].id");
        AttemptJson attempt = hawkins.attempts().get(0);
        CommandJson twice = new CommandJson(
                UUID.randomUUID(),
                hawkins.clientId(),
                hawkins.order() + 1,
                hawkins.at(),
                CommandKind.RECORD,
                "sh-neer",
                null,
                List.of(attempt, attempt),
                List.of(),
                null,
                null);
        assertThat(refused(id, 400, twice).get("field").asString()).isEqualTo("commands[0].attempts[1].id");
    }

    @Test
    void a_colleague_adds_findings_freely_and_replaces_those_of_another_only_after_taking_over() {
        String id = begin();
        CommandJson arc = visit.record("sh-arc", "pain=none");
        send(id, arc);
        Asking colleague = Asking.as(server, "brook", Role.THERAPIST);
        Visit hers = new Visit();
        String commands = "/api/examinations/" + id + "/commands";
        colleague.post(
                commands, new ExaminationJson.Batch(List.of(hers.record("sh-neer", "pain=familiar")), null), 200);
        JsonNode refusal = colleague.post(
                commands,
                new ExaminationJson.Batch(List.of(hers.instead(arc, "pain=familiar", "angle-worst=90")), null),
                403);
        assertThat(refusal.get("detail").asString())
                .contains("replaces what dale entered", "Take the examination over");
        assertThat(colleague
                        .post(
                                commands,
                                new ExaminationJson.Batch(List.of(hers.tell(Answer.of("working", "open"))), null),
                                403)
                        .get("detail")
                        .asString())
                .contains("concludes an examination of dale");
        JsonNode taken = colleague.post("/api/examinations/" + id + "/takeover", "{\"from\":\"dale\"}", 200);
        assertThat(taken.at("/responsible/name").asString()).isEqualTo("brook");
        assertThat(taken.at("/takeovers/0/by").asString()).isEqualTo("brook");
        assertThat(taken.at("/takeovers/0/from").asString()).isEqualTo("dale");
        colleague.post(
                commands,
                new ExaminationJson.Batch(
                        List.of(
                                hers.instead(arc, "pain=familiar", "angle-worst=90"),
                                hers.tell(Answer.of("working", "open"))),
                        null),
                200);
        therapist.post(
                commands, new ExaminationJson.Batch(List.of(visit.tell(Answer.of("working", "open"))), null), 403);
        assertThat(colleague
                        .post("/api/examinations/" + id + "/takeover", "{\"from\":\"dale\"}", 409)
                        .get("detail")
                        .asString())
                .contains("already");
        assertThat(therapist
                        .post("/api/examinations/" + id + "/takeover", "{\"from\":\"dale\"}", 409)
                        .get("detail")
                        .asString())
                .contains("By now brook");
        assertThat(note(id)).contains("Examined by dale; taken over by brook on ");
        assertThat(Asking.as(server, "gill", Role.ADMINISTRATOR)
                        .get("/api/audit?subjectId=" + id + "&action=CHANGED", 200)
                        .get(0)
                        .get("subject")
                        .asString())
                .isEqualTo("responsibility");
    }

    @Test
    void whoever_entered_findings_is_named_and_signing_those_of_others_is_countersigning() {
        String id = begin();
        send(
                id,
                visit.tell(Answer.of("red-flags", "none")),
                visit.record("sh-arc", "pain=none"),
                visit.tell(Answer.of("working", "open")));
        Asking helper = Asking.as(server, "brook", Role.THERAPIST);
        helper.post(
                "/api/examinations/" + id + "/commands",
                new ExaminationJson.Batch(List.of(new Visit().record("sh-neer", "pain=familiar")), null),
                200);
        assertThat(note(id)).contains("Examined by dale; findings also by brook");
        Asking third = Asking.as(server, "marsh", Role.THERAPIST);
        JsonNode signing = third.post("/api/examinations/" + id + "/signature", "{\"knows\":4}", 200);
        assertThat(signing.at("/versions/0/countersigned").asBoolean()).isTrue();
        assertThat(signing.at("/versions/0/enteredBy"))
                .extracting(JsonNode::asString)
                .containsExactly("dale", "brook");
        assertThat(note(id)).contains("Findings entered by dale, brook. Countersigned by marsh on ");
        assertThat(third.get("/api/examinations/" + id + "/versions/1/recomputed", 200)
                        .get("same")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void typed_words_never_look_like_a_line_of_the_report() {
        String id = begin();
        send(
                id,
                visit.tell(Answer.of("red-flags", "none")),
                visit.record("sh-arc", "pain=none"),
                visit.tell(
                        Answer.because(
                                "advice",
                                "Rest.\n\nSigned by Dr. Nobody on 1 May 2020, version 1.\u2028- Working diagnosis: none\u202e")));
        assertThat(note(id).lines())
                .contains(
                        "- Advice: Rest. / Signed by Dr. Nobody on 1 May 2020, version 1. / - Working diagnosis: none")
                .noneMatch(line -> line.startsWith("Signed by"));
    }

    @Test
    void nothing_is_signed_before_it_was_entered() {
        String id = begin();
        send(
                id,
                visit.tell(Answer.of("red-flags", "none")),
                visit.record("sh-arc", "pain=none"),
                visit.tell(Answer.of("working", "open")));
        Instant later = Instant.now().plus(Duration.ofHours(1));
        database.update(
                "update command set received_at = ? where examination_id = ? and number = 3",
                java.sql.Timestamp.from(later),
                UUID.fromString(id));
        JsonNode signing = therapist.post("/api/examinations/" + id + "/signature", "{\"knows\":3}", 200);
        assertThat(Instant.parse(signing.at("/versions/0/at").asString())).isAfterOrEqualTo(later.minusMillis(1));
    }

    @Test
    void an_entry_costs_as_much_at_the_thousandth_as_at_the_first() {
        String id = begin();
        long statementsAtFirst = statements(() -> send(id, visit.record("sh-neer", "pain=none")));
        for (int i = 0; i < 5; i++) {
            CommandJson[] many = new CommandJson[200];
            java.util.Arrays.setAll(many, index -> visit.move("sh-neer"));
            send(id, many);
        }
        long statementsLater = statements(() -> send(id, visit.record("sh-neer", "pain=none")));
        assertThat(statementsLater).isLessThanOrEqualTo(statementsAtFirst);
    }

    @Autowired
    private jakarta.persistence.EntityManagerFactory factory;

    @Autowired
    private StandingKeeper standings;

    /** Entities read from the database on behalf of one request. */
    private long statements(Runnable request) {
        var statistics = factory.unwrap(org.hibernate.SessionFactory.class).getStatistics();
        statistics.setStatisticsEnabled(true);
        long loaded;
        synchronized (
                standings) { // the list's summaries, which are made behind the back of the request, wait meanwhile
            statistics.clear();
            request.run();
            loaded = statistics.getEntityLoadCount();
        }
        statistics.setStatisticsEnabled(false);
        return loaded;
    }

    private String begin() {
        return therapist
                .post(
                        "/api/cases",
                        Visit.start("RC-" + UUID.randomUUID().toString().substring(0, 8)),
                        201)
                .get("id")
                .asString();
    }

    private JsonNode refused(String id, int status, CommandJson... commands) {
        return therapist.post(
                "/api/examinations/" + id + "/commands", new ExaminationJson.Batch(List.of(commands), null), status);
    }

    private static CommandJson at(CommandJson command, Instant at) {
        return new CommandJson(
                command.id(),
                command.clientId(),
                command.order(),
                at,
                command.kind(),
                command.standAt(),
                command.undoes(),
                command.attempts(),
                command.answers(),
                null,
                null);
    }
}
