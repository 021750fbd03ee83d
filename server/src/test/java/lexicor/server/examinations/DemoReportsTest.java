package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.test.context.support.WithMockUser;
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
}
