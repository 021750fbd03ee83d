package lexicor.server.evidence;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.ClinicLedger;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.LedgerChange;
import lexicor.core.evidence.LedgerEntry;
import lexicor.core.evidence.LedgerFile;
import lexicor.core.evidence.RecordId;
import lexicor.core.evidence.Review;
import lexicor.core.evidence.Tie;
import lexicor.core.evidence.TwoByTwo;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.NotFound;
import lexicor.server.words.Words;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads what somebody asks of the ledger as a change of it. */
@Component
class LedgerDrafts {

    private static final String ENTERED = "entered here";

    /** How a record came into the ledger that was corrected in the form. */
    static final String CORRECTED = "corrected here";

    private static final int LEAST_REASON = 3;

    private final Catalogue catalogue;

    LedgerDrafts(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** The change, or {@link BadInput} that names the field. */
    LedgerChange.OfRecord change(LedgerRequest request, ClinicLedger ledger, Evidence now) {
        if (request.what() == LedgerRequest.What.ADD) {
            RecordId id = LedgerFile.nextOwn(now);
            return new LedgerChange.Entered(added(id, given(request.draft(), "draft")), "");
        }
        RecordId id = known(request.record(), now);
        return switch (request.what()) {
            case CORRECT -> {
                reason(request.why());
                yield new LedgerChange.Entered(
                        corrected(ledger.entry(id).orElseThrow(), given(request.draft(), "draft"), now.byInventors(id)),
                        ledger.shippedFingerprint(id));
            }
            case WITHDRAW -> {
                reason(request.why());
                yield new LedgerChange.Withdrawn(id, request.why().strip());
            }
            case RESTORE -> {
                reason(request.why());
                yield new LedgerChange.Restored(id);
            }
            case AS_SHIPPED -> {
                reason(request.why());
                if (ledger.shippedFingerprint(id).isEmpty()) {
                    throw new BadInput("record", id + " is a study of the clinic's own; allowed: a shipped record");
                }
                yield new LedgerChange.AsShipped(id);
            }
            case DECLINE -> {
                reason(request.why());
                if (ledger.standing(id).proposed().isEmpty()) {
                    throw new BadInput("what", "nothing waits for a second person at " + id);
                }
                yield new LedgerChange.Declined(id, request.why().strip());
            }
            case REVIEW ->
                new LedgerChange.Reviewed(id, review(given(request.review(), "review"), ledger.fingerprint(id)));
            case ADD -> throw new IllegalStateException("read above");
        };
    }

    private static RecordId known(@Nullable String record, Evidence now) {
        try {
            RecordId id = RecordId.of(record);
            if (now.entry(id).isPresent()) {
                return id;
            }
        } catch (IllegalArgumentException malformed) {
            throw new BadInput("record", malformed.getMessage());
        }
        throw new NotFound("There is no record " + record + " in the ledger.");
    }

    /** @throws BadInput unless a reason was given */
    static void reason(String why) {
        if (why.strip().length() < LEAST_REASON) {
            throw new BadInput("why", "allowed: a reason of " + LEAST_REASON + " to 600 letters");
        }
    }

    private static <T> T given(@Nullable T part, String field) {
        if (part == null) {
            throw new BadInput(field, "is missing");
        }
        return part;
    }

    private static Review review(LedgerRequest.ReviewDraft draft, String of) {
        if (draft.verdict() != Review.Verdict.CHECKED && draft.words().strip().length() < LEAST_REASON) {
            throw new BadInput("review.words", "allowed: what is doubtful or wrong, in 3 to 600 letters");
        }
        Map<Review.Domain, Review.Judgement> quality = new HashMap<>();
        draft.quality()
                .forEach((domain, judged) -> quality.put(
                        domain,
                        new Review.Judgement(
                                judged.bias(),
                                judged.applies(),
                                judged.because().strip())));
        return new Review(draft.verdict(), of, draft.words().strip(), quality);
    }

    private LedgerEntry added(RecordId id, LedgerRequest.Draft draft) {
        boolean told = !draft.clue().isBlank();
        String subject = (told ? draft.clue() : draft.test()).strip();
        if (subject.isEmpty()) {
            throw new BadInput("draft.test", "is empty; allowed: a test, or something told");
        }
        Condition about = catalogue.conditions().values().stream()
                .filter(condition -> condition.id().value().equals(draft.condition()))
                .findFirst()
                .orElseThrow(() -> new BadInput(
                        "draft.condition",
                        draft.condition().isBlank() ? "is empty; allowed: a condition" : "is not in the library"));
        String words = told
                ? subject
                : Words.inSentence(test(subject).map(ExaminationTest::name).orElse(subject));
        AccuracyRecord blank = new AccuracyRecord(
                id,
                told ? AccuracyRecord.Kind.HISTORY : AccuracyRecord.Kind.TEST,
                subject,
                words,
                "",
                about.id().value(),
                Words.inSentence(about.name()),
                StoredEntry.optional((Double) null),
                StoredEntry.optional((Double) null),
                StoredEntry.optional((Double) null),
                StoredEntry.optional((Double) null),
                StoredEntry.optional((Integer) null),
                StoredEntry.optional((Integer) null),
                StoredEntry.optional((Integer) null),
                "",
                false,
                "",
                "",
                "",
                ENTERED,
                AccuracyRecord.UNREVIEWED,
                "",
                LedgerFile.ownLine(id));
        return said(blank, draft, told ? clue(id, draft) : tested(id, subject, draft));
    }

    private Optional<ExaminationTest> test(String id) {
        return catalogue.tests().values().stream()
                .filter(test -> test.id().value().equals(id))
                .findFirst();
    }

    /** What it is about stays; what it says and by what it weighs may change. */
    private static LedgerEntry corrected(LedgerEntry known, LedgerRequest.Draft draft, boolean byInventors) {
        AccuracyRecord record = known.record();
        Tie tie = !draft.unused().isBlank()
                ? new Tie.Unused(known.id(), draft.unused().strip())
                : switch (record.kind()) {
                    case TEST -> tested(known.id(), record.subject(), draft);
                    case HISTORY -> clue(known.id(), draft);
                    case CLUSTER ->
                        known.tie() instanceof Tie.ToCluster cluster
                                ? new Tie.ToCluster(known.id(), cluster.cluster(), draft.series())
                                : known.tie();
                };
        LedgerEntry said = said(record, draft, tie);
        if (draft.originator() == byInventors) {
            said = asBefore(said, known);
        }
        return said.content().equals(known.content())
                ? said
                : new LedgerEntry(said.record().withTranscription(CORRECTED), said.tie());
    }

    /** Who the study is by, said in the two places where it was said before. */
    private static LedgerEntry asBefore(LedgerEntry said, LedgerEntry known) {
        boolean tied = known.tie() instanceof Tie.ToTest before && before.inventors();
        Tie tie = said.tie() instanceof Tie.ToTest to
                ? new Tie.ToTest(to.record(), to.test(), to.criterion(), to.condition(), to.series(), tied, to.note())
                : said.tie();
        return new LedgerEntry(said.record().withOriginator(known.record().originator()), tie);
    }

    private static Tie tested(RecordId id, String test, LedgerRequest.Draft draft) {
        return !draft.unused().isBlank()
                ? new Tie.Unused(id, draft.unused().strip())
                : new Tie.ToTest(
                        id,
                        named("draft.test", () -> TestId.of(test)),
                        named("draft.criterion", () -> CriterionId.of(draft.criterion())),
                        named("draft.condition", () -> ConditionId.of(draft.condition())),
                        draft.series(),
                        false,
                        draft.tieNote().strip());
    }

    private static Tie clue(RecordId id, LedgerRequest.Draft draft) {
        return !draft.unused().isBlank()
                ? new Tie.Unused(id, draft.unused().strip())
                : new Tie.ToClue(
                        id,
                        draft.clue(),
                        named("draft.condition", () -> ConditionId.of(draft.condition())),
                        draft.series());
    }

    private static <T> T named(String field, Supplier<T> read) {
        try {
            return read.get();
        } catch (IllegalArgumentException malformed) {
            throw new BadInput(field, "is empty or no name of the library; allowed: one that is offered");
        }
    }

    private static LedgerEntry said(AccuracyRecord about, LedgerRequest.Draft draft, Tie tie) {
        Counted figures = Counted.of(draft);
        return new LedgerEntry(
                new AccuracyRecord(
                        about.id(),
                        about.kind(),
                        about.subject(),
                        about.subjectText(),
                        draft.positiveMeant().strip(),
                        about.condition(),
                        draft.target().isBlank()
                                ? about.conditionText()
                                : draft.target().strip(),
                        StoredEntry.optional(figures.sensitivity()),
                        StoredEntry.optional(figures.specificity()),
                        StoredEntry.optional(draft.lrPositive()),
                        StoredEntry.optional(draft.lrNegative()),
                        StoredEntry.optional(figures.with()),
                        StoredEntry.optional(figures.without()),
                        StoredEntry.optional(figures.total()),
                        draft.design().strip(),
                        draft.originator(),
                        draft.referenceStandard().strip(),
                        draft.population().strip(),
                        draft.citation().strip(),
                        about.transcription(),
                        AccuracyRecord.UNREVIEWED,
                        draft.note().strip(),
                        about.line()),
                tie);
    }

    /** Proportions and sizes as given, or as they follow from the four counts or from each other. */
    private record Counted(
            @Nullable Double sensitivity,
            @Nullable Double specificity,
            @Nullable Integer with,
            @Nullable Integer without,
            @Nullable Integer total) {

        static Counted of(LedgerRequest.Draft draft) {
            LedgerRequest.Counts counts = draft.counts();
            if (counts == null) {
                return new Counted(
                        draft.sensitivity(),
                        draft.specificity(),
                        rest(draft.with(), draft.total(), draft.without()),
                        rest(draft.without(), draft.total(), draft.with()),
                        draft.total() == null && draft.with() != null && draft.without() != null
                                ? Integer.valueOf(draft.with() + draft.without())
                                : draft.total());
            }
            try {
                TwoByTwo table = new TwoByTwo(counts.tp(), counts.fp(), counts.fn(), counts.tn());
                int with = counts.tp() + counts.fn();
                int without = counts.fp() + counts.tn();
                return new Counted(
                        table.sensitivity().map(each -> each.estimate()).orElse(null),
                        table.specificity().map(each -> each.estimate()).orElse(null),
                        with,
                        without,
                        with + without);
            } catch (IllegalArgumentException none) {
                throw new BadInput("draft.counts", String.valueOf(none.getMessage()));
            }
        }

        /** A group's size, or what the other leaves of all patients. */
        private static @Nullable Integer rest(
                @Nullable Integer size, @Nullable Integer total, @Nullable Integer other) {
            return size == null && total != null && other != null && other <= total
                    ? Integer.valueOf(total - other)
                    : size;
        }
    }
}
