package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import lexicor.server.Asking;
import lexicor.server.LexicorApplication;
import lexicor.server.accounts.Role;
import lexicor.server.examinations.record.CommandJson;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.web.context.WebApplicationContext;

/**
 * Records whose tests, parts, answers, conditions, questions and schools the content no longer has stay readable, by
 * their words.
 */
class ContentThatIsGoneTest {

    private static final String OLD_WORDS = """
            {"test/gone-arc": "Arc with a weight", "part/gone-arc/pain": "Pain", "option/gone-arc/pain/familiar": "Familiar pain", "unit/gone-arc/angle-worst": "°", "part/gone-arc/angle-worst": "Worst at",
             "part/sh-empty-can/gone-part": "Warmth", "option/sh-empty-can/gone-part/gone-value": "Warmer", "condition/gone-condition": "Tired tendon", "question/gone-question": "Since when?", "answer/gone-question/gone-answer": "Since the move",
             "question/red-flags": "Red flags", "answer/red-flags/gone-flag": "A flag of old"}""";

    @TempDir
    private static Path data;

    private static ConfigurableApplicationContext server;
    private static Asking therapist;
    private static List<String> examinations;

    @BeforeAll
    static void moveTheContentOn() {
        try (ConfigurableApplicationContext before = start()) {
            JdbcTemplate database = before.getBean(JdbcTemplate.class);
            database.update(
                    "insert into content_words (revision, kept_at, words) values ('old', timestamp '2020-01-01 00:00:00+00', ?)",
                    OLD_WORDS);
            database.update("update attempt set test_id = 'gone-arc' where test_id = 'sh-arc'");
            database.update("update command set stand_at = 'gone-arc' where stand_at in ('sh-arc', 'sh-er-resist')");
            database.update(
                    "update attempt_part set part_key = 'gone-part', choice = 'gone-value' where choice is not null and ordinal = 1 and attempt_id in (select id from attempt where test_id = 'sh-empty-can')");
            database.update("update attempt_part set choice = 'never-heard-of' where choice = 'shrug'");
            database.update(
                    "update intake_answer set choices = 'gone-condition' where question in ('working', 'next-steps')");
            database.update(
                    "update intake_answer set choices = choices || ',gone-condition' where question = 'rivals'");
            database.update(
                    "update intake_answer set choices = choices || ',gone-arc' where question in ('markers', 'order', 'plan') and choices <> ''");
            database.update(
                    "update intake_answer set question = 'gone-question', choices = 'gone-answer' where question = 'onset'");
            database.update("update intake_answer set choices = choices || ',gone-flag' where question = 'red-flags'");
            database.update("update intake_answer set choices = 'gone-choice' where question like 'school:%'");
            database.update("update intake_answer set choices = 'gone-pathway' where question = 'pathway'");
            database.update("update intake_answer set question = 'override:gone-arc' where question like 'override:%'");
            database.update(
                    "insert into clinic_setting (name, chosen) values ('school.gone', 'x'), ('rho.gone', '0.3'), ('noise.gone.amount', '3'), ('estimate.gone.first-contact', '0.3')");
        }
        server = start();
        MockMvcTester http = MockMvcTester.from(
                (WebApplicationContext) server,
                builder -> builder.apply(springSecurity()).build());
        therapist = Asking.as(http, "tarn", Role.THERAPIST);
        examinations = server.getBean(JdbcTemplate.class)
                .queryForList("select cast(id as varchar) from examination", String.class);
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static ConfigurableApplicationContext start() {
        return new SpringApplicationBuilder(LexicorApplication.class)
                .run("--server.port=0", "--lexicor.data=" + data, "--lexicor.demo=true");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "/weighing",
                "/intake",
                "/plan?minutes=10",
                "/plan/curve",
                "/plan/again",
                "/conclusion",
                "/again",
                "/note",
                "/note?length=short",
                "/note?length=letter",
                "/report"
            })
    void every_view_of_every_examination_is_still_there(String view) {
        List<String> failed = new ArrayList<>();
        boolean quick = view.isEmpty() || view.equals("/intake");
        for (String id : quick ? examinations : ofEachKind()) {
            try {
                therapist.get("/api/examinations/" + id + view, 200);
            } catch (AssertionError fault) {
                failed.add(fault.getMessage().lines().findFirst().orElse(""));
            }
        }
        assertThat(failed).isEmpty();
    }

    /**
     * One examination of each region and setting, since what is weighed takes long and has the same content for all;
     * the full note of every one is read below.
     */
    private static List<String> ofEachKind() {
        return server.getBean(JdbcTemplate.class)
                .queryForList(
                        "select min(cast(id as varchar)) from examination group by region, setting order by region, setting",
                        String.class);
    }

    @Test
    void the_list_and_every_case_are_still_there() {
        assertThat(therapist.get("/api/cases", 200).get("lines")).isNotEmpty();
        server.getBean(JdbcTemplate.class)
                .queryForList("select cast(id as varchar) from case_file", String.class)
                .forEach(id -> therapist.get("/api/cases/" + id, 200));
    }

    @Test
    void what_was_recorded_is_told_by_the_words_it_had() {
        server.getBean(JdbcTemplate.class)
                .queryForList(
                        "select distinct cast(examination_id as varchar) from signature where version > (select count(*) from amendment where amendment.examination_id = signature.examination_id)",
                        String.class)
                .forEach(signed -> therapist.post(
                        "/api/examinations/" + signed + "/amendment", "{\"reason\":\"to read it anew\"}", 200));
        String notes = String.join(
                "\n",
                examinations.stream()
                        .map(id -> therapist.text("/api/examinations/" + id + "/note?length=full"))
                        .toList());
        assertThat(notes)
                .contains(
                        "Arc with a weight (no longer in the library)",
                        "warmth warmer (no longer in the library)",
                        "Tired tendon (no longer in the library)",
                        "Since when: Since the move (no longer in the library)",
                        "Red flags: A flag of old (no longer in the library)");
    }

    @Test
    void a_further_visit_begins_with_what_is_still_asked() {
        JdbcTemplate database = server.getBean(JdbcTemplate.class);
        String last = database.queryForObject(
                "select cast(max(examination.id) as varchar) from examination join command on command.examination_id = examination.id join intake_answer on command_id = command.id"
                        + " where region = 'shoulder' and side = 'RIGHT' and not other_side_involved",
                String.class);
        String caseId = database.queryForObject(
                "select cast(case_id as varchar) from examination where id = ?", String.class, UUID.fromString(last));
        therapist.post(
                "/api/cases/" + caseId + "/examinations",
                "{\"id\":\"" + UUID.randomUUID()
                        + "\",\"region\":\"shoulder\",\"side\":\"RIGHT\",\"setting\":\"FIRST_CONTACT\",\"follows\":\""
                        + last + "\"}",
                201);
    }

    @Test
    void an_examination_that_stands_at_a_test_that_is_gone_goes_on() {
        String open = server.getBean(JdbcTemplate.class)
                .queryForList(
                        "select cast(id as varchar) from examination where id not in (select examination_id from signature)",
                        String.class)
                .get(0);
        Visit visit = new Visit();
        CommandJson entry = visit.record("sh-neer", "pain=none");
        CommandJson there = new CommandJson(
                entry.id(),
                entry.clientId(),
                entry.order(),
                java.time.Instant.now(),
                entry.kind(),
                "gone-arc",
                null,
                entry.attempts(),
                List.of(),
                null,
                null);
        therapist.post("/api/examinations/" + open + "/commands", new ExaminationJson.Batch(List.of(there), null), 200);
        CommandJson again = visit.record("gone-arc", "pain=none");
        assertThat(therapist
                        .post(
                                "/api/examinations/" + open + "/commands",
                                new ExaminationJson.Batch(
                                        List.of(new CommandJson(
                                                again.id(),
                                                again.clientId(),
                                                again.order(),
                                                java.time.Instant.now(),
                                                again.kind(),
                                                "sh-neer",
                                                null,
                                                again.attempts(),
                                                List.of(),
                                                null,
                                                null)),
                                        null),
                                400)
                        .get("detail")
                        .asString())
                .contains("'gone-arc' is not in the catalogue");
    }
}
