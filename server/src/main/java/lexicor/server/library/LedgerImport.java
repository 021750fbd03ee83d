package lexicor.server.library;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.RecordUse;
import lexicor.core.source.Fingerprint;
import lexicor.server.disk.DiskRoom;
import lexicor.server.evidence.EvidenceChanged;
import lexicor.server.evidence.LivingEvidence;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps the ledger as rows that can be searched: at start, before the first request, where it is new or has changed,
 * and within every change of it.
 */
@Component
class LedgerImport implements SmartInitializingSingleton {

    private final LedgerRows rows;
    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final DiskRoom room;

    LedgerImport(LedgerRows rows, Catalogue catalogue, LivingEvidence living, DiskRoom room) {
        this.room = room;
        this.rows = rows;
        this.catalogue = catalogue;
        this.living = living;
    }

    @Override
    @Transactional
    public void afterSingletonsInstantiated() {
        Evidence evidence = living.evidence();
        String revision = revision(evidence);
        if (rows.count() == evidence.size() && rows.countOtherThan(revision) == 0 || !room.isThere()) {
            return;
        }
        write(evidence, revision);
    }

    @EventListener
    void changed(EvidenceChanged changed) {
        Evidence evidence = changed.figures().evidence();
        write(evidence, revision(evidence));
    }

    private String revision(Evidence evidence) {
        return Fingerprint.of(List.of(evidence.revision(), catalogue.revision()));
    }

    private void write(Evidence evidence, String revision) {
        Map<String, LedgerRow> known = new HashMap<>();
        rows.findAll().forEach(row -> known.put(row.id(), row));
        for (AccuracyRecord record : evidence.records()) {
            RecordUse use = RecordUse.of(record, evidence, catalogue, catalogue.usualSchools());
            boolean inventors = evidence.byInventors(record.id());
            LedgerRow row = known.remove(record.id().value());
            if (row == null) {
                rows.save(new LedgerRow(record, evidence.tie(record.id()), use, inventors, revision));
            } else {
                row.update(record, evidence.tie(record.id()), use, inventors, revision);
            }
        }
        rows.deleteAll(known.values());
        rows.flush();
    }
}
