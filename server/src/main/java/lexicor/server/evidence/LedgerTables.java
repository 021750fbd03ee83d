package lexicor.server.evidence;

import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.evidence.ClinicLedger;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.LedgerChange;
import lexicor.core.evidence.LedgerEntry;
import lexicor.core.evidence.LedgerFile;
import lexicor.server.audit.CurrentUser;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes tables of studies in, all of a table or nothing, and gives the ledger out as one. */
@Service
public class LedgerTables {

    /** Faults and records that are told; a table can have thousands. */
    private static final int MOST_TOLD = 50;

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final LedgerStore store;
    private final LedgerDesk desk;
    private final WaitingChanges waiting;
    private final LedgerJson json;
    private final Clock clock;

    LedgerTables(
            Catalogue catalogue,
            LivingEvidence living,
            LedgerStore store,
            LedgerDesk desk,
            WaitingChanges waiting,
            LedgerJson json,
            Clock clock) {
        this.catalogue = catalogue;
        this.living = living;
        this.store = store;
        this.desk = desk;
        this.waiting = waiting;
        this.json = json;
        this.clock = clock;
    }

    /** The whole ledger as it is now. */
    public String csv() {
        return LedgerFile.write(living.evidence());
    }

    /** The same as JSON. */
    public String json() {
        return json.write(living.evidence());
    }

    private LedgerFile.Import read(ImportJson.Table table, Evidence now) {
        if (!LedgerJson.is(table.text())) {
            return LedgerFile.read(table.file(), table.text(), now, catalogue);
        }
        try {
            LedgerFile.Import read = LedgerFile.read(table.file(), json.table(table.text()), now, catalogue);
            return new LedgerFile.Import(
                    read.added(),
                    read.corrected(),
                    read.same(),
                    read.faults().stream()
                            .map(fault -> new LedgerFile.LineFault(fault.line() - 1, fault.says()))
                            .toList());
        } catch (LedgerJson.Unreadable fault) {
            return new LedgerFile.Import(
                    List.of(), List.of(), 0, List.of(new LedgerFile.LineFault(0, String.valueOf(fault.getMessage()))));
        }
    }

    /** What a table would bring; nothing is kept. */
    ImportJson look(ImportJson.Table table) {
        ClinicLedger ledger = living.ledger();
        Evidence now = living.evidence();
        LedgerFile.Import read = read(table, now);
        PreviewJson effect = read.faults().isEmpty()
                ? desk.effect(now, ledger.and(changes(read, ledger)).evidence(), List.of(), null)
                : null;
        return told(table, read, effect, false);
    }

    /** Keeps a table that has no fault, once however often it is sent. */
    @Transactional
    public ImportJson keep(ImportJson.Table table) {
        long last = store.takeTurn();
        Evidence now = living.evidence(last);
        LedgerFile.Import read = read(table, now);
        List<LedgerChange.Entered> changes = changes(read, living.ledger(last));
        boolean again = store.made(table.id());
        if (!read.faults().isEmpty() || changes.isEmpty() || again) {
            return told(table, read, null, again);
        }
        living.add(LedgerStore.together(
                table.id(),
                last,
                changes.stream().map(waiting::first).toList(),
                "from the table “" + table.file().strip() + "”",
                CurrentUser.isHere(),
                clock.instant()));
        return told(table, read, null, true);
    }

    private static List<LedgerChange.Entered> changes(LedgerFile.Import read, ClinicLedger ledger) {
        return Stream.concat(read.added().stream(), read.corrected().stream())
                .map(entry -> new LedgerChange.Entered(entry, ledger.shippedFingerprint(entry.id())))
                .toList();
    }

    private ImportJson told(ImportJson.Table table, LedgerFile.Import read, PreviewJson effect, boolean kept) {
        return new ImportJson(
                brought(read.added()),
                brought(read.corrected()),
                read.same(),
                read.faults().size(),
                read.faults().stream()
                        .limit(MOST_TOLD)
                        .map(fault -> new ImportJson.LineJson(fault.line(), fault.says()))
                        .toList(),
                LedgerJson.is(table.text()) ? ImportJson.Place.RECORD : ImportJson.Place.LINE,
                effect,
                kept);
    }

    private List<ImportJson.BroughtJson> brought(List<LedgerEntry> entries) {
        return entries.stream()
                .map(LedgerEntry::record)
                .map(record -> new ImportJson.BroughtJson(
                        record.id().value(), record.subjectText(), record.conditionText(), record.citation()))
                .toList();
    }
}
