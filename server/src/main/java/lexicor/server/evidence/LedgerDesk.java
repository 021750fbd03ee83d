package lexicor.server.evidence;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.evidence.ClinicLedger;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceEffect;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.evidence.LedgerChange;
import lexicor.core.evidence.RecordId;
import lexicor.core.evidence.StudyCheck;
import lexicor.core.nexttest.Usefulness;
import lexicor.server.accounts.AccountService;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.FieldFault;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where a steward works on the ledger: shows what a change would do, then makes it. */
@Service
public class LedgerDesk {

    private static final int SHOWN = 12;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM, HH:mm", Locale.UK);

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final LedgerStore store;
    private final LedgerDrafts drafts;
    private final OpenExaminations examinations;
    private final WaitingChanges waiting;
    private final AccountService accounts;
    private final Clock clock;

    LedgerDesk(
            Catalogue catalogue,
            LivingEvidence living,
            LedgerStore store,
            LedgerDrafts drafts,
            OpenExaminations examinations,
            WaitingChanges waiting,
            AccountService accounts,
            Clock clock) {
        this.catalogue = catalogue;
        this.living = living;
        this.store = store;
        this.drafts = drafts;
        this.examinations = examinations;
        this.waiting = waiting;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** What a change would do. Nothing is kept. */
    PreviewJson preview(LedgerRequest request) {
        Evidence now = living.evidence();
        LedgerChange.OfRecord change = drafts.change(request, living.ledger(), now);
        StudyCheck check = check(change, now);
        if (!check.faults().isEmpty()) {
            return new PreviewJson(faults(check), List.of(), null, 0, List.of(), 0);
        }
        PreviewJson.SaysJson says = change instanceof LedgerChange.Entered entered
                ? PreviewJson.SaysJson.of(entered.entry().record())
                : null;
        return effect(now, living.ledger().and(List.of(change)).evidence(), check.notes(), says);
    }

    /** What a second person's agreement would do. Nothing is kept. */
    PreviewJson preview(WaitingRequest request) {
        ClinicLedger ledger = living.ledger();
        return effect(
                living.evidence(),
                ledger.and(waiting.agreement(request, ledger)).evidence(),
                List.of(),
                null);
    }

    /** The same of several changes at once. */
    PreviewJson effect(Evidence now, Evidence after, List<String> notes, PreviewJson.@Nullable SaysJson says) {
        List<EvidenceEffect.Move> moves =
                EvidenceEffect.between(now, after, catalogue).moves();
        return new PreviewJson(
                List.of(),
                notes,
                says,
                moves.size(),
                moves.stream().limit(SHOWN).map(this::move).toList(),
                after.weighsAs(now) ? 0 : examinations.count());
    }

    /** Makes a change, once however often it is asked for. @return the record that was changed */
    @Transactional
    public RecordId make(LedgerRequest request) {
        long last = store.takeTurn();
        Optional<LedgerStore.Kept> made = store.find(request.id());
        if (made.isPresent()) {
            return RecordId.of(made.get().record());
        }
        ClinicLedger ledger = living.ledger(last);
        Evidence now = living.evidence(last);
        LedgerChange.OfRecord change = drafts.change(request, ledger, now);
        StudyCheck check = check(change, now);
        if (!check.faults().isEmpty()) {
            throw new BadInput(faults(check).stream()
                    .map(fault -> new FieldFault(fault.field(), fault.message()))
                    .toList());
        }
        refuseUnseen(request, change);
        refuseNothing(request, change, ledger);
        living.add(List.of(new LedgerStore.Kept(
                last + 1,
                request.id(),
                waiting.first(change),
                request.why().strip(),
                CurrentUser.isHere(),
                clock.instant())));
        return change.record();
    }

    private void refuseUnseen(LedgerRequest request, LedgerChange.OfRecord change) {
        if (request.what() == LedgerRequest.What.ADD) {
            return;
        }
        Optional<LedgerStore.Kept> latest = store.of(change.record()).stream().findFirst();
        latest.filter(kept -> kept.number() != request.knows()).ifPresent(kept -> {
            throw new Conflict(
                    "Record " + change.record() + " was changed by " + accounts.displayName(kept.author()) + " on "
                            + DAY.format(kept.at().atZone(clock.getZone()))
                            + ". Look at it as it is now; what you have written stays in the form.");
        });
    }

    private static void refuseNothing(LedgerRequest request, LedgerChange.OfRecord change, ClinicLedger ledger) {
        ClinicLedger.Standing standing = ledger.standing(change.record());
        boolean nothing = change instanceof LedgerChange.Entered entered
                        && ledger.entry(change.record())
                                .map(known ->
                                        known.content().equals(entered.entry().content()))
                                .orElse(false)
                || change instanceof LedgerChange.Withdrawn
                        && standing.withdrawn().isPresent()
                || change instanceof LedgerChange.Restored
                        && standing.withdrawn().isEmpty()
                || change instanceof LedgerChange.AsShipped
                        && standing.entered().isEmpty();
        if (nothing) {
            throw new BadInput("what", request.what() + " would change nothing about " + change.record());
        }
    }

    /** Only what is entered can be faulty. */
    private StudyCheck check(LedgerChange.OfRecord change, Evidence now) {
        return change instanceof LedgerChange.Entered entered
                ? StudyCheck.of(entered.entry(), now, catalogue)
                : new StudyCheck(List.of(), List.of());
    }

    private static List<PreviewJson.FaultJson> faults(StudyCheck check) {
        return check.faults().stream()
                .map(fault -> new PreviewJson.FaultJson("draft." + fault.field(), fault.says()))
                .toList();
    }

    private PreviewJson.MoveJson move(EvidenceEffect.Move move) {
        return new PreviewJson.MoveJson(
                move.test().value(),
                catalogue.test(move.test()).shortName(),
                move.condition().value(),
                catalogue.condition(move.condition()).name(),
                move.before().map(LedgerDesk::weight).orElse(null),
                move.after().map(LedgerDesk::weight).orElse(null));
    }

    private static PreviewJson.WeightJson weight(EvidenceInUse use) {
        return new PreviewJson.WeightJson(
                use.belief().likelihoodRatioPositive(),
                use.belief().likelihoodRatioNegative(),
                Usefulness.of(use.belief()).plainly());
    }
}
