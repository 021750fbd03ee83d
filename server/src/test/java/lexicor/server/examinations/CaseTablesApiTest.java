package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.UUID;
import lexicor.core.examination.Answer;
import lexicor.server.BothDatabases;
import lexicor.server.examinations.record.CommandJson;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** All visits of a case as tables. */
@BothDatabases
class CaseTablesApiTest extends AtTheBench {

    private String id;
    private String caseId;
    private String code;

    @BeforeEach
    void begin() {
        code = "CT-" + UUID.randomUUID().toString().substring(0, 8);
        JsonNode begun = therapist.post("/api/cases", Visit.start(code), 201);
        id = begun.get("id").asString();
        caseId = begun.at("/person/id").asString();
    }

    private List<CSVRecord> table(String name) throws IOException {
        String text = therapist.text("/api/cases/" + caseId + "/" + name + ".csv");
        try (CSVParser rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(text))) {
            return rows.getRecords();
        }
    }

    @Test
    void each_answer_and_each_measure_has_a_row_that_says_whose_it_is() throws IOException {
        send(id, visit.record("sh-neer", "pain=familiar"), visit.record("sh-rom", "flexion=100°"));
        assertThat(table("findings")).singleElement().satisfies(row -> {
            assertThat(row.get("case")).isEqualTo(code);
            assertThat(row.get("visit")).isEqualTo(id);
            assertThat(row.get("region")).isEqualTo("shoulder");
            assertThat(row.get("test")).isEqualTo("sh-neer");
            assertThat(row.get("part")).isEqualTo("pain");
            assertThat(row.get("answer")).isEqualTo("familiar");
            assertThat(row.get("answer_name")).isEqualTo("Familiar pain");
            assertThat(row.get("tested_side")).isEqualTo(row.get("side"));
        });
        assertThat(table("measures")).singleElement().satisfies(row -> {
            assertThat(row.get("part")).isEqualTo("flexion");
            assertThat(Double.parseDouble(row.get("value"))).isEqualTo(100);
            assertThat(row.get("unit")).isEqualTo("°");
        });
        assertThat(table("readings"))
                .filteredOn(row -> row.get("test").equals("sh-neer"))
                .isNotEmpty()
                .allSatisfy(row -> assertThat(row.get("result")).isEqualTo("positive"));
    }

    @Test
    void what_was_corrected_is_left_out_and_words_are_no_formula() throws IOException {
        CommandJson first = visit.record("sh-neer", "pain=familiar");
        send(id, first);
        send(id, visit.instead(first, "pain=none"), visit.tell(Answer.because("diagnosis-in-words", "=1+1")));
        assertThat(table("findings")).extracting(row -> row.get("answer")).containsExactly("none");
        assertThat(table("conclusions"))
                .filteredOn(row -> row.get("role").equals("working diagnosis"))
                .extracting(row -> row.get("words"))
                .containsExactly("'=1+1");
    }

    @Test
    void a_conclusion_stands_beside_the_ranking_with_its_ranges() throws IOException {
        send(
                id,
                visit.record("sh-neer", "pain=familiar"),
                visit.tell(Answer.of("working", "acj"), Answer.number("confidence", 0.7)));
        List<CSVRecord> rows = table("conclusions");
        assertThat(rows)
                .filteredOn(row -> row.get("role").equals("working diagnosis"))
                .singleElement()
                .satisfies(row -> {
                    assertThat(row.get("condition")).isEqualTo("acj");
                    assertThat(row.get("signed")).isEmpty();
                });
        assertThat(rows)
                .filteredOn(row -> row.get("role").equals("ranked"))
                .hasSizeGreaterThan(10)
                .allSatisfy(row -> {
                    double chance = Double.parseDouble(row.get("chance"));
                    assertThat(chance)
                            .isBetween(
                                    Double.parseDouble(row.get("lower")) - 1e-9,
                                    Double.parseDouble(row.get("upper")) + 1e-9);
                });
    }

    @Test
    void a_case_that_is_not_there_is_named() {
        assertThat(therapist
                        .get("/api/cases/" + UUID.randomUUID() + "/findings.csv", 404)
                        .get("detail")
                        .asString())
                .isNotBlank();
    }
}
