package lexicor.server.evidence;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.evidence.ClinicLedger;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What is weighed by: the shipped ledger with the clinic's changes, now and at every earlier revision that this version
 * of the product can make again.
 */
@Component
public class LivingEvidence {

    /** Earlier revisions that are kept ready, and for how long after they were last asked for. */
    private static final int MOST = 3;

    private static final Duration KEPT = Duration.ofMinutes(20);

    private final Catalogue catalogue;
    private final LedgerStore store;
    private final ApplicationEventPublisher events;
    private final Evidence shipped;
    private final Cache<String, Figures> earlier =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterAccess(KEPT).build();

    /** Revisions that this version of the product cannot make again. */
    private final Set<String> gone = ConcurrentHashMap.newKeySet();

    private volatile State state;

    /** @param changes how many changes ledger and figures follow from */
    private record State(ClinicLedger ledger, Figures figures, long changes) {}

    LivingEvidence(Catalogue catalogue, LedgerStore store, ApplicationEventPublisher events) {
        this.catalogue = catalogue;
        this.store = store;
        this.events = events;
        this.shipped = EvidenceReader.shipped(catalogue);
        long last = store.last();
        ClinicLedger ledger = ClinicLedger.of(shipped, catalogue, store.upTo(last));
        this.state = new State(ledger, new Figures(catalogue, ledger.evidence()), last);
    }

    /** By the ledger as it is now. */
    public Figures now() {
        return state.figures();
    }

    /** The evidence as it is now. */
    public Evidence evidence() {
        return now().evidence();
    }

    /**
     * By the ledger of a revision; by today's where this version of the product cannot make it again, because another
     * ledger was shipped then.
     */
    public Figures at(String revision) {
        Figures now = now();
        if (revision.equals(now.revision()) || gone.contains(revision)) {
            return now;
        }
        Figures then = earlier.get(revision, this::again);
        if (then == null) {
            gone.add(revision);
        }
        return then == null ? now : then;
    }

    /** Whether this server can weigh by the ledger of a revision. */
    public boolean canMake(String revision) {
        return at(revision).revision().equals(revision);
    }

    private @Nullable Figures again(String revision) {
        OptionalLong changes = changes(revision);
        if (changes.isEmpty()) {
            return null;
        }
        Evidence then = ledger(changes.getAsLong()).evidence();
        return then.revision().equals(revision) ? new Figures(catalogue, then) : null;
    }

    /** After how many changes the ledger had a revision; empty where nobody knows. */
    OptionalLong changes(String revision) {
        return revision.equals(shipped.revision()) ? OptionalLong.of(0) : store.changes(revision);
    }

    /** The ledger as it stands now. */
    ClinicLedger ledger() {
        return state.ledger();
    }

    /** The ledger after so many changes. */
    ClinicLedger ledger(long changes) {
        State now = state;
        return now.changes() == changes ? now.ledger() : ClinicLedger.of(shipped, catalogue, store.upTo(changes));
    }

    /** What is weighed by after so many changes. */
    Evidence evidence(long changes) {
        State now = state;
        return now.changes() == changes
                ? now.figures().evidence()
                : ledger(changes).evidence();
    }

    /** The ledger without any change. */
    Evidence shipped() {
        return shipped;
    }

    /**
     * Keeps changes that hold the turn, and weighs by them as soon as they are on the disk.
     *
     * @param changes numbered on from the last one
     */
    @Transactional(propagation = Propagation.MANDATORY)
    void add(List<LedgerStore.Kept> changes) {
        State before = state;
        store.register(before.figures().revision(), before.changes());
        changes.forEach(store::add);
        long last = changes.get(changes.size() - 1).number();
        ClinicLedger ledger = ledger(changes.get(0).number() - 1)
                .and(changes.stream().map(LedgerStore.Kept::change).toList());
        Figures figures = new Figures(catalogue, ledger.evidence());
        store.register(figures.revision(), last);
        events.publishEvent(new EvidenceChanged(figures));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                becomes(new State(ledger, figures, last));
            }
        });
    }

    private synchronized void becomes(State next) {
        if (next.changes() > state.changes()) {
            state = next;
            gone.clear();
        }
    }
}
