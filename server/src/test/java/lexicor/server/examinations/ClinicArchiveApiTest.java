package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import lexicor.core.examination.Answer;
import lexicor.server.Asking;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The whole clinic as one archive. */
class ClinicArchiveApiTest extends AtTheBench {

    @Autowired
    private MockMvcTester mvc;

    private final JsonMapper json = JsonMapper.shared();

    private Asking administrator() {
        return Asking.as(mvc, "gill", Role.ADMINISTRATOR);
    }

    private Map<String, String> archive() throws IOException {
        Map<String, String> files = new LinkedHashMap<>();
        try (ZipInputStream zip =
                new ZipInputStream(new ByteArrayInputStream(administrator().bytes("/api/export/clinic.zip")))) {
            for (ZipEntry each = zip.getNextEntry(); each != null; each = zip.getNextEntry()) {
                files.put(each.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return files;
    }

    private JsonNode begin(String answer) {
        JsonNode begun = therapist.post(
                "/api/cases", Visit.start("CA-" + UUID.randomUUID().toString().substring(0, 8)), 201);
        send(
                begun.get("id").asString(),
                visit.record("sh-neer", "pain=" + answer),
                visit.record("sh-rom", "flexion=100°"),
                visit.tell(Answer.because("diagnosis-in-words", "first line\nsecond line")));
        return begun.get("person");
    }

    @Test
    void holds_every_case_as_it_goes_out_alone_and_counts_what_it_holds() throws IOException {
        List<JsonNode> people = List.of(begin("familiar"), begin("none"));
        Map<String, String> files = archive();
        assertThat(files.keySet())
                .containsExactly(
                        "cases.jsonl",
                        "findings.csv",
                        "measures.csv",
                        "ledger.csv",
                        "ledger.json",
                        "settings.json",
                        "contents.json");
        List<String> lines = files.get("cases.jsonl").lines().toList();
        List<JsonNode> documents = new ArrayList<>();
        lines.forEach(line -> documents.add(json.readTree(line)));
        for (JsonNode person : people) {
            JsonNode alone = json.readTree(
                    therapist.text("/api/cases/" + person.get("id").asString() + "/case.json"));
            assertThat(documents).contains(alone);
        }
        JsonNode contents = json.readTree(files.get("contents.json"));
        assertThat(contents.get("format").asString()).isEqualTo("lexicor-clinic");
        assertThat(contents.get("cases").asInt()).isEqualTo(lines.size());
        assertThat(contents.get("visits").asInt())
                .isEqualTo(documents.stream()
                        .mapToInt(each -> each.get("visits").size())
                        .sum());
    }

    @Test
    void has_one_header_and_the_rows_of_all_in_its_tables() throws IOException {
        String first = begin("familiar").get("code").asString();
        String second = begin("none").get("code").asString();
        Map<String, String> files = archive();
        List<String> findings = files.get("findings.csv").lines().toList();
        assertThat(findings.get(0)).startsWith("case,visit,date");
        assertThat(findings.stream().filter(line -> line.startsWith("case,"))).hasSize(1);
        assertThat(findings)
                .anySatisfy(line -> assertThat(line).startsWith(first).contains("familiar"))
                .anySatisfy(line -> assertThat(line).startsWith(second).contains("none"));
        assertThat(files.get("measures.csv").lines().filter(line -> line.startsWith(first)))
                .hasSize(1);
        assertThat(files.get("ledger.csv").lines().count()).isGreaterThan(100);
    }

    @Test
    void stands_in_the_audit() throws IOException {
        archive();
        assertThat(administrator()
                        .get("/api/audit?author=gill&action=TOOK_OUT", 200)
                        .toString())
                .contains("everything, in open formats");
    }
}
