package lexicor.server.examinations.export;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import lexicor.server.page.Download;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The whole clinic in open formats, over HTTP. */
@RestController
class ClinicExportController {

    private final ClinicArchive archive;
    private final Clock clock;

    ClinicExportController(ClinicArchive archive, Clock clock) {
        this.archive = archive;
        this.clock = clock;
    }

    /** All cases, tables of what was found and measured, the ledger and the clinic's decisions. */
    @GetMapping(value = "/api/export/clinic.zip", produces = "application/zip")
    public void clinic(HttpServletResponse response) throws IOException {
        archive.write(() -> {
            response.setContentType("application/zip");
            response.setHeader(
                    HttpHeaders.CONTENT_DISPOSITION, Download.disposition("lexicor " + LocalDate.now(clock) + ".zip"));
            return response.getOutputStream();
        });
    }
}
