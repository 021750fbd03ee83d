package lexicor.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.server.ServerTest;
import lexicor.server.evidence.LivingEvidence;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@ServerTest
class LibraryApiTest {

    @Autowired
    private MockMvcTester server;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private Catalogue catalogue;

    @Autowired
    private LivingEvidence living;

    private JsonNode get(String address) throws Exception {
        MvcTestResult answer = server.get().uri(address).exchange();
        assertThat(answer).hasStatusOk();
        return JsonMapper.shared().readTree(answer.getResponse().getContentAsString());
    }

    private static List<String> texts(JsonNode list, String field) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(item -> item.get(field).asString())
                .toList();
    }

    @Test
    void the_whole_ledger_is_in_the_database_with_every_column() {
        assertThat(database.queryForObject("select count(*) from accuracy_record", Integer.class))
                .isEqualTo(408);
        for (AccuracyRecord record : living.evidence().records()) {
            var row = database.queryForMap(
                    "select * from accuracy_record where id = ?", record.id().value());
            assertThat(row.get("CITATION")).isEqualTo(record.citation());
            assertThat(row.get("CRITERION")).isEqualTo(record.criterion());
            assertThat(row.get("POPULATION")).isEqualTo(record.population());
            assertThat(row.get("NOTE")).isEqualTo(record.note());
            assertThat(row.get("ORIGINATOR")).isEqualTo(record.originator());
            assertThat(row.get("REVIEW_STATE")).isEqualTo("unreviewed");
            assertThat((Double) row.get("SENSITIVITY"))
                    .isEqualTo(
                            record.sensitivity().isPresent()
                                    ? record.sensitivity().getAsDouble()
                                    : null);
            assertThat((Integer) row.get("N_TOTAL"))
                    .isEqualTo(record.total().isPresent() ? record.total().getAsInt() : null);
        }
    }

    @Test
    void the_ledger_is_searched_filtered_and_paged() throws Exception {
        JsonNode all = get("/api/library/records");
        assertThat(all.get("found").asInt()).isEqualTo(408);
        assertThat(all.get("records")).hasSize(40);
        assertThat(get("/api/library/records?page=10").get("records")).hasSize(8);
        assertThat(texts(get("/api/library/records?search=O'Brien SJ").get("records"), "id"))
                .containsExactly("E040", "E214");
        assertThat(texts(get("/api/library/records?search=E328").get("records"), "id"))
                .containsExactly("E328");
        assertThat(get("/api/library/records?search=100%25_nothing")
                        .get("found")
                        .asInt())
                .isZero();
        assertThat(get("/api/library/records?use=IN_USE").get("found").asInt()).isEqualTo(142);
        assertThat(texts(get("/api/library/records?subject=sh-kim").get("records"), "citation")
                        .get(0))
                .startsWith("Kim SH");
    }

    @Test
    void every_test_condition_and_set_has_a_sheet() throws Exception {
        for (var test : catalogue.tests().keySet()) {
            assertThat(get("/api/library/tests/" + test).at("/test/id").asString())
                    .isEqualTo(test.value());
        }
        for (var condition : catalogue.conditions().keySet()) {
            assertThat(get("/api/library/conditions/" + condition).get("id").asString())
                    .isEqualTo(condition.value());
        }
        for (var cluster : catalogue.clusters()) {
            assertThat(get("/api/library/clusters/" + cluster.id()).get("levels"))
                    .isNotEmpty();
        }
    }

    @Test
    void a_sheet_shows_every_study_about_its_readings() throws Exception {
        JsonNode sheet = get("/api/library/tests/sh-apprehension");
        assertThat(texts(sheet.get("reads"), "conditionId"))
                .containsExactly("anterior-instability", "slap", "internal-impingement");
        JsonNode instability = sheet.at("/reads/0");
        assertThat(instability.at("/weighs/record").asString()).isEqualTo("E046");
        assertThat(instability.at("/weighs/plainly").asString())
                .isEqualTo("A positive helps, a negative helps a little");
        assertThat(instability.get("studies")).hasSize(4);
        assertThat(texts(instability.get("bySchool"), "counts"))
                .containsExactly("apprehension, not only pain", "apprehension or familiar pain");
        assertThat(sheet.at("/reads/1/notWeighed").asString())
                .contains("does not say whether pain or apprehension counted");
        assertThat(texts(sheet.get("locks"), "because")).contains("stress could displace it");
        assertThat(texts(sheet.get("sharedNames"), "name")).containsExactly("apprehension test", "crank test");
    }

    @Test
    void a_condition_names_its_rivals_and_what_weighs_on_it() throws Exception {
        JsonNode sheet = get("/api/library/conditions/acj");
        assertThat(texts(sheet.get("weights"), "testId")).contains("sh-cross-body", "sh-active-compression");
        assertThat(texts(sheet.get("unmeasured"), "id")).contains("sh-arc");
        assertThat(texts(sheet.get("rivals"), "conditionId")).containsExactly("slap", "subacromial-pain");
        assertThat(texts(get("/api/library/conditions/cuff-tear-full").get("wider"), "id"))
                .containsExactly("cuff-tear-any", "subacromial-pain");
    }

    @Test
    void one_more_study_narrows_what_is_expected_and_shows_it_in_the_plane() throws Exception {
        JsonNode more = get("/api/library/tests/sh-neer/one-more?condition=subacromial-pain&patients=1000");
        JsonNode before = more.get("positiveBefore");
        JsonNode after = more.get("positiveAfter");
        assertThat(Math.log(after.get("upper").asDouble() / after.get("lower").asDouble()))
                .isLessThan(Math.log(
                        before.get("upper").asDouble() / before.get("lower").asDouble()));
        JsonNode expected = get("/api/library/tests/sh-neer").at("/reads/0/weighs/expected");
        assertThat(expected.at("/lrPositive/lower")).isEqualTo(before.get("lower"));
        assertThat(expected.at("/plane/clinics")).hasSize(72);
        assertThat(texts(expected.at("/plane/studied"))).contains("E353").doesNotContain("E332");
        assertThat(server.get().uri("/api/library/tests/sh-neer/one-more?condition=subacromial-pain&patients=2"))
                .hasStatus(400)
                .bodyText()
                .contains("allowed: 5 to 100000");
    }

    private static List<String> texts(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(JsonNode::asString)
                .toList();
    }

    @Test
    void the_effect_of_an_answer_is_computed_for_the_chosen_start_and_study() throws Exception {
        JsonNode effect = get("/api/library/tests/sh-cross-body/effect?condition=acj&prior=0.12");
        double odds = 0.12 / 0.88 * effect.at("/positive/likelihoodRatio").asDouble();
        assertThat(effect.at("/positive/after").asDouble()).isCloseTo(odds / (1 + odds), Offset.offset(1e-12));
        assertThat(effect.get("record").asString()).isEmpty();
        for (JsonNode reading : get("/api/library/tests/sh-cross-body").get("reads")) {
            if (reading.get("conditionId").asString().equals("acj")) {
                assertThat(effect.at("/positive/likelihoodRatio")).isEqualTo(reading.at("/weighs/lrPositive"));
                assertThat(effect.at("/negative/likelihoodRatio")).isEqualTo(reading.at("/weighs/lrNegative"));
            }
        }
        assertThat(get("/api/library/tests/sh-active-compression/effect?condition=acj&prior=0.12&record=E040")
                        .get("record")
                        .asString())
                .isEqualTo("E040");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            /api/library/tests/sh-none                                            | 404 | There is no test 'sh-none'
            /api/library/conditions/none                                          | 404 | There is no condition 'none'
            /api/library/clusters/none                                            | 404 | There is no set of findings 'none'
            /api/library/tests/sh-arc/effect?condition=acj&prior=0.3              | 400 | no accuracy study in the ledger
            /api/library/tests/sh-arc/effect?condition=subacromial-pain&prior=1   | 400 | allowed: 0.001 to 0.999
            /api/library/tests/sh-arc/effect?condition=none&prior=0.3             | 400 | is not in the library
            /api/library/tests/sh-arc/effect?condition=subacromial-pain&prior=0.3&record=E353 | 400 | cannot weigh this test
            /api/library/records?page=-1                                          | 400 | allowed: 0 to 1000
            /api/library/records?use=SOME                                         | 400 | cannot be read
            """)
    void what_cannot_be_answered_is_named(String address, int status, String message) {
        assertThat(server.get().uri(address)).hasStatus(status).bodyText().contains(message);
    }
}
