package lexicor.server.start;

import java.util.List;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueWarnings;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.evidence.LedgerWarnings;
import lexicor.core.source.Warning;
import lexicor.server.evidence.LivingEvidence;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says at start what in the content can be used but is not as it should be, each with file and line. */
@Component
class ContentWarnings {

    private static final Logger LOG = LoggerFactory.getLogger(ContentWarnings.class);

    private final List<Warning> warnings;

    ContentWarnings(Catalogue catalogue, LivingEvidence living) {
        this.warnings = Stream.concat(
                        CatalogueWarnings.of(catalogue).stream(),
                        LedgerWarnings.of(
                                EvidenceReader.LEDGER, living.evidence().records())
                                .stream())
                .toList();
    }

    @EventListener(ApplicationReadyEvent.class)
    void say() {
        if (!warnings.isEmpty()) {
            LOG.warn("{} warnings about the content; each is used as said", warnings.size());
            warnings.forEach(warning -> LOG.info("{}", warning));
        }
    }
}
