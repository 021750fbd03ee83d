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
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Brings the shipped ledger into the database when it is new or has changed, before the first request. */
@Component
class LedgerImport implements SmartInitializingSingleton {

    private final LedgerRows rows;
    private final Catalogue catalogue;
    private final Evidence evidence;
    private final DiskRoom room;

    LedgerImport(LedgerRows rows, Catalogue catalogue, Evidence evidence, DiskRoom room) {
        this.room = room;
        this.rows = rows;
        this.catalogue = catalogue;
        this.evidence = evidence;
    }

    @Override
    @Transactional
    public void afterSingletonsInstantiated() {
        String revision = Fingerprint.of(List.of(evidence.revision(), catalogue.revision()));
        if (rows.count() == evidence.size() && rows.countOtherThan(revision) == 0 || !room.isThere()) {
            return;
        }
        Map<String, LedgerRow> known = new HashMap<>();
        rows.findAll().forEach(row -> known.put(row.id(), row));
        for (AccuracyRecord record : evidence.records()) {
            RecordUse use = RecordUse.of(record, evidence, catalogue, catalogue.usualSchools());
            LedgerRow row = known.get(record.id().value());
            if (row == null) {
                rows.save(new LedgerRow(
                        record, evidence.tie(record.id()), use, evidence.byInventors(record.id()), revision));
            } else {
                row.update(record, evidence.tie(record.id()), use, evidence.byInventors(record.id()), revision);
            }
        }
    }
}
