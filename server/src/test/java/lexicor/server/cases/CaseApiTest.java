package lexicor.server.cases;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.Year;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lexicor.server.Asking;
import lexicor.server.BothDatabases;
import lexicor.server.ServerTest;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

@ServerTest
@BothDatabases
class CaseApiTest {

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private MockMvcTester server;

    private Asking therapist;

    @BeforeEach
    void ask() {
        therapist = Asking.as(server, "dale", Role.THERAPIST);
    }

    private static String details(String more) {
        return "{\"occupation\":\"Kiln worker\"" + more + "}";
    }

    private static String open(String code, String details, String visit) {
        return "{\"id\":\"" + UUID.randomUUID() + "\",\"code\":\"" + code + "\",\"details\":" + details
                + ",\"visit\":{\"id\":\"" + UUID.randomUUID() + "\"," + visit + "}}";
    }

    private static final String SHOULDER = "\"region\":\"shoulder\",\"side\":\"RIGHT\",\"setting\":\"FIRST_CONTACT\"";

    @Test
    void region_and_side_are_enough() {
        JsonNode examination = therapist.post("/api/cases", open("CA-1", "{}", SHOULDER), 201);
        assertThat(examination.at("/person/code").asString()).isEqualTo("CA-1");
        assertThat(examination.at("/person").has("birthYear")).isFalse();
        assertThat(examination.get("otherSideInvolved").asBoolean()).isFalse();
    }

    @Test
    void with_both_sides_the_worse_one_is_weighed_and_the_other_is_no_normal() {
        JsonNode fault = therapist.post("/api/cases", open("CA-2", "{}", SHOULDER.replace("RIGHT", "BOTH")), 400);
        assertThat(fault.get("field").asString()).isEqualTo("visit.worse");
        JsonNode examination = therapist.post(
                "/api/cases", open("CA-2", "{}", SHOULDER.replace("RIGHT", "BOTH") + ",\"worse\":\"LEFT\""), 201);
        assertThat(examination.get("side").asString()).isEqualTo("LEFT");
        assertThat(examination.get("otherSideInvolved").asBoolean()).isTrue();
    }

    @Test
    void a_code_in_use_is_named_and_the_next_free_one_is_offered() {
        therapist.post("/api/cases", open("CB-0099", "{}", SHOULDER), 201);
        JsonNode fault = therapist.post("/api/cases", open("CB-0099", "{}", SHOULDER), 400);
        assertThat(fault.get("field").asString()).isEqualTo("code");
        assertThat(fault.get("detail").asString()).contains("'CB-0099' is in use; allowed: another code");
        assertThat(therapist.get("/api/cases/next-code", 200).get("code").asString())
                .isEqualTo("CB-0100");
    }

    @ParameterizedTest
    @CsvSource({"1, allowed:", "-121, allowed:", "-120, ", "-200, allowed:"})
    void a_year_of_birth_is_not_ahead_and_not_beyond_a_lifetime(int yearsFromNow, String message) {
        int year = Year.now().getValue() + yearsFromNow;
        String request = open("CC" + year, details(",\"birthYear\":" + year), SHOULDER);
        if (message == null) {
            therapist.post("/api/cases", request, 201);
        } else {
            JsonNode fault = therapist.post("/api/cases", request, 400);
            assertThat(fault.get("field").asString()).isEqualTo("birthYear");
            assertThat(fault.get("detail").asString())
                    .contains(message + " " + (Year.now().getValue() - 120) + " to "
                            + Year.now().getValue());
        }
    }

    @ParameterizedTest
    @CsvSource({"Jo Bloggs, shoulder, code, no names", "CD-1, knee, visit.region, 'shoulder, elbow, wrist, hand'"})
    void a_fault_in_a_start_is_named(String code, String region, String field, String allowed) {
        JsonNode fault = therapist.post("/api/cases", open(code, "{}", SHOULDER.replace("shoulder", region)), 400);
        assertThat(fault.get("field").asString()).isEqualTo(field);
        assertThat(fault.get("detail").asString()).contains(allowed);
    }

    @Test
    void details_change_with_the_version_that_was_read() {
        JsonNode person = therapist
                .post("/api/cases", open("CE-1", details(""), SHOULDER), 201)
                .get("person");
        String address = "/api/cases/" + person.get("id").asString();
        JsonNode changed = therapist.put(
                address,
                "{\"version\":0,\"details\":" + details(",\"birthYear\":1970,\"dominance\":\"LEFT\",\"name\":\"Ada\"")
                        + "}",
                200);
        assertThat(changed.get("birthYear").asInt()).isEqualTo(1970);
        assertThat(therapist
                        .put(address, "{\"version\":0,\"details\":" + details("") + "}", 409)
                        .get("detail")
                        .asString())
                .contains("What you typed is still here");
        assertThat(therapist.get("/api/cases?find=ada", 200).get("lines")).hasSize(1);
        therapist.put(
                address, "{\"version\":" + changed.get("version").asInt() + ",\"details\":" + details("") + "}", 200);
        assertThat(therapist.get("/api/cases?find=ada", 200).get("lines"))
                .as("a name taken away is not found")
                .isEmpty();
    }

    @Test
    void a_search_finds_beginnings_of_words_and_all_of_them() {
        therapist.post("/api/cases", open("CF-77", "{\"occupation\":\"Lighthouse keeper\"}", SHOULDER), 201);
        therapist.post(
                "/api/cases",
                open("CF-78", "{\"occupation\":\"Lighthouse painter\"}", SHOULDER.replace("shoulder", "wrist")),
                201);
        assertThat(found("lighth")).containsExactly("CF-78", "CF-77");
        assertThat(found("LIGHT keep")).containsExactly("CF-77");
        assertThat(found("cf-7 painter")).containsExactly("CF-78");
        assertThat(found("house")).as("the middle of a word").isEmpty();
        assertThat(found("lighthouse&region=wrist")).containsExactly("CF-78");
        assertThat(found("lighthouse&state=DONE")).isEmpty();
    }

    @Test
    void the_list_says_where_each_case_stands_and_follows_the_record() {
        JsonNode examination =
                therapist.post("/api/cases", open("CG-1", "{\"occupation\":\"Zinc caster\"}", SHOULDER), 201);
        String id = examination.get("id").asString();
        assertThat(line("zinc").get("state").asString()).isEqualTo("BEGUN");
        tell(id, 1, "{\"question\":\"red-flags\",\"values\":[\"none\"]}");
        assertThat(line("zinc").get("state").asString()).isEqualTo("SCREENED");
        tell(id, 2, "{\"question\":\"red-flags\",\"values\":[\"cord\",\"none\"]}");
        assertThat(line("zinc").get("state").asString()).isEqualTo("SUSPENDED");
        tell(id, 3, "{\"question\":\"release:cord\",\"values\":[],\"words\":\"Scan clear\"}");
        assertThat(line("zinc").get("state").asString()).isEqualTo("SCREENED");
        assertThat(line("zinc").get("total").asInt())
                .as("those of the order that make sense already")
                .isEqualTo(27);
    }

    @Test
    void a_re_examination_starts_from_the_last_but_asks_anew_what_changes() {
        JsonNode first = therapist.post("/api/cases", open("CH-1", "{}", SHOULDER), 201);
        String id = first.get("id").asString();
        tell(
                id,
                1,
                "{\"question\":\"onset\",\"values\":[\"injury\"]},{\"question\":\"pain-now\",\"values\":[],\"number\":7},{\"question\":\"red-flags\",\"values\":[\"none\"]},"
                        + "{\"question\":\"facts\",\"values\":[\"steroids\"]},{\"question\":\"override:sh-neer\",\"values\":[],\"words\":\"lightly\"}");
        String address = "/api/cases/" + first.at("/person/id").asString() + "/examinations";
        JsonNode second = therapist.post(
                address, "{\"id\":\"" + UUID.randomUUID() + "\"," + SHOULDER + ",\"follows\":\"" + id + "\"}", 201);
        List<String> kept = second.at("/commands/0/answers")
                .valueStream()
                .map(answer -> answer.get("question").asString())
                .toList();
        assertThat(kept).containsExactlyInAnyOrder("onset", "facts");
        JsonNode intake = therapist.get("/api/examinations/" + second.get("id").asString() + "/intake", 200);
        assertThat(intake.at("/safety/state").asString()).isEqualTo("NOT_YET_ASKED");
        assertThat(intake.get("locked")
                        .valueStream()
                        .map(test -> test.get("testId").asString()))
                .contains("sh-neer");
        JsonNode sheet = therapist.get("/api/cases/" + first.at("/person/id").asString(), 200);
        assertThat(sheet.get("episodes")).hasSize(1);
        assertThat(sheet.at("/episodes/0/visits")).hasSize(2);
        assertThat(therapist
                        .post(
                                address,
                                "{\"id\":\"" + UUID.randomUUID() + "\"," + SHOULDER.replace("shoulder", "elbow")
                                        + ",\"follows\":\"" + id + "\"}",
                                400)
                        .get("field")
                        .asString())
                .isEqualTo("follows");
    }

    /** More cases than are counted share the first word: the one that has both is found all the same. */
    @Test
    void two_words_are_looked_for_together_however_many_cases_have_one_of_them() {
        therapist.post("/api/cases", open("CW-1", "{\"occupation\":\"Zither tuner\"}", SHOULDER), 201);
        String others = jdbc
                .queryForList(
                        "select column_name from information_schema.columns where lower(table_name) = 'case_file' and lower(column_name) not in ('id', 'code')",
                        String.class)
                .stream()
                .map(column -> "file." + column)
                .collect(Collectors.joining(", "));
        String columns = others.replace("file.", "");
        jdbc.batchUpdate(
                "insert into case_file (id, code, " + columns + ") select ?, ?, " + others
                        + " from case_file file where file.code = 'CW-1'",
                IntStream.rangeClosed(1, 700)
                        .mapToObj(n -> new Object[] {UUID.randomUUID(), "BULK-" + n})
                        .toList());
        jdbc.update(
                "insert into case_word (word, case_id) select 'zither', id from case_file where code like 'BULK-%'");
        assertThat(found("zither tuner")).containsExactly("CW-1");
        assertThat(found("tuner zither")).containsExactly("CW-1");
        assertThat(found("zither tuner clockmaker")).isEmpty();
        jdbc.update("delete from case_word where case_id in (select id from case_file where code like 'BULK-%')");
        jdbc.update("delete from case_file where code like 'BULK-%'");
    }

    private void tell(String id, int order, String answers) {
        therapist.post(
                "/api/examinations/" + id + "/commands",
                "{\"commands\":[{\"id\":\"" + UUID.randomUUID() + "\",\"clientId\":\""
                        + UUID.nameUUIDFromBytes(id.getBytes()) + "\",\"order\":" + order + ",\"at\":\"" + Instant.now()
                        + "\",\"kind\":\"TELL\",\"standAt\":\"sh-arc\",\"attempts\":[],\"answers\":[" + answers
                        + "]}]}",
                200);
    }

    private JsonNode line(String find) {
        return therapist.get("/api/cases?find=" + find, 200).at("/lines/0");
    }

    private List<String> found(String find) {
        return therapist
                .get("/api/cases?find=" + find.replace(" ", "%20"), 200)
                .get("lines")
                .valueStream()
                .map(line -> line.at("/person/code").asString())
                .toList();
    }
}
