package lexicor.server.evidence;

import static lexicor.server.json.OrNull.orNull;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalLong;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Criterion;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.RuleWords;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.ClinicLedger;
import lexicor.core.evidence.EvidencePolicy;
import lexicor.core.evidence.LedgerChange;
import lexicor.core.evidence.LedgerEntry;
import lexicor.core.evidence.RecordId;
import lexicor.core.evidence.Review;
import lexicor.core.evidence.Series;
import lexicor.core.evidence.Tie;
import lexicor.server.accounts.AccountService;
import lexicor.server.audit.CurrentUser;
import org.springframework.stereotype.Component;

/** Puts together how a record of the ledger stands and how it came to. */
@Component
public class RecordStandings {

    private static final int MOST_CHANGES = 200;

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final LedgerStore store;
    private final WaitingChanges waiting;
    private final AccountService accounts;

    RecordStandings(
            Catalogue catalogue,
            LivingEvidence living,
            LedgerStore store,
            WaitingChanges waiting,
            AccountService accounts) {
        this.catalogue = catalogue;
        this.living = living;
        this.store = store;
        this.waiting = waiting;
        this.accounts = accounts;
    }

    /** What waits for a second person. */
    WaitingJson waiting() {
        String me = CurrentUser.isHere();
        return new WaitingJson(
                waiting.needed(),
                waiting.now().stream()
                        .map(kept -> new WaitingJson.OfJson(
                                proposal(kept),
                                WaitingChanges.proposed(kept).subjectText(),
                                WaitingChanges.proposed(kept).conditionText(),
                                waiting.needed() && kept.author().equals(me)))
                        .toList());
    }

    /** What is proposed, with where it says something else than the record does. */
    private StandingJson.ChangeJson proposal(LedgerStore.Kept kept) {
        LedgerChange.Proposed proposed = (LedgerChange.Proposed) kept.change();
        ClinicLedger ledger = living.ledger();
        return change(
                kept,
                ledger.standing(proposed.record())
                        .entered()
                        .or(() -> living.shipped().entry(proposed.record()))
                        .map(now -> differences(now, proposed.entry()))
                        .orElse(List.of()));
    }

    /** How a record stands; empty where there is none. */
    public Optional<StandingJson> of(RecordId id) {
        ClinicLedger ledger = living.ledger();
        return ledger.entry(id).map(entry -> standing(entry, ledger));
    }

    private StandingJson standing(LedgerEntry entry, ClinicLedger ledger) {
        RecordId id = entry.id();
        List<LedgerStore.Kept> changes = store.of(id);
        Optional<LedgerEntry> shipped = living.shipped().entry(id);
        ClinicLedger.Standing now = ledger.standing(id);
        boolean corrected = shipped.isPresent() && now.entered().isPresent();
        return new StandingJson(
                changes.isEmpty() ? 0 : changes.get(0).number(),
                shipped.isEmpty(),
                corrected,
                ledger.conflicts().contains(id),
                corrected ? differences(shipped.get(), entry) : List.of(),
                now.withdrawn().orElse(""),
                draft(said(entry, now, shipped)),
                criteria(entry.record()),
                review(changes, now, id),
                now.proposed()
                        .flatMap(proposed -> changes.stream()
                                .filter(kept -> kept.change() instanceof LedgerChange.Proposed)
                                .findFirst())
                        .map(this::proposal)
                        .orElse(null),
                history(changes, shipped));
    }

    /** A new study that nobody else has agreed to says what was proposed of it. */
    private static LedgerEntry said(LedgerEntry entry, ClinicLedger.Standing now, Optional<LedgerEntry> shipped) {
        return now.entered().isPresent() || shipped.isPresent()
                ? entry
                : now.offered().orElse(entry);
    }

    /** Ids of the clinic's own studies and of the records that it has corrected. */
    public List<String> enteredHere() {
        return living.ledger().enteredHere().stream().map(RecordId::value).toList();
    }

    /** Every change of the ledger, the latest first; at most 200. */
    List<StandingJson.ChangeJson> changes() {
        return store.after(0, MOST_CHANGES).stream().map(this::change).toList();
    }

    /**
     * Changes that were made since the ledger had a revision and that anything is weighed by, the latest first; at most
     * 200. None where nobody knows when it had.
     */
    public List<StandingJson.ChangeJson> since(String revision) {
        OptionalLong then = living.changes(revision);
        return then.isEmpty()
                ? List.of()
                : store.after(then.getAsLong(), MOST_CHANGES).stream()
                        .filter(kept -> weighs(kept.change()))
                        .map(this::change)
                        .toList();
    }

    /** Whether anything can weigh otherwise for it: not for a proposal, nor for a review that finds nothing wrong. */
    private static boolean weighs(LedgerChange change) {
        return change instanceof LedgerChange.Reviewed reviewed
                ? reviewed.review().verdict() == Review.Verdict.WRONG
                : !(change instanceof LedgerChange.Proposed || change instanceof LedgerChange.Declined);
    }

    private List<StandingJson.ChangeJson> history(List<LedgerStore.Kept> latestFirst, Optional<LedgerEntry> shipped) {
        List<StandingJson.ChangeJson> history = new ArrayList<>();
        Optional<LedgerEntry> before = shipped;
        Optional<LedgerEntry> waiting = Optional.empty();
        for (int i = latestFirst.size() - 1; i >= 0; i--) {
            LedgerStore.Kept kept = latestFirst.get(i);
            Optional<LedgerEntry> says =
                    kept.change() instanceof LedgerChange.Says now ? Optional.of(now.entry()) : Optional.empty();
            Optional<LedgerEntry> then = before;
            history.add(
                    0,
                    change(
                            kept,
                            says.flatMap(now -> then.map(known -> differences(known, now)))
                                    .orElse(List.of())));
            if (kept.change() instanceof LedgerChange.Entered) {
                before = says;
            } else if (kept.change() instanceof LedgerChange.Proposed) {
                waiting = says;
            } else if (kept.change() instanceof LedgerChange.Agreed) {
                before = waiting;
            } else if (kept.change() instanceof LedgerChange.AsShipped) {
                before = shipped;
            }
        }
        return history;
    }

    /** A change that is not a correction, with who made it. */
    StandingJson.ChangeJson change(LedgerStore.Kept kept) {
        return change(kept, List.of());
    }

    private StandingJson.ChangeJson change(LedgerStore.Kept kept, List<StandingJson.DifferenceJson> differences) {
        return new StandingJson.ChangeJson(
                kept.number(),
                kept.record(),
                kept.kind(),
                words(kept.change()),
                kept.why(),
                accounts.displayName(kept.author()),
                kept.at(),
                differences);
    }

    private static String words(LedgerChange change) {
        if (change instanceof LedgerChange.Entered entered) {
            boolean first = entered.basis().isEmpty()
                    && !entered.entry().record().transcription().equals(LedgerDrafts.CORRECTED);
            return first ? "entered" : "corrected";
        }
        if (change instanceof LedgerChange.Proposed) {
            return "proposed, to be agreed to by a second person";
        }
        if (change instanceof LedgerChange.Agreed) {
            return "agreed to";
        }
        if (change instanceof LedgerChange.Declined) {
            return "not agreed to";
        }
        if (change instanceof LedgerChange.Withdrawn) {
            return "withdrawn";
        }
        if (change instanceof LedgerChange.Restored) {
            return "taken back into use";
        }
        if (change instanceof LedgerChange.AsShipped) {
            return "put back as shipped";
        }
        if (change instanceof LedgerChange.Policy now) {
            return words(now.policy());
        }
        Review review = ((LedgerChange.Reviewed) change).review();
        return "reviewed: " + review.verdict().plainly() + (review.words().isEmpty() ? "" : ", " + review.words());
    }

    private static String words(EvidencePolicy policy) {
        int own = policy.own().size();
        return switch (policy.method()) {
                    case SYNTHESIS -> "by all studies of all tests together";
                    case POOLED -> "by the studies of each test alone, pooled";
                    case BEST_STUDY -> "by the best study of each test";
                }
                + (own == 0 ? "" : ", with our own results of " + own + (own == 1 ? " test" : " tests"));
    }

    private StandingJson.ReviewJson review(List<LedgerStore.Kept> changes, ClinicLedger.Standing now, RecordId id) {
        if (now.review().isEmpty()) {
            return null;
        }
        Review review = now.review().get();
        LedgerStore.Kept kept = changes.stream()
                .filter(change -> change.change() instanceof LedgerChange.Reviewed)
                .findFirst()
                .orElseThrow();
        return new StandingJson.ReviewJson(
                review.verdict(),
                living.evidence().record(id).reviewState(),
                review.words(),
                accounts.displayName(kept.author()),
                kept.at(),
                review.quality());
    }

    private List<StandingJson.CriterionJson> criteria(AccuracyRecord record) {
        if (record.kind() != AccuracyRecord.Kind.TEST) {
            return List.of();
        }
        return catalogue.tests().values().stream()
                .filter(test -> test.id().value().equals(record.subject()))
                .flatMap(test -> test.reads().stream()
                        .filter(reads -> reads.condition().value().equals(record.condition()))
                        .flatMap(reads -> reads.by().stream())
                        .map(by -> criterion(test, test.criterion(by).orElseThrow())))
                .toList();
    }

    private StandingJson.CriterionJson criterion(ExaminationTest test, Criterion criterion) {
        return new StandingJson.CriterionJson(
                criterion.id().value(), new RuleWords(test, catalogue.schools()).counts(criterion));
    }

    private LedgerRequest.Draft draft(LedgerEntry entry) {
        AccuracyRecord record = entry.record();
        Tie tie = entry.tie();
        return new LedgerRequest.Draft(
                record.kind() == AccuracyRecord.Kind.TEST ? record.subject() : "",
                tie instanceof Tie.ToClue to
                        ? to.clue()
                        : record.kind() == AccuracyRecord.Kind.HISTORY ? record.subject() : "",
                record.condition(),
                tie instanceof Tie.ToTest to ? to.criterion().value() : "",
                record.criterion(),
                record.conditionText(),
                null,
                orNull(record.sensitivity()),
                orNull(record.specificity()),
                orNull(record.lrPositive()),
                orNull(record.lrNegative()),
                orNull(record.with()),
                orNull(record.without()),
                orNull(record.total()),
                record.design(),
                entry.byInventors(),
                record.referenceStandard(),
                record.population(),
                record.citation(),
                tie.patients().orElse(Series.UNSTATED),
                tie instanceof Tie.ToTest to ? to.note() : "",
                record.note(),
                tie instanceof Tie.Unused unused ? unused.because() : "");
    }

    private static List<StandingJson.DifferenceJson> differences(LedgerEntry before, LedgerEntry after) {
        Map<String, String> then = said(before);
        Map<String, String> now = said(after);
        List<StandingJson.DifferenceJson> differences = new ArrayList<>();
        now.forEach((field, value) -> {
            String earlier = then.getOrDefault(field, "");
            if (!Objects.equals(earlier, value)) {
                differences.add(new StandingJson.DifferenceJson(field, earlier, value));
            }
        });
        return differences;
    }

    private static Map<String, String> said(LedgerEntry entry) {
        AccuracyRecord record = entry.record();
        Map<String, String> said = new LinkedHashMap<>();
        said.put("Sensitivity", text(orNull(record.sensitivity())));
        said.put("Specificity", text(orNull(record.specificity())));
        said.put("LR+", text(orNull(record.lrPositive())));
        said.put("LR−", text(orNull(record.lrNegative())));
        said.put("With the condition", text(orNull(record.with())));
        said.put("Without", text(orNull(record.without())));
        said.put("Patients", text(orNull(record.total())));
        said.put("Positive meant", record.criterion());
        said.put("Target", record.conditionText());
        said.put(
                "Criterion",
                entry.tie() instanceof Tie.ToTest to ? to.criterion().value() : "");
        said.put("Kind of patients", entry.tie().patients().map(Series::plainly).orElse(""));
        said.put("By those who proposed the test", entry.byInventors() ? "yes" : "no");
        said.put("Kept and not used", entry.tie() instanceof Tie.Unused unused ? unused.because() : "");
        said.put("Design", record.design());
        said.put("Compared with", record.referenceStandard());
        said.put("Population", record.population());
        said.put("Source", record.citation());
        said.put("Note on the match", entry.tie() instanceof Tie.ToTest to ? to.note() : "");
        said.put("Note", record.note());
        return said;
    }

    private static String text(Object value) {
        return value == null ? "" : value.toString();
    }
}
