package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import ca.uhn.fhir.rest.server.RestfulServer;
import ca.uhn.fhir.validation.ResultSeverityEnum;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import lexicor.server.Asking;
import lexicor.server.accounts.Role;
import lexicor.server.examinations.paper.Signature;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.signing.Results;
import lexicor.server.examinations.signing.Snapshot;
import lexicor.server.report.Report;
import lexicor.server.report.ReportPrinter;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.web.servlet.ServletRegistrationBean;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.test.context.support.WithMockUser;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Cases of the demo clinic on paper, and every third computed twice: one of each region and setting and every amended
 * one, or all of them where lexicor.reports is "all". What was measured is left in target/reports.txt.
 */
@SpringBootTest(properties = {"spring.datasource.url=jdbc:h2:mem:demo;DB_CLOSE_DELAY=-1", "lexicor.demo=true"})
@AutoConfigureMockMvc
@WithMockUser(username = "tarn", roles = "THERAPIST")
class DemoReportsTest {

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private ExaminationRecords examinations;

    @Autowired
    private Results results;

    @Autowired
    private ReportPrinter printer;

    @Autowired
    private JsonMapper json;

    @Autowired
    private MockMvcTester server;

    @Autowired
    private ServletRegistrationBean<RestfulServer> endpoint;

    /** The latest visit of every complaint, and every signed one: other earlier visits print like the latest. */
    private static final String ALL = """
            select cast(id as varchar) from examination e
            where started_at = (select max(started_at) from examination o where o.episode_id = e.episode_id)
               or id in (select examination_id from signature)
            """;

    private static final String SOME = """
            select min(cast(id as varchar)) from examination group by region, setting
            union select cast(examination_id as varchar) from signature where version > 1
            """;

    private static final String ALL_SIGNED = "select distinct cast(examination_id as varchar) from signature";

    private static final String SOME_SIGNED = """
            select min(cast(e.id as varchar)) from examination e join signature s on s.examination_id = e.id
            group by e.region
            union select min(cast(examination_id as varchar)) from signature where version > 1
            """;

    @Test
    @Transactional
    void each_prints_on_two_pages_at_most_and_is_computed_anew_to_the_same() throws IOException {
        List<String> lines = new ArrayList<>();
        boolean all = "all".equals(System.getProperty("lexicor.reports"));
        for (String id : database.queryForList(all ? ALL : SOME, String.class)) {
            Recorded recorded = examinations.examination(UUID.fromString(id));
            String code = recorded.row().caseFile().code();
            Report report = printer.print(results.report(recorded, Optional.empty()));
            assertThat(report.pages()).as(code).isBetween(1, ReportPrinter.MOST_PAGES);
            Signature signature =
                    new Signature("R. Tarn", Instant.parse("2026-11-25T08:00:00Z"), 1, "", List.of(), false);
            Snapshot first = results.compute(recorded, signature, results.templates());
            String kept = json.writeValueAsString(first);
            if (lines.size() % 3 == 0) {
                Snapshot second =
                        results.compute(examinations.examination(UUID.fromString(id)), signature, results.templates());
                assertThat(second).as(code).isEqualTo(json.readValue(kept, Snapshot.class));
            }
            Files.createDirectories(Path.of("target", "reports"));
            Files.write(Path.of("target", "reports", code + "-" + id.substring(0, 4) + ".pdf"), report.pdf());
            lines.add(code + ": " + report.pages() + (report.pages() == 1 ? " page, " : " pages, ")
                    + report.pdf().length / 1024 + " kB; snapshot " + kept.length() / 1024
                    + " kB");
        }
        assertThat(lines).hasSizeGreaterThan(all ? 20 : 4);
        Files.write(Path.of("target", "reports.txt"), lines);
    }

    @Test
    void signed_ones_are_documents_that_the_reference_validator_takes() throws IOException, ServletException {
        FhirCheck check = new FhirCheck(new FhirAsking(endpoint.getServlet()).vocabulary());
        Map<String, Integer> warnings = new TreeMap<>();
        int documents = 0;
        boolean all = "all".equals(System.getProperty("lexicor.reports"));
        for (String id : database.queryForList(all ? ALL_SIGNED : SOME_SIGNED, String.class)) {
            String json = Asking.as(server, "tarn", Role.THERAPIST).text("/api/examinations/" + id + "/fhir.json");
            assertThat(json).as(id).contains("\"resourceType\": \"Bundle\"");
            assertThat(check.of(json, ResultSeverityEnum.ERROR)).as(id).isEmpty();
            check.of(json, ResultSeverityEnum.WARNING)
                    .forEach(each ->
                            warnings.merge(each.replaceAll(".*?resource/\\*(\\w+)/[^*]*\\*/", "$1 "), 1, Integer::sum));
            documents++;
        }
        List<String> lines = new ArrayList<>(List.of(documents + " documents"));
        warnings.forEach((warning, times) -> lines.add(times + " x " + warning));
        Files.write(Path.of("target", "fhir.txt"), lines);
        assertThat(documents).isGreaterThan(2);
    }
}
