package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;

/**
 * What is wrong with a study that somebody wants in the ledger, and what follows from what it says.
 *
 * @param faults what keeps it out, by field
 * @param notes what to know of it, in sentences
 */
public record StudyCheck(List<FieldFault> faults, List<String> notes) {

    private static final Pattern PUNCTUATION = Pattern.compile("[^\\p{L}\\p{N}]+");
    private static final double MOST_RATIO = 10_000;
    private static final int MOST_PATIENTS = 1_000_000;
    private static final int LONG_TEXT = 600;
    private static final int TEXT = 400;
    private static final int SHORT_TEXT = 120;
    private static final int NOTE = 1000;

    /** Published likelihood ratios may part from those of the proportions by rounding. */
    private static final double ROUNDING = 0.15;

    /** Checks an entry against the ledger it is to stand in. */
    public static StudyCheck of(LedgerEntry entry, Evidence ledger, Catalogue catalogue) {
        return of(entry, studies(ledger), catalogue);
    }

    /** @param studies which record has which study, as by {@link #studies} */
    static StudyCheck of(LedgerEntry entry, Map<String, RecordId> studies, Catalogue catalogue) {
        List<FieldFault> faults = new ArrayList<>();
        figures(entry.record(), faults);
        sizes(entry.record(), faults);
        texts(entry, faults);
        new TieRules(catalogue).fault(entry).ifPresent(faults::add);
        RecordId holder = studies.get(study(entry.record()));
        if (holder != null && !holder.equals(entry.id())) {
            faults.add(new FieldFault(
                    "citation", "record " + holder + " has this study for the same finding already; correct that one"));
        }
        return new StudyCheck(List.copyOf(faults), faults.isEmpty() ? notes(entry) : List.of());
    }

    /** Which record has which study of which finding, whether it weighs or not. */
    static Map<String, RecordId> studies(Evidence ledger) {
        Map<String, RecordId> studies = new HashMap<>();
        ledger.records().forEach(record -> studies.putIfAbsent(study(record), record.id()));
        return studies;
    }

    /** The study and the finding of a record in plain letters: equal, the same study. */
    static String study(AccuracyRecord record) {
        return String.join(
                "|",
                plain(record.citation()),
                plain(record.criterion()),
                record.subject(),
                record.condition(),
                plain(record.conditionText()));
    }

    private static String plain(String text) {
        return PUNCTUATION
                .matcher(text.toLowerCase(Locale.ROOT))
                .replaceAll(" ")
                .strip();
    }

    private static void figures(AccuracyRecord record, List<FieldFault> faults) {
        share("sensitivity", record.sensitivity(), faults);
        share("specificity", record.specificity(), faults);
        within("lrPositive", record.lrPositive(), MOST_RATIO, faults);
        within("lrNegative", record.lrNegative(), MOST_RATIO, faults);
        if (record.sensitivity().isEmpty()
                && record.specificity().isEmpty()
                && record.lrPositive().isEmpty()
                && record.lrNegative().isEmpty()) {
            faults.add(new FieldFault(
                    "sensitivity", "there is no figure; allowed: counts, proportions, or likelihood ratios"));
        }
    }

    private static void share(String field, OptionalDouble share, List<FieldFault> faults) {
        if (share.isPresent() && share.getAsDouble() > 1 && share.getAsDouble() <= 100) {
            faults.add(new FieldFault(
                    field, "is " + share.getAsDouble() + "; allowed: 0 to 1, so a percentage is divided by 100"));
        } else {
            within(field, share, 1, faults);
        }
    }

    private static void within(String field, OptionalDouble value, double most, List<FieldFault> faults) {
        if (value.isPresent() && !(value.getAsDouble() >= 0 && value.getAsDouble() <= most)) {
            faults.add(new FieldFault(
                    field, "is " + value.getAsDouble() + "; allowed: a number from 0 to " + (long) most));
        }
    }

    private static void sizes(AccuracyRecord record, List<FieldFault> faults) {
        int before = faults.size();
        size("with", record.with(), faults);
        size("without", record.without(), faults);
        size("total", record.total(), faults);
        if (faults.size() > before || record.total().isEmpty()) {
            return;
        }
        int total = record.total().getAsInt();
        if (record.sizesKnown()) {
            int sum = record.with().getAsInt() + record.without().getAsInt();
            if (sum != total) {
                faults.add(new FieldFault("total", "is " + total + "; allowed: with and without together, " + sum));
            }
        } else if (record.with().orElse(0) > total || record.without().orElse(0) > total) {
            faults.add(new FieldFault("total", "is " + total + "; allowed: not less than with or without"));
        }
    }

    private static void size(String field, OptionalInt size, List<FieldFault> faults) {
        if (size.isPresent() && (size.getAsInt() < 0 || size.getAsInt() > MOST_PATIENTS)) {
            faults.add(new FieldFault(
                    field, "is " + size.getAsInt() + "; allowed: a whole number from 0 to " + MOST_PATIENTS));
        }
    }

    private static void texts(LedgerEntry entry, List<FieldFault> faults) {
        AccuracyRecord record = entry.record();
        text("citation", record.citation(), 1, TEXT, faults);
        text("positiveMeant", record.criterion(), 1, LONG_TEXT, faults);
        text("target", record.conditionText(), 0, TEXT, faults);
        text("design", record.design(), 1, SHORT_TEXT, faults);
        text("referenceStandard", record.referenceStandard(), 0, TEXT, faults);
        text("population", record.population(), 0, LONG_TEXT, faults);
        text("note", record.note(), 0, NOTE, faults);
        if (entry.tie() instanceof Tie.Unused unused) {
            text("unused", unused.because(), 1, LONG_TEXT, faults);
        } else if (entry.tie() instanceof Tie.ToTest test) {
            text("tieNote", test.note(), 0, LONG_TEXT, faults);
        }
    }

    private static void text(String field, String text, int least, int most, List<FieldFault> faults) {
        if (text.strip().length() < least || text.length() > most) {
            faults.add(new FieldFault(
                    field,
                    (text.isBlank() ? "is empty" : "has " + text.length() + " letters") + "; allowed: " + least + " to "
                            + most + " letters"));
        }
    }

    private static List<String> notes(LedgerEntry entry) {
        AccuracyRecord record = entry.record();
        List<String> notes = new ArrayList<>();
        if (entry.tie() instanceof Tie.Unused) {
            notes.add("It is kept to be seen and weighs nothing.");
            return notes;
        }
        Weighable weighable = Weighable.of(record);
        if (weighable instanceof Weighable.No no) {
            notes.add("It is shown and not weighed: " + no.because() + ".");
        } else if (record.review()) {
            notes.add("A review: shown, and never pooled with single studies.");
        } else if (weighable instanceof Weighable.Yes yes) {
            weighed(entry, yes, notes);
        }
        LedgerWarnings.of(record).forEach(warning -> notes.add(capital(warning) + "."));
        return List.copyOf(notes);
    }

    private static void weighed(LedgerEntry entry, Weighable.Yes figures, List<String> notes) {
        AccuracyRecord record = entry.record();
        if (!figures.sizeKnown() && record.total().isEmpty()) {
            notes.add("Nobody says how many patients there were: counted as " + Weighable.UNKNOWN_SIZE + " with and "
                    + Weighable.UNKNOWN_SIZE + " without the condition.");
        }
        TwoByTwo counts = figures.counts();
        perfect("sensitivity", counts.fn(), counts.sensitivity(), notes);
        perfect("specificity", counts.fp(), counts.specificity(), notes);
        double youden = counts.youden().orElse(1);
        if (youden <= 0) {
            notes.add("People without the condition were positive as often as people with it, or more often: "
                    + "check that the two were not exchanged.");
        }
        counts.likelihoodRatioPositive()
                .ifPresent(ratio -> differs("LR+", record.lrPositive(), ratio.estimate(), notes));
        counts.likelihoodRatioNegative()
                .ifPresent(ratio -> differs("LR-", record.lrNegative(), ratio.estimate(), notes));
        if (entry.byInventors()) {
            notes.add(
                    "By those who proposed the test: such studies find more than others do, and that is allowed for.");
        }
        entry.tie()
                .patients()
                .filter(series -> series.cautionIn(CareSetting.FIRST_CONTACT))
                .ifPresent(
                        series -> notes.add("It was " + series.plainly() + ": at first contact it carries a caution."));
    }

    private static void perfect(String what, long missed, Optional<Estimate> share, List<String> notes) {
        if (missed == 0 && share.isPresent()) {
            notes.add(String.format(
                    Locale.ROOT,
                    "A %s of 100 in 100 in so many patients fits anything from %.0f in 100 on.",
                    what,
                    Math.floor(100 * share.get().lower())));
        }
    }

    private static void differs(String what, OptionalDouble published, double follows, List<String> notes) {
        if (published.isPresent()
                && published.getAsDouble() > 0
                && Math.abs(Math.log(published.getAsDouble() / follows)) > ROUNDING) {
            notes.add(String.format(
                    Locale.ROOT,
                    "The published %s of %s does not follow from these figures, which give %.2f; they are what is weighed.",
                    what,
                    published.getAsDouble(),
                    follows));
        }
    }

    private static String capital(String text) {
        return text.substring(0, 1).toUpperCase(Locale.UK) + text.substring(1);
    }
}
