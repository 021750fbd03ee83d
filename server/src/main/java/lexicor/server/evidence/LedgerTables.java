package lexicor.server.evidence;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
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
    private final Clock clock;

    LedgerTables(
            Catalogue catalogue,
            LivingEvidence living,
            LedgerStore store,
            LedgerDesk desk,
            WaitingChanges waiting,
            Clock clock) {
        this.catalogue = catalogue;
        this.living = living;
        this.store = store;
        this.desk = desk;
        this.waiting = waiting;
        this.clock = clock;
    }

    /** The whole ledger as it is now. */
    String csv() {
        return LedgerFile.write(living.evidence());
    }

    /** What a table would bring; nothing is kept. */
    ImportJson look(ImportJson.Table table) {
        ClinicLedger ledger = living.ledger();
        Evidence now = living.evidence();
        LedgerFile.Import read = LedgerFile.read(table.file(), table.csv(), now, catalogue);
        PreviewJson effect = read.faults().isEmpty()
                ? desk.effect(now, ledger.and(changes(read, ledger)).evidence(), List.of(), null)
                : null;
        return told(read, effect, false);
    }

    /** Keeps a table that has no fault, once however often it is sent. */
    @Transactional
    public ImportJson keep(ImportJson.Table table) {
        long last = store.takeTurn();
        Evidence now = living.evidence(last);
        LedgerFile.Import read = LedgerFile.read(table.file(), table.csv(), now, catalogue);
        List<LedgerChange.Entered> changes = changes(read, living.ledger(last));
        boolean again = store.find(idOf(table.id(), 0)).isPresent();
        if (!read.faults().isEmpty() || changes.isEmpty() || again) {
            return told(read, null, again);
        }
        List<LedgerStore.Kept> kept = new ArrayList<>();
        for (LedgerChange.Entered change : changes) {
            kept.add(new LedgerStore.Kept(
                    last + 1 + kept.size(),
                    idOf(table.id(), kept.size()),
                    waiting.first(change),
                    "from the table “" + table.file().strip() + "”",
                    CurrentUser.isHere(),
                    clock.instant()));
        }
        living.add(kept);
        return told(read, null, true);
    }

    private static UUID idOf(UUID table, int place) {
        return UUID.nameUUIDFromBytes((table + " " + place).getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }

    private static List<LedgerChange.Entered> changes(LedgerFile.Import read, ClinicLedger ledger) {
        return Stream.concat(read.added().stream(), read.corrected().stream())
                .map(entry -> new LedgerChange.Entered(entry, ledger.shippedFingerprint(entry.id())))
                .toList();
    }

    private ImportJson told(LedgerFile.Import read, PreviewJson effect, boolean kept) {
        return new ImportJson(
                brought(read.added()),
                brought(read.corrected()),
                read.same(),
                read.faults().size(),
                read.faults().stream()
                        .limit(MOST_TOLD)
                        .map(fault -> new ImportJson.LineJson(fault.line(), fault.says()))
                        .toList(),
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
