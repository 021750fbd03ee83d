package lexicor.server.start;

import java.time.Clock;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.intake.ContentWords;
import lexicor.core.intake.IntakeForm;
import lexicor.core.pathway.Pathways;
import lexicor.core.source.Fingerprint;
import lexicor.server.disk.DiskRoom;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/** Keeps the words of today's content with the record, before anything is recorded with it. */
@Component
class WordsKeeper implements SmartInitializingSingleton {

    private final StoredWords stored;
    private final Catalogue catalogue;
    private final IntakeForm form;
    private final Pathways pathways;
    private final DiskRoom room;
    private final Clock clock;

    WordsKeeper(
            StoredWords stored, Catalogue catalogue, IntakeForm form, Pathways pathways, DiskRoom room, Clock clock) {
        this.stored = stored;
        this.catalogue = catalogue;
        this.form = form;
        this.pathways = pathways;
        this.room = room;
        this.clock = clock;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (room.isThere()) {
            stored.keep(
                    Fingerprint.of(List.of(catalogue.revision(), form.revision(), pathways.revision())),
                    ContentWords.of(catalogue, form, pathways),
                    clock.instant());
        }
    }
}
