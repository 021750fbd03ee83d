package lexicor.server.evidence;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.ClinicLedger;
import lexicor.core.evidence.LedgerChange;
import lexicor.core.evidence.RecordId;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changed figures that wait for a second person, where the clinic wants one. */
@Service
class WaitingChanges {

    private final LivingEvidence living;
    private final LedgerStore store;
    private final SecondPerson second;
    private final Clock clock;

    WaitingChanges(LivingEvidence living, LedgerStore store, SecondPerson second, Clock clock) {
        this.living = living;
        this.store = store;
        this.second = second;
        this.clock = clock;
    }

    /** Whether the clinic wants a second person. */
    boolean needed() {
        return second.needed();
    }

    /** A change as the first person makes it: where a second is needed, a changed figure is proposed. */
    LedgerChange first(LedgerChange change) {
        return change instanceof LedgerChange.Entered entered && second.needed()
                ? new LedgerChange.Proposed(entered.entry(), entered.basis())
                : change;
    }

    /** What was proposed and neither agreed to nor declined, in order. */
    List<LedgerStore.Kept> now() {
        return List.copyOf(of(living.ledger()).values());
    }

    /** What a record is to say once a second person agrees. */
    static AccuracyRecord proposed(LedgerStore.Kept kept) {
        return ((LedgerChange.Proposed) kept.change()).entry().record();
    }

    private Map<Long, LedgerStore.Kept> of(ClinicLedger ledger) {
        Set<RecordId> waiting = Set.copyOf(ledger.waiting());
        return store.proposals().stream()
                .filter(kept -> waiting.contains(RecordId.of(kept.record())))
                .collect(Collectors.toMap(
                        LedgerStore.Kept::number, Function.identity(), (one, other) -> one, LinkedHashMap::new));
    }

    /** What agreeing comes to, or the reason why the person at work cannot. */
    List<LedgerChange.Agreed> agreement(WaitingRequest request, ClinicLedger ledger) {
        Map<Long, LedgerStore.Kept> waiting = of(ledger);
        List<LedgerChange.Agreed> agreed = new ArrayList<>();
        for (Long number : request.numbers()) {
            LedgerStore.Kept kept = waiting.get(number);
            if (kept == null) {
                throw new Conflict("Change " + number + " no longer waits. Look at the list as it is now.");
            }
            if (second.needed() && kept.author().equals(CurrentUser.isHere())) {
                throw new BadInput(
                        "numbers", "you made change " + number + " yourself; allowed: changes of another person");
            }
            agreed.add(new LedgerChange.Agreed(RecordId.of(kept.record())));
        }
        return agreed;
    }

    /** Agrees, once however often it is asked for. */
    @Transactional
    public void agree(WaitingRequest request) {
        long last = store.takeTurn();
        if (store.made(request.id())) {
            return;
        }
        living.add(LedgerStore.together(
                request.id(),
                last,
                agreement(request, living.ledger(last)),
                "",
                CurrentUser.isHere(),
                clock.instant()));
    }
}
