package lexicor.server.examinations.export;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.function.Function;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import lexicor.server.audit.Action;
import lexicor.server.audit.AuditLog;
import lexicor.server.cases.CaseService;
import lexicor.server.evidence.LedgerTables;
import lexicor.server.problems.Conflict;
import lexicor.server.settings.ClinicSettings;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/**
 * Everything of the clinic in one archive of open formats, written while it is read: one case at a time is in memory,
 * however many there are. Each table reads the cases anew, so that nothing of a patient waits in a file of its own.
 */
@Service
class ClinicArchive {

    static final String FORMAT = "lexicor-clinic";
    static final int VERSION = 1;

    private final CaseService cases;
    private final CaseDocuments documents;
    private final CaseTables tables;
    private final LedgerTables ledger;
    private final ClinicSettings settings;
    private final AuditLog trail;
    private final JsonMapper json;
    private final Clock clock;
    private final Semaphore one = new Semaphore(1);

    ClinicArchive(
            CaseService cases,
            CaseDocuments documents,
            CaseTables tables,
            LedgerTables ledger,
            ClinicSettings settings,
            AuditLog trail,
            JsonMapper json,
            Clock clock) {
        this.cases = cases;
        this.documents = documents;
        this.tables = tables;
        this.ledger = ledger;
        this.settings = settings;
        this.trail = trail;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What an archive holds; its last entry, so that one without it is known to be cut short.
     *
     * @param at when it was begun: what is entered later may be missing
     */
    record Contents(String format, int version, Instant at, int cases, int visits, int entries) {}

    /** How much has been written. */
    private static final class Count {
        private int visits;
        private int entries;
    }

    /** Opens what the archive is written to, once it is known that it will be written. */
    interface Destination {

        OutputStream open() throws IOException;
    }

    /**
     * Writes the archive, one at a time. It stands in the audit before its first byte leaves.
     *
     * @throws Conflict where one is being written
     */
    void write(Destination destination) throws IOException {
        if (!one.tryAcquire()) {
            throw new Conflict("The clinic is being taken out already. Wait until that is done.");
        }
        try {
            trail.add(Action.TOOK_OUT, "clinic", "", "everything, in open formats");
            try (ZipOutputStream zip = new ZipOutputStream(destination.open(), StandardCharsets.UTF_8)) {
                written(zip);
            }
        } finally {
            one.release();
        }
    }

    private void written(ZipOutputStream zip) throws IOException {
        Instant at = clock.instant();
        List<UUID> ids = cases.ids();
        Count count = new Count();
        zip.putNextEntry(new ZipEntry("cases.jsonl"));
        for (UUID id : ids) {
            CaseDocument document = documents.of(id);
            count.visits += document.visits().size();
            document.visits().forEach(visit -> count.entries += visit.last());
            text(zip, json.writeValueAsString(document) + "\n");
        }
        zip.closeEntry();
        table(zip, "findings.csv", ids, tables::findings);
        table(zip, "measures.csv", ids, tables::measures);
        file(zip, "ledger.csv", ledger.csv());
        file(zip, "ledger.json", ledger.json());
        file(zip, "settings.json", pretty(new TreeMap<>(settings.now().chosen())));
        file(zip, "contents.json", pretty(new Contents(FORMAT, VERSION, at, ids.size(), count.visits, count.entries)));
    }

    /** One table of all cases: the header of the first, the rows of all. */
    private void table(ZipOutputStream zip, String name, List<UUID> ids, Function<UUID, CaseTables.Table> of)
            throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        boolean first = true;
        for (UUID id : ids) {
            String rows = of.apply(id).text();
            text(zip, first ? rows : rows.substring(rows.indexOf('\n') + 1));
            first = false;
        }
        zip.closeEntry();
    }

    private String pretty(Object value) {
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(value);
    }

    private static void file(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        text(zip, text);
        zip.closeEntry();
    }

    private static void text(ZipOutputStream zip, String text) throws IOException {
        zip.write(text.getBytes(StandardCharsets.UTF_8));
    }
}
