package lexicor.server.evidence;

import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidencePolicy;
import lexicor.core.evidence.LedgerChange;
import lexicor.core.synthesis.StudyRecord;
import lexicor.server.accounts.AccountService;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where a steward chooses how studies are put together, and whether the clinic's own results weigh with them. */
@Service
class PolicyDesk {

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final LedgerStore store;
    private final LedgerDesk desk;
    private final RecordStandings standings;
    private final OwnResults results;
    private final AccountService accounts;
    private final Clock clock;

    PolicyDesk(
            Catalogue catalogue,
            LivingEvidence living,
            LedgerStore store,
            LedgerDesk desk,
            RecordStandings standings,
            OwnResults results,
            AccountService accounts,
            Clock clock) {
        this.catalogue = catalogue;
        this.living = living;
        this.store = store;
        this.desk = desk;
        this.standings = standings;
        this.results = results;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** How studies are put together now, and what else could be. */
    PolicyJson now() {
        EvidencePolicy policy = living.ledger().policy();
        List<LedgerStore.Kept> changes = store.policies();
        Map<StudyRecord.Criterion, StudyRecord.Counts> ready = results.now();
        return new PolicyJson(
                knows(changes),
                policy.method(),
                weigh(policy, changes),
                listed(ready),
                !ready.isEmpty() && !ready.equals(policy.own()),
                changes.stream().map(standings::change).toList());
    }

    private static long knows(List<LedgerStore.Kept> latestFirst) {
        return latestFirst.isEmpty() ? 0 : latestFirst.get(0).number();
    }

    /** Since the first of the latest changes that all have the same results. */
    private PolicyJson.@Nullable WeighJson weigh(EvidencePolicy policy, List<LedgerStore.Kept> latestFirst) {
        if (policy.own().isEmpty()) {
            return null;
        }
        LedgerStore.Kept since = latestFirst.stream()
                .takeWhile(kept -> kept.change() instanceof LedgerChange.Policy then
                        && then.policy().own().equals(policy.own()))
                .reduce((later, earlier) -> earlier)
                .orElseThrow();
        return new PolicyJson.WeighJson(listed(policy.own()), accounts.displayName(since.author()), since.at());
    }

    private List<PolicyJson.OwnJson> listed(Map<StudyRecord.Criterion, StudyRecord.Counts> own) {
        return own.entrySet().stream()
                .map(each -> listed(each.getKey(), each.getValue()))
                .sorted(Comparator.comparing(PolicyJson.OwnJson::conditionName)
                        .thenComparing(Comparator.comparing(PolicyJson.OwnJson::patients)
                                .reversed())
                        .thenComparing(PolicyJson.OwnJson::testName))
                .toList();
    }

    /** What the library no longer has is told by its id. */
    private PolicyJson.OwnJson listed(StudyRecord.Criterion criterion, StudyRecord.Counts counts) {
        TestId test = TestId.of(criterion.test());
        ConditionId condition = ConditionId.of(criterion.condition());
        return new PolicyJson.OwnJson(
                criterion.test(),
                catalogue.tests().containsKey(test) ? catalogue.test(test).shortName() : criterion.test(),
                criterion.condition(),
                catalogue.conditions().containsKey(condition)
                        ? catalogue.condition(condition).name()
                        : criterion.condition(),
                share(counts.tp(), counts.fn()),
                share(counts.fp(), counts.tn()),
                counts.tp() + counts.fn() + counts.tn() + counts.fp());
    }

    private static @Nullable Double share(double positive, double negative) {
        return positive + negative == 0 ? null : Double.valueOf(positive / (positive + negative));
    }

    /** What another way would change. Nothing is kept. */
    PreviewJson preview(PolicyRequest request) {
        EvidencePolicy asked = asked(request, living.ledger().policy());
        return desk.effect(living.evidence(), living.evidence().by(asked), List.of(), null);
    }

    private EvidencePolicy asked(PolicyRequest request, EvidencePolicy before) {
        Map<StudyRecord.Criterion, StudyRecord.Counts> own = switch (request.own()) {
            case NONE -> Map.of();
            case AS_BEFORE -> before.own();
            case AS_NOW -> results.now();
        };
        if (request.own() == PolicyRequest.Own.AS_NOW && own.isEmpty()) {
            throw new BadInput(
                    "own",
                    "no test has results after a positive and after a negative answer yet; allowed: NONE, AS_BEFORE");
        }
        return new EvidencePolicy(request.method(), own);
    }

    /** Makes the change, once however often it is asked for. */
    @Transactional
    public void make(PolicyRequest request) {
        long last = store.takeTurn();
        if (store.find(request.id()).isPresent()) {
            return;
        }
        LedgerDrafts.reason(request.why());
        List<LedgerStore.Kept> changes = store.policies();
        if (knows(changes) != request.knows()) {
            throw new Conflict(
                    changes.isEmpty()
                            ? "How studies are put together is as shipped. Look at it as it is now."
                            : "How studies are put together was changed by "
                                    + accounts.displayName(changes.get(0).author()) + ". Look at it as it is now.");
        }
        EvidencePolicy before = living.ledger(last).policy();
        EvidencePolicy asked = asked(request, before);
        if (asked.equals(before)) {
            throw new BadInput("method", "it is so already; allowed: another way");
        }
        living.add(List.of(new LedgerStore.Kept(
                last + 1,
                request.id(),
                new LedgerChange.Policy(asked),
                request.why().strip(),
                CurrentUser.isHere(),
                clock.instant())));
    }
}
